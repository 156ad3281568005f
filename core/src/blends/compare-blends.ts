import { deltaE2000, differenceWords, type DifferenceWords } from '../colour';
import type { PlannedBlend } from './blend-outcome';

/** Two blends beside each other. */
export interface BlendPair {
  readonly one: string;
  readonly other: string;
  readonly difference: number;
  readonly words: DifferenceWords;
}

/** Every pair of some blends with how far apart they are seen, the nearest first. */
export const comparedBlends = (blends: readonly PlannedBlend[]): readonly BlendPair[] =>
  blends
    .flatMap((one, i) =>
      blends.slice(i + 1).map((other) => {
        const difference = deltaE2000(one.lab, other.lab);
        return { one: one.areaName, other: other.areaName, difference, words: differenceWords(difference) };
      }),
    )
    .sort((one, other) => one.difference - other.difference);
