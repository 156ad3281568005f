import { stepsOfKind, type Rule } from '../finding';

export const fastGlue: Rule = {
  name: 'fast glue under several colours',
  find: (facts) =>
    stepsOfKind(facts, 'glitter').flatMap(({ coat, planned, before }) => {
      const open = Math.min(...planned.pours.map((pour) => before[pour.area].glue?.open ?? Infinity));
      const pots = new Set(facts.fades.flatMap(({ slices }) => slices.map(({ id }) => id)));
      // A fade's pots are counted against the time they take, by a rule of their own.
      if (planned.pours.filter(({ area }) => !pots.has(area)).length < 2 || open > 5) return [];
      return [
        {
          level: 'look' as const,
          coat: coat.id,
          area: null,
          says: `${planned.pours.length} blends go into a glue that takes glitter for ${open} min.`,
          why: 'It dries before the last colour is on. A resin wipe or a tacky coat gives the time, or glue one area after the other.',
          fix: null,
        },
      ];
    }),
};
