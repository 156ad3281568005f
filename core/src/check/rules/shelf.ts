import { inksOf, itemsOfCoat } from '../../design';
import { itemOf, type ShelfItem, type ShelfKind } from '../../stock';
import type { Rule } from '../finding';

export const missingItem: Rule = {
  name: 'no longer on the shelf',
  find: ({ design, workshop }) => {
    const gone = (shelf: readonly ShelfItem[], id: string, kind: ShelfKind) => !itemOf(shelf, id, kind);
    return [
      ...design.coats.flatMap((coat) =>
        [...new Set(itemsOfCoat(coat).flatMap(({ id, kind }) => (gone(workshop.shelf, id, kind) ? [kind] : [])))].map((kind) => ({
          level: 'stop' as const,
          coat: coat.id,
          area: null,
          says:
            kind === 'ink' && inksOf(coat).length > 1
              ? 'Not all inks of this pot are on the shelf.'
              : `The ${kind} this coat uses isn’t on the shelf.`,
          why: 'Its amounts and its colour can’t be worked out. Choose another.',
          fix: null,
        })),
      ),
      ...design.fades.flatMap(({ area, stops }) =>
        stops.some(({ base }) => base !== null && gone(workshop.shelf, base, 'paint'))
          ? [
              {
                level: 'stop' as const,
                coat: null,
                area,
                says: 'A paint under this fade isn’t on the shelf any more.',
                why: 'The base there is taken for what the coat lays. Choose another, or put it back on the shelf.',
                fix: null,
              },
            ]
          : [],
      ),
      ...[...design.blends, ...design.fades.flatMap(({ area, stops }) => stops.map(({ parts }) => ({ area, parts })))].flatMap(
        (blend) =>
          blend.parts.some((part) => gone(workshop.shelf, part.item, 'glitter'))
            ? [
                {
                  level: 'stop' as const,
                  coat: null,
                  area: blend.area,
                  says: 'A glitter of this blend isn’t on the shelf any more.',
                  why: 'It counts for nothing here. Take it out, or put it back on the shelf.',
                  fix: null,
                },
              ]
            : [],
      ),
    ];
  },
};
