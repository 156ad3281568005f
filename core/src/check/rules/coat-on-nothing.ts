import type { Rule } from '../finding';

/** A coat whose areas have no surface left, or are all under a mask. */
export const coatOnNothing: Rule = {
  name: 'coat on nothing',
  find: ({ steps }) =>
    steps.flatMap(({ coat, planned }) => {
      // Glitter with nothing to pour, and a mask that isn't there, have rules of their own.
      if (!('on' in coat) || coat.kind === 'glitter' || coat.kind === 'unmask' || planned.area === null || planned.area > 0)
        return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `“${planned.title}” reaches nothing.`,
          why:
            'between' in coat && coat.between
              ? 'None of its wall lies between its heights, or a mask covers it. Change them, or take it out.'
              : 'Its areas are covered by later ones or by a mask. Choose others, or take it out.',
          fix: { does: 'remove coat' as const, label: 'Take it out', coat: coat.id },
        },
      ];
    }),
};
