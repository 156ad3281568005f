import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { countText, listText, MOST_INKS, percentText, type CoatId, type Design } from '@aurantia/core';
import { withInks, type OfferedPots } from '@aurantia/core/ink-pot';

import { catchError, debounceTime, EMPTY, startWith, switchMap } from 'rxjs';
import { Notices } from '../../../services/notices';
import { SuggestedCoats } from '../../../services/suggested-coats';
import { DesignSession } from '../../session';
import { Offers, offerWords, type Offer } from './offers';

/** ms without a change before the shelf is looked through */
const QUIET = 300;

/** Which inks of the shelf, one, two or three in a pot, come nearest to a colour in a tinted coat. */
@Component({
  selector: 'au-which-inks',
  imports: [Offers],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './which-inks.html',
  styleUrl: './which-inks.scss',
})
export class WhichInks {
  private readonly suggested = inject(SuggestedCoats);
  private readonly session = inject(DesignSession);
  private readonly notices = inject(Notices);
  readonly design = input.required<Design>();
  readonly coat = input.required<CoatId>();
  readonly place = input.required<string>();
  /** hex */
  readonly wanted = input.required<string>();

  private readonly asked = computed(() => ({
    design: this.design(),
    wish: { coat: this.coat(), place: this.place(), wanted: this.wanted(), size: MOST_INKS },
  }));
  protected readonly answer = toSignal<OfferedPots | null>(
    toObservable(this.asked).pipe(
      debounceTime(QUIET),
      switchMap(({ design, wish }) =>
        this.suggested.inks(design, wish).pipe(
          catchError((error: unknown) => {
            this.notices.failed(error);
            return EMPTY;
          }),
          startWith(null),
        ),
      ),
    ),
  );
  private readonly pots = computed(() => this.answer()?.pots ?? []);
  protected readonly offers = computed<readonly Offer[]>(() =>
    this.pots().map((pot) => ({
      seen: pot.seen,
      drops: listText(pot.inks.map(({ drops, dose, name }) => `${countText(drops, dose)} of ${name}`)),
      words: offerWords(pot),
    })),
  );
  protected readonly state = computed(() => {
    const answer = this.answer();
    if (!answer?.over) return `looking through the inks${answer ? `, ${percentText(answer.progress)}` : ''}…`;
    if (answer.pots.length === 0) return 'There is no ink on the shelf, or no resin in this coat.';
    const more = answer.pots.length < MOST_INKS ? ' A further ink comes no nearer by more than the eye sees.' : '';
    return `No drops of these inks come nearer in one coat.${more}`;
  });

  protected take(at: number): void {
    const pot = this.pots()[at];
    const refused = this.session.change((design) => withInks(design, this.coat(), pot));
    if (refused) this.notices.failed(new Error(refused));
  }
}
