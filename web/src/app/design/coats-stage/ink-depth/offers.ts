import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { differenceWords, percentText } from '@aurantia/core';
import { BUTTONS } from '../../../parts/buttons';

/** Drops that are offered, in words, and hex of what they come to. */
export interface Offer {
  readonly seen: string;
  readonly drops: string;
  readonly words: string;
}

/** How much of the resin they are, and how near they come. @param load % @param away ΔE00 */
export const offerWords = ({ load, away }: { readonly load: number; readonly away: number }): string =>
  `${percentText(load / 100, 1)} of the resin; ${differenceWords(away).word}, ${away.toFixed(1)} away`;

/** Drops that are offered: the colour they come to, what they are, and the way to take them. */
@Component({
  selector: 'au-offers',
  imports: [BUTTONS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul>
      @for (one of offers(); track $index; let at = $index) {
        <li>
          <i [style.background]="one.seen" aria-hidden="true"></i>
          <span
            ><b>{{ one.drops }}</b> <small>{{ one.words }}</small></span
          >
          <button type="button" matButton="outlined" (click)="taken.emit(at)" [attr.aria-label]="'Take it: ' + one.drops">
            Take it
          </button>
        </li>
      }
    </ul>
  `,
  styleUrl: './offers.scss',
})
export class Offers {
  readonly offers = input.required<readonly Offer[]>();
  /** which of them */
  readonly taken = output<number>();
}
