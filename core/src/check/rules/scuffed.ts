import type { Rule } from '../finding';

/** A first coat on a wall that was neither dulled nor degreased. */
export const scuffed: Rule = {
  name: 'scuff first',
  find: ({ design }) => {
    const [first] = design.coats;
    if (!first || design.coats.some(({ kind }) => kind === 'prep')) return [];
    return [
      {
        level: 'look',
        coat: first.id,
        area: null,
        says: 'Nothing is scuffed and degreased before the first coat.',
        why: 'Paint and resin grip a dull, clean wall; off a glossy or greasy one they peel in a sheet.',
        fix: { does: 'insert coat', label: 'Scuff and degrease first', kind: 'prep', before: first.id },
      },
    ];
  },
};
