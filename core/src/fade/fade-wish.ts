import type { Spectrum } from '../colour';
import type { Glitter } from '../glitter';
import type { ShelfItemId } from '../stock';

/** What a pot is mixed of: jars in proportions, ml. */
export interface FadeMix {
  readonly name: string;
  readonly parts: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly glitter: Glitter;
    readonly ml: number;
  }[];
}

/** A fade up a band of the wall, in pots. Heights mm from the foot, areas cm², depths in flakes. */
export interface FadeWish {
  /** at the lower end */
  readonly from: FadeMix;
  /** at the upper end; null to thin out to nearly bare */
  readonly to: FadeMix | null;
  /** how many pots, ends included; null for as many as no eye sees a step between from arm's length */
  readonly pots: number | null;
  readonly low: number;
  readonly high: number;
  /** cm² of the band between two heights */
  readonly areaBetween: (from: number, to: number) => number;
  /** mm that neighbouring pots are strewn over each other */
  readonly overlap: number;
  /** flakes deep that one pass holds at most; null when all of it sticks */
  readonly hold: number | null;
  readonly passes: number;
  /** flakes deep a full pot ends up, all passes */
  readonly depth: number;
  readonly under: Spectrum;
  /** the maker's spoon, ml */
  readonly step: number;
}

export const MOST_POTS = 12;

/** The widest step over the narrowest that is even enough; beyond it a finer spoon is asked for. */
export const EVEN_ENOUGH = 1.6;

/** The fade can't be laid so; the sentence says what to change. */
export class FadeError extends Error {
  override readonly name = 'FadeError';
}
