import type { PlannedCoat } from '../../coats';
import { gradedLoads, inksOf, type InkedCoat } from '../../design';
import { percentText, tidy } from '../../units';
import { stepsOfKind, type Rule } from '../finding';

export const inkLoad: Rule = {
  name: 'ink load',
  find: (facts) =>
    stepsOfKind(facts, 'ink', 'strings').flatMap(({ coat, planned }) => {
      // Inks of a tinted coat are in one pot, strings have one each; one that changes on the way up has several.
      const load = fullest(coat.kind, planned);
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

/** % of ink in the fullest pot of a coat. */
function fullest(kind: InkedCoat['kind'], { drops, graded }: PlannedCoat): number {
  const inOne = (inks: readonly { readonly load: number }[]) => inks.reduce((sum, one) => sum + one.load, 0);
  if (graded) return Math.max(...graded.pots.map(({ loads }) => loads.reduce((sum, load) => sum + load, 0)));
  return kind === 'ink' ? inOne(drops) : Math.max(0, ...drops.map((one) => one.load));
}

/** The fullest pot at a load, each ink with as much less. */
function withLoad<Inked extends InkedCoat>(coat: Inked, load: number): Inked {
  const loads = inksOf(coat).map((one) => one.load);
  const sum = (of: readonly number[]) => of.reduce((total, one) => total + one, 0);
  const uppers = coat.kind === 'ink' && coat.pots !== undefined ? gradedLoads(coat).map(([, upper]) => upper) : [];
  const all = coat.kind === 'ink' ? Math.max(sum(loads), sum(uppers)) : Math.max(...loads);
  const scaled = (own: number) => tidy((own * load) / all);
  const less = <Ink extends { load: number; upper?: number | undefined }>(ink: Ink): Ink => ({
    ...ink,
    load: scaled(ink.load),
    ...(ink.upper === undefined ? {} : { upper: scaled(ink.upper) }),
  });
  return { ...less(coat), ...(coat.also ? { also: coat.also.map(less) } : {}) };
}
