import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { spanText, type Design, type PlannedBlend } from '@aurantia/core';
import {
  dulledWord,
  RingError,
  ringOfSections,
  ringWords,
  sectionsFit,
  sectionsWithBlends,
  sectionWidths,
  type RingPlan,
} from '@aurantia/core/ring';
import { NumberField } from '../../../parts/fields/number-field';
import { Icon } from '../../../parts/icons/icon';
import { Pick } from '../../../parts/fields/pick';
import { WorkshopMemory } from '../../../services/workshop';
import { BUTTONS } from '../../../parts/buttons';

/** The order of the sections round the cup in which neighbours stay clean, and what each meeting looks like. */
@Component({
  selector: 'au-ring-order',
  imports: [BUTTONS, Icon, NumberField, Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">
      Where colours meet, flakes of both lie mixed: opposites go dull or to mud there. This order keeps the meetings cleanest;
      sections keep their blends and widths.
    </p>
    @if (sentence()) {
      <p class="wrong-note" role="alert">{{ sentence() }}</p>
    }
    <div class="line">
      <au-pick label="Keep together" [options]="names()" [value]="one()" (valueChange)="one.set($event)" />
      <au-pick label="and" [options]="names()" [value]="other()" (valueChange)="other.set($event)" />
      <button type="button" matButton="outlined" [disabled]="!canHold()" (click)="hold()">As neighbours</button>
      @for (pair of pairs(); track pair.name) {
        <button type="button" matButton="outlined" (click)="letGo(pair.at)" [attr.aria-label]="'Let go ' + pair.name">
          {{ pair.name }} <au-icon name="take out" />
        </button>
      }
    </div>
    @if (ring(); as plan) {
      <div class="line">
        <au-pick label="First at the seam" [options]="firsts()" [value]="first()" (valueChange)="first.set($event)" />
        <button type="button" matButton="filled" [disabled]="same()" (click)="ordered.emit(ids())">Put them in this order</button>
      </div>
      <p role="status">{{ says() }}</p>
      <table class="told">
        <thead>
          <tr>
            <th scope="col">Round from the seam</th>
            <th scope="col">where they meet</th>
            <th scope="col" class="num">dulled</th>
            <th scope="col">side by side</th>
            <th scope="col">wide</th>
          </tr>
        </thead>
        <tbody>
          @for (meeting of plan.meetings; track meeting.one.id; let last = $last) {
            <tr [class.mud]="meeting.mud">
              <th scope="row">
                {{ meeting.one.name }}
                <span class="soft">{{ last ? 'to ' + meeting.other.name + ', at the seam' : 'to ' + meeting.other.name }}</span>
              </th>
              <td>
                <span
                  class="meet"
                  role="img"
                  [attr.aria-label]="meeting.one.colour + ', mixed ' + meeting.mixed + ', ' + meeting.other.colour"
                >
                  <i [style.background]="meeting.one.colour"></i><i [style.background]="meeting.mixed"></i
                  ><i [style.background]="meeting.other.colour"></i>
                </span>
              </td>
              <td class="num">{{ dulled(meeting) }}</td>
              <td>{{ meeting.words.word }} ({{ meeting.difference.toFixed(0) }})</td>
              <td>
                <span class="wide">
                  <au-number
                    [label]="meeting.one.name + ', times as wide'"
                    [bare]="true"
                    unitName="×"
                    [value]="weightOf(meeting.one.id)"
                    [refused]="wrong()?.id === meeting.one.id ? (wrong()?.sentence ?? null) : null"
                    (valueChange)="weigh(meeting.one.id, $event)"
                  />
                  <small>{{ widths()[meeting.one.id] }}</small>
                </span>
              </td>
            </tr>
          }
        </tbody>
      </table>
      <div class="line">
        <button type="button" matButton="outlined" [disabled]="even()" (click)="weighed.emit(weights())">
          Give them these widths
        </button>
        <span class="soft">{{ narrow() }}</span>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    p {
      margin: 0;
    }
    .line {
      display: flex;
      gap: 12px;
      align-items: end;
    }
    th span {
      font-weight: 400;
    }
    .meet {
      display: flex;
      width: 132px;
      height: 26px;
      border-radius: 5px;
      overflow: hidden;
    }
    .meet i {
      flex: 1;
    }
    .wide {
      display: flex;
      gap: 8px;
      align-items: center;
      position: relative;
    }
    .wide au-number {
      width: 66px;
    }
    .wide small {
      color: var(--soft);
      white-space: nowrap;
    }
    .mud {
      background: var(--warn-wash);
    }
  `,
})
export class RingOrder {
  readonly design = input.required<Design>();
  readonly blends = input.required<readonly PlannedBlend[]>();
  /** ids of the sections in their new order */
  readonly ordered = output<readonly string[]>();
  /** how many times as wide as the others each is to be, by id */
  readonly weighed = output<Readonly<Record<string, number>>>();
  private readonly memory = inject(WorkshopMemory);

  protected readonly first = signal('');
  protected readonly one = signal('');
  protected readonly other = signal('');
  private readonly together = signal<readonly (readonly [string, string])[]>([]);
  protected readonly weights = signal<Readonly<Record<string, number>>>({});
  protected readonly wrong = signal<{ id: string; sentence: string } | null>(null);
  protected readonly even = computed(() => Object.values(this.weights()).every((weight) => weight === 1));
  private readonly worked = computed<{ plan: RingPlan } | { sentence: string }>(() => {
    try {
      return { plan: ringOfSections(this.design(), this.blends(), { first: this.first() || null, together: this.together() }) };
    } catch (error) {
      if (!(error instanceof RingError)) throw error;
      return { sentence: error.message };
    }
  });
  protected readonly ring = computed(() => {
    const worked = this.worked();
    return 'plan' in worked ? worked.plan : null;
  });
  protected readonly sentence = computed(() => {
    const worked = this.worked();
    return 'sentence' in worked ? worked.sentence : null;
  });
  private readonly now = computed(() => sectionsWithBlends(this.design(), this.blends()));
  protected readonly names = computed(() => [
    { value: '', name: 'choose' },
    ...this.now().map(({ id, name }) => ({ value: id, name })),
  ]);
  protected readonly pairs = computed(() => {
    const nameOf = (id: string) => this.now().find((one) => one.id === id)?.name ?? '';
    return this.together().map(([one, other], at) => ({ at, name: `${nameOf(one)} and ${nameOf(other)}` }));
  });
  protected readonly canHold = computed(() => this.one() !== '' && this.other() !== '' && this.one() !== this.other());
  private readonly shares = computed(() =>
    sectionWidths(
      this.design(),
      this.now().map(({ id }) => id),
      this.weights(),
    ),
  );
  protected readonly widths = computed(() =>
    Object.fromEntries(this.shares().map(({ id, foot, rim }) => [id as string, spanText(foot, rim, this.memory.units())])),
  );
  protected readonly narrow = computed(() => sectionsFit(this.shares()));
  protected readonly firsts = computed(() => [
    { value: '', name: 'the quietest meeting there' },
    ...this.now().map(({ id, name }) => ({ value: id, name })),
  ]);
  protected readonly ids = computed(() => (this.ring()?.order ?? []).map(({ id }) => id));
  protected readonly same = computed(
    () =>
      this.ids().join() ===
      this.now()
        .map(({ id }) => id)
        .join(),
  );
  protected readonly says = computed(() => {
    const ring = this.ring();
    return ring ? ringWords(ring, this.same()) : '';
  });

  protected readonly dulled = dulledWord;

  protected readonly weightOf = (id: string): number => this.weights()[id] ?? 1;

  protected hold(): void {
    this.together.update((pairs) => [...pairs, [this.one(), this.other()]]);
    this.one.set('');
    this.other.set('');
  }

  protected letGo(at: number): void {
    this.together.update((pairs) => pairs.toSpliced(at, 1));
  }

  protected weigh(id: string, weight: number | null): void {
    const fits = weight !== null && weight >= 0.1 && weight <= 10;
    this.wrong.set(fits ? null : { id, sentence: 'A tenth to ten times as wide.' });
    if (fits) this.weights.update((weights) => ({ ...weights, [id]: weight }));
  }
}
