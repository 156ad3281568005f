import type { Lab, Spectrum } from '../colour';
import type { Glitter } from '../glitter';

/** A jar that may go into a mix. */
export interface MixJar {
  readonly glitter: Glitter;
  /** ml there is of it; null when nobody keeps count */
  readonly left: number | null;
  /** the mix must have it */
  readonly keep: boolean;
}

/** Which mix comes nearest to a colour. */
export interface MixQuestion {
  /** D65 */
  readonly target: Lab;
  readonly jars: readonly MixJar[];
  /** at most so many jars */
  readonly size: number;
  /** ml of the whole mix, and of the maker’s spoon */
  readonly total: number;
  readonly step: number;
  /** flakes deep it will lie */
  readonly depth: number;
  /** what it lies on */
  readonly under: Spectrum;
  /** ΔE00 that no eye misses: a mix of more than three jars, or with see-through jars and far from the target, that is proven nearest but for so much is near enough. 0 for exactly the nearest. */
  readonly closeEnough: number;
  /** and for such a share of the difference */
  readonly closeShare: number;
}

/** One mix: which jars, by their place in the question, and how many steps of each. */
export interface Mix {
  readonly parts: readonly { readonly jar: number; readonly steps: number }[];
  readonly lab: Lab;
  /** ΔE00 from the target */
  readonly difference: number;
}

/** The nearest mix of exactly so many jars. */
export interface SizeAnswer {
  readonly size: number;
  readonly best: Mix;
  /** no mix of so many jars comes nearer than this, ΔE00; 0 while nothing is proven */
  readonly bound: number;
  /** nothing of this size beats it by more than what was close enough */
  readonly proven: boolean;
}

export interface SearchState {
  /** one a size, the smallest first; sizes no mix can have are left out */
  readonly answers: readonly SizeAnswer[];
  /** mixes whose colour was worked out to the end */
  readonly evaluated: number;
  /** 0..1 of the size worked on */
  readonly progress: number;
}

/** The question can’t be asked so; the sentence says what to change. */
export class MixQuestionError extends Error {
  override readonly name = 'MixQuestionError';
}

/** The jars that are wanted, those to be kept first, and how many those are. */
export const keptFirst = (
  jars: MixQuestion['jars'],
  wanted: (jar: number) => boolean,
): { jars: readonly number[]; keep: number } => {
  const all = jars.map((_, jar) => jar).filter(wanted);
  const kept = all.filter((jar) => jars[jar].keep);
  return { jars: [...kept, ...all.filter((jar) => !jars[jar].keep)], keep: kept.length };
};
