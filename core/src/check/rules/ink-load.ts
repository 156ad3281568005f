import { inksOf, type InkedCoat } from '../../design';
import { percentText, tidy } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

export const inkLoad: Rule = {
  name: 'ink load',
  find: (facts) =>
    stepsOfKind(facts, 'ink', 'strings').flatMap(({ coat, planned }) => {
      // Inks of a tinted coat are in one pot, strings have one each.
      const loads = planned.drops.map((one) => one.load);
      const load = coat.kind === 'ink' ? loads.reduce((sum, one) => sum + one, 0) : Math.max(0, ...loads);
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

/** The fullest pot at a load, each ink with as much less. */
function withLoad<Inked extends InkedCoat>(coat: Inked, load: number): Inked {
  const loads = inksOf(coat).map((one) => one.load);
  const all = coat.kind === 'ink' ? loads.reduce((sum, one) => sum + one, 0) : Math.max(...loads);
  const scaled = (own: number) => tidy((own * load) / all);
  return {
    ...coat,
    load: scaled(coat.load),
    ...(coat.also ? { also: coat.also.map((one) => ({ ...one, load: scaled(one.load) })) } : {}),
  };
}
