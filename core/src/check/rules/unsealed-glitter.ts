import { listText } from '../../units';
import { areasWhere, reaches, stepsOfKind, type Rule } from '../finding';

export const unsealedGlitter: Rule = {
  name: 'seal raw glitter',
  find: (facts) => {
    const school = facts.workshop.settings.sealing;
    if (school === 'never') return [];
    return stepsOfKind(facts, 'resin', 'ink').flatMap(({ coat, before }) => {
      const loose = areasWhere(facts, (area) => {
        const { rawMicrons, sealed, stuckBy } = before[area];
        return reaches(facts, coat, area) && rawMicrons > 0 && !sealed && (school === 'always' || stuckBy !== 'resin wipe');
      });
      if (loose.length === 0) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `Resin goes over unsealed glitter on ${listText(loose)}.`,
          why: 'Resin floats loose flakes over the edge and can soften dry glue.',
          fix: { does: 'insert coat' as const, label: 'Add a clear seal, 25 min', kind: 'seal' as const, before: coat.id },
        },
      ];
    });
  },
};
