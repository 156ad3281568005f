import { typicalFlake } from '../glitter';
import type { ShelfGroup } from './shelf-group';
import type { ItemOf, ShelfItem, ShelfItemId } from './shelf-item';

/** A new item of a kind, with the values makers would call usual; to be corrected from its label. */
export function startingItem(group: ShelfGroup, id: string): ShelfItem {
  const shared = { id: id as ShelfItemId, note: '', left: null, paid: null, full: null, opened: null, lot: '' };
  switch (group) {
    case 'glitter':
      return {
        kind: group,
        ...shared,
        name: 'New glitter',
        finish: 'metallic',
        basis: 'typical',
        flake: { colour: '#d98a2f', kind: 'solid', opacity: 1, cut: 0.4, ...typicalFlake(0.4) },
      };
    case 'pearl':
      return {
        kind: 'ink',
        ...shared,
        name: 'New pearl',
        type: 'pearl',
        basis: 'typical',
        colour: '#d9c7a3',
        hiding: 0.5,
        referenceLoad: 2,
        referenceFilm: 0.35,
        dropMl: 0.1,
      };
    case 'film':
      return {
        kind: group,
        ...shared,
        name: 'New film',
        type: 'clear',
        colour: '#f2f2ee',
        width: 210,
        length: 297,
        thickness: 80,
      };
    case 'ink':
      return {
        kind: group,
        ...shared,
        name: 'New ink',
        type: 'dye',
        basis: 'typical',
        colour: '#2f7fd0',
        hiding: 0.5,
        referenceLoad: 1,
        referenceFilm: 0.35,
        dropMl: 0.04,
      };
    case 'paint':
      return { kind: group, ...shared, name: 'New paint', colour: '#8c3a1f', dryMinutes: 30 };
    case 'resin':
      return {
        kind: group,
        ...shared,
        name: 'New resin',
        ratio: [1, 1],
        ratioBy: 'volume',
        density: [1.1, 1],
        viscosity: 800,
        potLife: 25,
        tackFrom: 180,
        tackUntil: 420,
        sandAfter: 480,
        keeps: 12,
      };
    case 'glue':
      return { kind: group, ...shared, name: 'New glue', way: 'brush-on', hold: 1.4, open: [3, 5], dryMinutes: 60 };
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
    case 'film':
      return item.colour;
    case 'resin':
      return '#f3ead9';
    case 'glue':
      return '#e9dcc4';
  }
}
