import { listText } from '../../units';
import { reaches, stepsOfKind, type Rule } from '../finding';

export const glitterWithoutGlue: Rule = {
  name: 'glitter without glue',
  find: (facts) =>
    stepsOfKind(facts, 'glitter').flatMap(({ coat, planned, before }) => {
      const dry = planned.pours.filter((pour) => reaches(facts, coat, pour.area) && !before[pour.area].glue);
      if (dry.length === 0) return [];
      return [
        {
          level: 'stop' as const,
          coat: coat.id,
          area: dry[0].area,
          says: `Nothing holds the glitter on ${listText(dry.map((pour) => pour.areaName))}.`,
          why: 'Glitter needs fresh, soft glue under it; without, all of it comes off again.',
          fix: { does: 'insert coat' as const, label: 'Add glue before it', kind: 'glue' as const, before: coat.id },
        },
      ];
    }),
};
