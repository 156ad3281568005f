import { isFilm } from '../../design';
import { itemOf } from '../../stock';
import { stepsOfKind, type Found, type Rule } from '../finding';

/** A decal on a coat that was left glossy; one of clear film on a coat that was sanded. */
export const decalOnGloss: Rule = {
  name: 'decal on gloss',
  find: (facts) =>
    stepsOfKind(facts, 'decal').flatMap(({ coat, index }): readonly Found[] => {
      const before = facts.steps.slice(0, index);
      const film = before.findLastIndex((step) => isFilm(step.coat));
      if (film < 0) return [];
      const sanded = before.slice(film).some(({ coat: { kind } }) => kind === 'sand');
      const clear = coat.film !== null && itemOf(facts.workshop.shelf, coat.film, 'film')?.type === 'clear';
      if (sanded !== clear) return [];
      const about = { level: 'look' as const, coat: coat.id, area: null };
      if (clear)
        return [
          {
            ...about,
            says: `“${coat.name}” is on clear film and goes on resin that was sanded.`,
            why: 'Scratches under clear film show through it for good. Lay it on a cured, glossy coat, wiped with alcohol.',
            fix: { does: 'insert coat', label: 'Add clear resin before it', kind: 'resin', before: coat.id },
          },
        ];
      return [
        {
          ...about,
          says: `“${coat.name}” goes on resin that wasn’t sanded.`,
          why: 'On gloss its edges lift, and the next resin draws back from them. Sand, wash and wipe with alcohol first.',
          fix: { does: 'insert coat', label: 'Sand and wash before it', kind: 'sand', before: coat.id },
        },
      ];
    }),
};
