import { chromaOf, hexOf, isMud, layOver, type Spectrum } from '../colour';
import { potFilm, type InkedPot } from '../ink';

/** mm of colour where strings lie, before they thin out. */
const LIES = 0.15;

/** Two pots where they run into each other, half of each, over the same ground. */
export interface WetMeeting {
  readonly pots: readonly [number, number];
  /** hex of either alone, and of what they come to */
  readonly alone: readonly [string, string];
  readonly mixed: string;
  /** share of their mean liveliness (OKLCh chroma) that is lost where they meet, 0 to 1 */
  readonly dulled: number;
  /** both are lively and what lies between them is grey */
  readonly mud: boolean;
}

/** Every two of some pots of colour, as they meet over a ground. */
export const wetMeetings = (pots: readonly InkedPot[], under: Spectrum): readonly WetMeeting[] =>
  pots.flatMap((one, i) =>
    pots.slice(i + 1).map((other, j): WetMeeting => {
      const [first, second] = [one, other].map((pot) => layOver(potFilm([pot], LIES), under));
      const both = layOver(potFilm([one, other], LIES / 2), under);
      const [chroma, beside, met] = [first, second, both].map(chromaOf);
      const mean = (chroma + beside) / 2;
      return {
        pots: [i, i + 1 + j],
        alone: [hexOf(first), hexOf(second)],
        mixed: hexOf(both),
        dulled: mean > 0 ? Math.max(0, 1 - met / mean) : 0,
        mud: isMud(chroma, beside, met),
      };
    }),
  );
