import { differenceWords, hexOfLab, type DifferenceWords } from '../colour';
import { gramsPerMl } from '../glitter';
import type { ItemOf, ShelfItemId } from '../stock';
import { tidy } from '../units';
import type { SearchState } from './mix-question';

/** A found mix, ready to be read and poured. */
export interface FoundMix {
  readonly size: number;
  readonly parts: readonly {
    readonly item: ShelfItemId;
    readonly name: string;
    readonly colour: string;
    readonly ml: number;
    readonly gramsPerMl: number;
  }[];
  /** hex it is predicted to have from afar */
  readonly colour: string;
  readonly difference: number;
  readonly words: DifferenceWords;
  /** nothing of this size comes nearer than this, ΔE00 */
  readonly bound: number;
  readonly proven: boolean;
}

export interface ShelfAnswer {
  readonly mixes: readonly FoundMix[];
  readonly evaluated: number;
  /** 0..1 of the size worked on; 1 when all is done */
  readonly progress: number;
  readonly over: boolean;
}

/** What a search came to, in the shelf’s own names; the most of each jar first. */
export const shelfAnswer = (
  { answers, evaluated, progress }: SearchState,
  items: readonly ItemOf<'glitter'>[],
  step: number,
  over: boolean,
): ShelfAnswer => ({
  evaluated,
  progress,
  over,
  mixes: answers.map(({ size, best, bound, proven }) => ({
    size,
    parts: best.parts
      .map(({ jar, steps }) => ({
        item: items[jar].id,
        name: items[jar].name,
        colour: items[jar].flake.colour,
        ml: tidy(steps * step),
        gramsPerMl: gramsPerMl(items[jar].flake),
      }))
      .sort((one, other) => other.ml - one.ml),
    colour: hexOfLab(best.lab),
    difference: best.difference,
    words: differenceWords(best.difference),
    bound,
    proven,
  })),
});
