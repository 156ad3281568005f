import { percentText } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

export const inkLoad: Rule = {
  name: 'ink load',
  find: (facts) =>
    stepsOfKind(facts, 'ink').flatMap(({ coat, planned }) => {
      const load = planned.drops?.load ?? 0;
      if (load <= 5) return [];
      return [
        {
          level: load > 10 ? ('stop' as const) : ('look' as const),
          coat: coat.id,
          area: null,
          says: `A load of ${percentText(load / 100, 1)} is ${load > 10 ? 'too much' : 'a lot'} for resin.`,
          why: load > 10 ? 'Over 10 % it stays soft for good.' : 'Over 5 % it cures slowly and may stay tacky.',
          fix: {
            does: 'set figure' as const,
            label: 'Bring it down to 3 %',
            coat: coat.id,
            figure: 'load' as const,
            value: 3,
          },
        },
      ];
    }),
};
