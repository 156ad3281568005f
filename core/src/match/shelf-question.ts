import { labOf, reflectanceOf } from '../colour';
import { coarsestCut, FINE_CUT } from '../glitter';
import { costPerMl, type ItemOf, type ShelfItem, type ShelfItemId } from '../stock';
import type { MixQuestion } from './mix-question';

/** What a maker asks of the shelf. Volumes ml, cut mm. */
export interface ShelfWish {
  readonly target: string;
  readonly size: number;
  readonly total: number;
  readonly step: number;
  readonly depth: number;
  /** hex of what it lies on */
  readonly under: string;
  readonly keep: readonly ShelfItemId[];
  /** jars to leave out, such as one that ran out */
  readonly without: readonly ShelfItemId[];
  /** only flakes up to the fine cut */
  readonly onlyFine: boolean;
  /** no more of a jar than there is */
  readonly onlyLeft: boolean;
  /** not the nearest, but the cheapest within a difference, ΔE00, of the colour wanted; null for the nearest */
  readonly cheapest: {
    readonly within: number;
    /** what 100 cm² of face may cost at most; null where nobody knows what it costs now */
    readonly below: number | null;
  } | null;
}

/** What a mix is searched for where no blend says it yet: ml, and flakes deep, which leaves 5 % bare. */
export const usualMix = { total: 12.5, depth: 3 } as const;

/** What a nearer mix of many jars must win to be searched for, ΔE00: half of what is just seen side by side. */
const UNSEEN = 0.5;

/** The jars of a shelf that a wish allows, and the question they make. Up to three jars the answer is exact. */
export function shelfQuestion(
  wish: ShelfWish,
  shelf: readonly ShelfItem[],
): { question: MixQuestion; items: readonly ItemOf<'glitter'>[] } {
  const items = shelf.filter(
    (item): item is ItemOf<'glitter'> =>
      item.kind === 'glitter' &&
      !wish.without.includes(item.id) &&
      (!wish.onlyFine || coarsestCut(item.flake) <= FINE_CUT || wish.keep.includes(item.id)) &&
      (!wish.onlyLeft || item.left === null || item.left >= wish.step) &&
      (wish.cheapest === null || costPerMl(item) !== null),
  );
  return {
    items,
    question: {
      target: labOf(reflectanceOf(wish.target)),
      jars: items.map((item) => ({
        glitter: item.flake,
        left: wish.onlyLeft ? item.left : null,
        keep: wish.keep.includes(item.id),
      })),
      size: wish.size,
      total: wish.total,
      step: wish.step,
      depth: wish.depth,
      under: reflectanceOf(wish.under),
      closeEnough: UNSEEN,
      closeShare: 0.1,
    },
  };
}
