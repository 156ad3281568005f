import { pouredParts, type PlannedBlend } from '../blends';
import { deltaE2000, differenceWords, hexOf, labOf, reflectanceOf, type DifferenceWords } from '../colour';
import { facePerMl, flakeRain } from '../glitter';
import type { ItemOf, ShelfItem } from '../stock';
import { usualMix } from './shelf-question';

/** A jar that could stand in for another. */
export interface Replacement {
  readonly item: ItemOf<'glitter'>;
  readonly difference: number;
  readonly words: DifferenceWords;
  /** what else is not the same, a few words; empty when nothing is */
  readonly unlike: string;
}

/** What a double cut, another way of letting light through, and another finish weigh against a colour difference, ΔE00. */
const WEIGHT = { cut: 8, kind: 15, finish: 3 };

/** The jars that best stand in for one, by colour, cut and effect; at most so many. */
export function insteadOf(gone: ItemOf<'glitter'>, shelf: readonly ShelfItem[], most = 3): readonly Replacement[] {
  const target = labOf(reflectanceOf(gone.flake.colour));
  return shelf
    .flatMap((item) => (item.kind === 'glitter' && item.id !== gone.id ? [item] : []))
    .map((item) => {
      const difference = deltaE2000(target, labOf(reflectanceOf(item.flake.colour)));
      const cut = Math.abs(Math.log2(item.flake.cut / gone.flake.cut));
      const [kind, finish] = [item.flake.kind !== gone.flake.kind, item.finish !== gone.finish];
      return {
        item,
        difference,
        words: differenceWords(difference),
        unlike: unlikeIn(item, gone),
        cost: difference + WEIGHT.cut * cut + (kind ? WEIGHT.kind : 0) + (finish ? WEIGHT.finish : 0),
      };
    })
    .sort((one, other) => one.cost - other.cost)
    .slice(0, most)
    .map(({ item, difference, words, unlike }) => ({ item, difference, words, unlike }));
}

const kindNames = { solid: 'opaque', tinted: 'see-through', opal: 'opal' } as const;

const unlikeIn = (item: ItemOf<'glitter'>, gone: ItemOf<'glitter'>): string =>
  [
    item.flake.cut > gone.flake.cut ? 'coarser' : item.flake.cut < gone.flake.cut ? 'finer' : '',
    item.flake.kind === gone.flake.kind ? '' : kindNames[item.flake.kind],
    item.finish === gone.finish ? '' : item.finish,
  ]
    .filter((words) => words !== '')
    .join(', ');

/**
 * The colour a blend had with the jars that have left the shelf since, hex: what a corrected mix should come to.
 * @param all the shelf and the jars that are gone
 */
export function colourBefore(blend: PlannedBlend, all: readonly ShelfItem[], shelf: readonly ShelfItem[]): string {
  const face = (items: readonly ShelfItem[]) =>
    pouredParts(blend.parts, items).reduce((sum, { glitter, ml }) => sum + ml * facePerMl(glitter), 0);
  const now = face(shelf);
  const depth = now > 0 && blend.kept > 0 ? (blend.kept * face(all)) / now : usualMix.depth;
  return hexOf(flakeRain(pouredParts(blend.parts, all), depth, reflectanceOf(blend.under)));
}
