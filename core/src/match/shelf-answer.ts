import type { PlannedBlend } from '../blends';
import { differenceWords, hexOfLab, type DifferenceWords } from '../colour';
import { facePerMl, gramsPerMl } from '../glitter';
import { costPerMl, itemOf, type ItemOf, type ShelfItem, type ShelfItemId } from '../stock';
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
  /** what enough of it costs to lie one flake deep on 100 cm²; null where a price isn't known */
  readonly coverCost: number | null;
}

export interface ShelfAnswer {
  readonly mixes: readonly FoundMix[];
  readonly evaluated: number;
  /** 0..1 of the size worked on; 1 when all is done */
  readonly progress: number;
  readonly over: boolean;
}

/** What enough of a mix costs to lie one flake deep on 100 cm²: what a ml covers counts, not what it is. */
export function coverCost(parts: readonly { readonly item: ItemOf<'glitter'>; readonly ml: number }[]): number | null {
  const costs = parts.map(({ item, ml }) => {
    const perMl = costPerMl(item);
    return perMl === null ? null : perMl * ml;
  });
  if (costs.length === 0 || costs.includes(null)) return null;
  const face = parts.reduce((sum, { item, ml }) => sum + ml * facePerMl(item.flake), 0);
  return (100 * costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0)) / face;
}

/** The same of a blend as it is; null where a price isn't known or a jar is gone. */
export function coverCostOf(blend: Pick<PlannedBlend, 'parts'>, shelf: readonly ShelfItem[]): number | null {
  const parts = blend.parts.flatMap(({ item: id, ml }) => {
    const item = itemOf(shelf, id, 'glitter');
    return item ? [{ item, ml }] : [];
  });
  return parts.length === blend.parts.length ? coverCost(parts) : null;
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
    coverCost: coverCost(best.parts.map(({ jar, steps }) => ({ item: items[jar], ml: steps * step }))),
  })),
});
