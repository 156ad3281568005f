import { isFilm } from '../../design';
import { stepsOfKind, type Rule } from '../finding';

/** A decal on a film that was left glossy. */
export const decalOnGloss: Rule = {
  name: 'decal on gloss',
  find: (facts) =>
    stepsOfKind(facts, 'decal').flatMap(({ coat, index }) => {
      const before = facts.steps.slice(0, index);
      const film = before.findLastIndex((step) => isFilm(step.coat));
      if (film < 0 || before.slice(film).some(({ coat: { kind } }) => kind === 'sand')) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `“${coat.name}” goes on resin that wasn’t sanded.`,
          why: 'On gloss its edges lift, and the next resin draws back from them. Sand, wash and wipe with alcohol first.',
          fix: { does: 'insert coat' as const, label: 'Sand and wash before it', kind: 'sand' as const, before: coat.id },
        },
      ];
    }),
};
