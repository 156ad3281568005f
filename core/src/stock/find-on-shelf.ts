import { deltaE2000, labOf, reflectanceOf } from '../colour';
import { cutsOf, FINE_CUT } from '../glitter';
import type { ShelfItem } from './shelf-item';
import { colourOf } from './starting-item';

/** What a maker looks for. Cuts mm. */
export interface ShelfSearch {
  /** words that name, note, lot or facts must all have */
  readonly words: string;
  /** hex to be near to; the nearest come first */
  readonly colour: string | null;
  /** cut of glitter, from and up to; null for any item */
  readonly cut: readonly [number, number] | null;
}

export interface FoundItem {
  readonly item: ShelfItem;
  /** ΔE00 from the colour looked for; null when none is, or the item has no colour of its own */
  readonly difference: number | null;
}

/** Cuts of glitter as makers speak of them, mm. */
export const cutRanges: readonly {
  readonly value: string;
  readonly name: string;
  readonly range: readonly [number, number] | null;
}[] = [
  { value: '', name: 'any cut', range: null },
  { value: 'fine', name: `fine, to ${FINE_CUT} mm`, range: [0, FINE_CUT] },
  { value: 'middle', name: `${FINE_CUT} to 1 mm`, range: [FINE_CUT, 1] },
  { value: 'chunky', name: 'chunky, from 1 mm', range: [1, 99] },
];

const coloured = (item: ShelfItem): boolean => item.kind !== 'resin' && item.kind !== 'glue';

/**
 * Items that fit a search: in their own order, or by colour, the nearest first.
 * @param factOf what the screen says of an item, so that it is found by that too
 */
export function foundOnShelf(
  shelf: readonly ShelfItem[],
  { words, colour, cut }: ShelfSearch,
  factOf: (item: ShelfItem) => string,
): readonly FoundItem[] {
  const wanted = words.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const target = colour === null ? null : labOf(reflectanceOf(colour));
  const found = shelf
    .filter((item) => {
      const text = `${item.name} ${item.note} ${item.lot} ${factOf(item)}`.toLowerCase();
      return wanted.every((word) => text.includes(word));
    })
    .filter(
      (item) =>
        cut === null || (item.kind === 'glitter' && cutsOf(item.flake).some((one) => one.cut >= cut[0] && one.cut <= cut[1])),
    )
    .filter((item) => target === null || coloured(item))
    .map((item) => ({
      item,
      difference: target ? deltaE2000(target, labOf(reflectanceOf(colourOf(item)))) : null,
    }));
  return target ? found.sort((one, other) => (one.difference ?? 0) - (other.difference ?? 0)) : found;
}
