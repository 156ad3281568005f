import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import {
  dulledWord,
  RingError,
  ringOfSections,
  ringWords,
  sectionsWithBlends,
  type Design,
  type PlannedBlend,
  type RingPlan,
} from '@aurantia/core';
import { Pick } from '../../../parts/fields/pick';

/** The order of the sections round the cup in which neighbours stay clean, and what each meeting looks like. */
@Component({
  selector: 'au-ring-order',
  imports: [Pick],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="soft">
      Where colours meet, flakes of both lie mixed: opposites go dull or to mud there. This order keeps the meetings cleanest;
      sections keep their blends and widths.
    </p>
    @if (sentence()) {
      <p class="wrong-note" role="alert">{{ sentence() }}</p>
    }
    @if (ring(); as plan) {
      <div class="line">
        <au-pick label="First at the seam" [options]="firsts()" [value]="first()" (valueChange)="first.set($event)" />
        <button type="button" class="act" [disabled]="same()" (click)="ordered.emit(ids())">Put them in this order</button>
      </div>
      <p role="status">{{ says() }}</p>
      <table class="told">
        <thead>
          <tr>
            <th scope="col">Round from the seam</th>
            <th scope="col">where they meet</th>
            <th scope="col" class="num">dulled</th>
            <th scope="col">side by side</th>
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
            </tr>
          }
        </tbody>
      </table>
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

  protected readonly first = signal('');
  private readonly worked = computed<{ plan: RingPlan } | { sentence: string }>(() => {
    try {
      return { plan: ringOfSections(this.design(), this.blends(), this.first() || null) };
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
}
