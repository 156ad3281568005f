import type { Spectrum } from '../colour';
import type { Finish, Glitter } from '../glitter';
import type { ShelfItemId } from '../stock';
import type { PotSlot } from './pot-slots';

/** What a pot is mixed of: jars in proportions, ml. */
export interface FadeMix {
  readonly name: string;
  readonly parts: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly glitter: Glitter;
    readonly finish: Finish;
    readonly ml: number;
  }[];
}

/** A colour the fade goes through. */
export interface WishedStop {
  readonly mix: FadeMix;
  /** share of the way */
  readonly at: number;
  /** share of the full depth */
  readonly cover: number;
  /** what lies under it */
  readonly under: Spectrum;
}

/** A fade through two stops or more, in pots. Areas cm², depths in flakes. */
export interface FadeWish {
  readonly stops: readonly WishedStop[];
  readonly slots: readonly PotSlot[];
  /** cm² of wall each pot lays: over the overlap it thins out, so that two together are as dense there as one alone */
  readonly areas: readonly number[];
  /** mm of wall each pot takes along the way, and that neighbours are strewn over each other */
  readonly along: readonly number[];
  readonly overlap: number;
  /** flakes deep that one pass holds at most; null when all of it sticks */
  readonly hold: number | null;
  readonly passes: number;
  /** flakes deep at full cover, all passes */
  readonly depth: number;
  /** the maker's spoon, ml */
  readonly step: number;
  readonly castOff: boolean;
  /** what jars gave for a pot, by the pot, where it was weighed at a cup before and is laid as it was; nothing elsewhere */
  readonly weighed?: ReadonlyMap<number, FadeMix['parts']>;
}

/** The widest step over the narrowest that is even enough; beyond it a finer spoon is asked for. */
export const EVEN_ENOUGH = 1.6;

/** The fade can't be laid so; the sentence says what to change. */
export class FadeError extends Error {
  override readonly name = 'FadeError';
}
