import { isFilm } from '../../design';
import { itemOf } from '../../stock';
import { stepsOfKind, type Rule } from '../finding';

/** Films whose print or metal resin attacks. */
const TENDER: readonly string[] = ['printed', 'metallic', 'layered'];

/** Printed, metallic or layered film that resin goes on without a seal between. */
export const sealFilm: Rule = {
  name: 'seal printed and metallic film',
  find: (facts) =>
    stepsOfKind(facts, 'decal', 'sheet', 'strip', 'outline').flatMap(({ coat, index, planned }) => {
      const film = coat.film === null ? undefined : itemOf(facts.workshop.shelf, coat.film, 'film');
      if (coat.kind !== 'sheet' && (!film || !TENDER.includes(film.type))) return [];
      const after = facts.steps.slice(index + 1);
      const resin = after.findIndex((step) => isFilm(step.coat));
      if (resin < 0 || after.slice(0, resin).some((step) => step.coat.kind === 'seal')) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `Resin goes straight on “${planned.title}”.`,
          why: 'It lifts print and dulls metal. Seal it and wait 30–40 min; printed ink takes three light seals, half an hour apart.',
          fix: {
            does: 'insert coat' as const,
            label: 'Add a clear seal, 25 min',
            kind: 'seal' as const,
            before: after[resin].coat.id,
          },
        },
      ];
    }),
};
