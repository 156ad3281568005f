import { ChangeDetectionStrategy, Component, computed, inject, input, model } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { listText, type CoatId } from '@aurantia/core';
import { asPlannedSoFar, NOTHING_OTHER, type AmountAnew, type BenchCoat, type FromHere } from '@aurantia/core/make';
import { catchError, debounceTime, map, of, switchMap } from 'rxjs';
import { BUTTONS } from '../../parts/buttons';
import { Icon } from '../../parts/icons/icon';
import { Workers } from '../../services/workers';
import type { LoggedMake } from '../../services/makes';
import { WorkshopMemory } from '../../services/workshop';
import { newFromHereWorker } from '../../workers/new-worker';
import type { FromHereReply } from '../../workers/from-here-request';

/** ms without a change after which it is worked out: while somebody types nothing else is. */
const QUIET = 200;

interface Answer {
  readonly anew: FromHere;
  readonly sentence: string | null;
}
const AS_PLANNED: Answer = { anew: NOTHING_OTHER, sentence: null };

/** The rest of a cup planned anew from what was really done: this coat's amounts, what the cup will look like, what is wrong now. */
@Component({
  selector: 'au-from-here',
  imports: [BUTTONS, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (trouble(); as sentence) {
      <p class="soft">{{ sentence }}</p>
    }
    @if (own().length > 0) {
      <div class="answer" role="status">
        <span>After what was really done this coat takes {{ told() }}.</span>
        <button type="button" matButton="filled" (click)="take()">Take {{ own().length === 1 ? 'it' : 'these' }}</button>
      </div>
    }
    @if (anew().places.length > 0 || anew().findings.length > 0 || later().length > 0) {
      <ul aria-label="What becomes of it">
        @for (place of anew().places; track place.says) {
          <li>
            <span class="dot" [style.background]="place.planned"></span
            ><span class="dot" [style.background]="place.becomes"></span>{{ place.says }}
          </li>
        }
        @for (finding of anew().findings; track finding.says) {
          <li class="finding"><au-icon [name]="finding.level" /> {{ finding.says }} {{ finding.why }}</li>
        }
        @for (line of later(); track line) {
          <li class="soft">{{ line }}</li>
        }
      </ul>
    }
  `,
  styleUrl: './from-here.scss',
})
export class FromHerePane {
  private readonly workers = inject(Workers);
  private readonly memory = inject(WorkshopMemory);
  readonly logged = input.required<LoggedMake>();
  /** the coat that is being laid, or comes next */
  readonly coat = input.required<CoatId | null>();
  readonly coats = input.required<readonly BenchCoat[]>();
  readonly poured = model<Readonly<Record<string, number>>>({});

  private readonly asked = computed(() => {
    const { make, entries } = this.logged();
    return { make, entries, laying: this.poured(), now: this.memory.settings() };
  });
  private readonly answer = toSignal(
    toObservable(this.asked).pipe(
      debounceTime(QUIET),
      switchMap((asked) =>
        asPlannedSoFar(this.coats(), asked.laying)
          ? of(AS_PLANNED)
          : this.workers
              .ask<FromHereReply>(newFromHereWorker, asked, () => true)
              .pipe(
                map(({ anew }): Answer => ({ anew, sentence: null })),
                catchError((error: unknown) => of({ ...AS_PLANNED, sentence: error instanceof Error ? error.message : null })),
              ),
      ),
    ),
    { initialValue: AS_PLANNED },
  );
  protected readonly anew = computed(() => this.answer().anew);
  protected readonly trouble = computed(() => this.answer().sentence);
  protected readonly own = computed(() => this.anew().amounts.filter(({ coat }) => coat === this.coat()));
  protected readonly told = computed(() =>
    listText(this.own().map(({ name, anew, planned }) => `${anew} of ${name} (${planned} planned)`)),
  );
  protected readonly later = computed(() => {
    const { make } = this.logged();
    const later = this.anew().amounts.filter(({ coat }) => coat !== this.coat());
    const titles = new Map(make.steps.map(({ coat, title }) => [coat, title]));
    const line = ({ coat, name, anew, planned }: AmountAnew) =>
      `${titles.get(coat) ?? ''} will take ${anew} of ${name} (${planned} planned).`;
    return [...new Set(later.map(line))];
  });

  protected take(): void {
    this.poured.set({ ...this.poured(), ...Object.fromEntries(this.own().map(({ key, amount }) => [key, amount])) });
  }
}
