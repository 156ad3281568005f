import { itemsOfCoat } from '../../design';
import { countText } from '../../units';
import type { Rule } from '../finding';

/** Materials whose values were never looked at: the plan is as good as they are. */
export const typicalMaterials: Rule = {
  name: 'typical materials',
  find: ({ design, workshop }) => {
    const used = new Set<string>([
      ...design.coats.flatMap((coat) => itemsOfCoat(coat).map(({ id }) => id)),
      ...[...design.blends, ...design.fades.flatMap(({ stops }) => stops)].flatMap(({ parts }) => parts.map(({ item }) => item)),
      ...design.fades.flatMap(({ stops }) => stops.flatMap(({ base }) => base ?? [])),
    ]);
    const typical = workshop.shelf.filter((item) => item.typical && used.has(item.id));
    if (typical.length === 0) return [];
    return [
      {
        level: 'tip' as const,
        coat: null,
        area: null,
        says: `${countText(typical.length, 'material')} of this plan ${typical.length === 1 ? 'is' : 'are'} typical, not measured: ${names(typical)}.`,
        why: 'Amounts, colours and waits are those usual for such a thing. Check each on the shelf against its label.',
        fix: null,
      },
    ];
  },
};

/** How many are named. */
const NAMED = 4;
const names = (items: readonly { readonly name: string }[]): string =>
  `${items
    .slice(0, NAMED)
    .map(({ name }) => `“${name}”`)
    .join(', ')}${items.length > NAMED ? ` and ${items.length - NAMED} more` : ''}`;
