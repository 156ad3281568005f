import { typicalFlake } from '../glitter';
import type { ItemOf, ShelfItem, ShelfItemId, ShelfKind } from './shelf-item';

/** A new item of a kind, with the values makers would call usual; to be corrected from its label. */
export function startingItem(kind: ShelfKind, id: string): ShelfItem {
  const shared = { id: id as ShelfItemId, note: '', left: null, paid: null, full: null, opened: null, lot: '' };
  switch (kind) {
    case 'glitter':
      return {
        kind,
        ...shared,
        name: 'New glitter',
        finish: 'metallic',
        basis: 'typical',
        flake: { colour: '#d98a2f', kind: 'solid', opacity: 1, cut: 0.4, ...typicalFlake(0.4) },
      };
    case 'ink':
      return {
        kind,
        ...shared,
        name: 'New ink',
        type: 'dye',
        colour: '#2f7fd0',
        hiding: 0.5,
        referenceLoad: 1,
        referenceFilm: 0.35,
        dropMl: 0.04,
      };
    case 'paint':
      return { kind, ...shared, name: 'New paint', colour: '#8c3a1f', dryMinutes: 30 };
    case 'resin':
      return {
        kind,
        ...shared,
        name: 'New resin',
        ratio: [1, 1],
        density: [1.1, 1],
        potLife: 25,
        tackFrom: 180,
        tackUntil: 420,
        sandAfter: 480,
      };
    case 'glue':
      return { kind, ...shared, name: 'New glue', way: 'brush-on', hold: 1.4, open: [3, 5], dryMinutes: 60 };
  }
}

/** A glitter with another cut; what follows from the cut goes to the usual values for it. */
export const withCut = (item: ItemOf<'glitter'>, cut: number): ItemOf<'glitter'> => ({
  ...item,
  flake: { ...item.flake, ...typicalFlake(cut), cut },
});

/** The colour an item shows on the shelf; resin and glue have none of their own. */
export function colourOf(item: ShelfItem): string {
  switch (item.kind) {
    case 'glitter':
      return item.flake.colour;
    case 'ink':
    case 'paint':
      return item.colour;
    case 'resin':
      return '#f3ead9';
    case 'glue':
      return '#e9dcc4';
  }
}
