import { inksOf, type CoatOf } from '../../design';
import { percentText, tidy } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

export const inkLoad: Rule = {
  name: 'ink load',
  find: (facts) =>
    stepsOfKind(facts, 'ink').flatMap(({ coat, planned }) => {
      const load = planned.drops.reduce((sum, one) => sum + one.load, 0);
      if (load <= 5) return [];
      return [
        {
          level: load > 10 ? ('stop' as const) : ('look' as const),
          coat: coat.id,
          area: null,
          says: `A load of ${percentText(load / 100, 1)} is ${load > 10 ? 'too much' : 'a lot'} for resin.`,
          why: load > 10 ? 'Over 10 % it stays soft for good.' : 'Over 5 % it cures slowly and may stay tacky.',
          fix: { does: 'set coat' as const, label: 'Bring it down to 3 %', coat: withLoad(coat, 3) },
        },
      ];
    }),
};

/** All inks of a pot together at a load, each with its share of it. */
function withLoad(coat: CoatOf<'ink'>, load: number): CoatOf<'ink'> {
  const all = inksOf(coat).reduce((sum, one) => sum + one.load, 0);
  const scaled = (own: number) => tidy((own * load) / all);
  return {
    ...coat,
    load: scaled(coat.load),
    ...(coat.also ? { also: coat.also.map((one) => ({ ...one, load: scaled(one.load) })) } : {}),
  };
}
