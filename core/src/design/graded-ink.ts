import type { CoatHeights, CoatOf } from './coat';

/** What a coat's load begins to change with: pots that hands can lay while they are wet. */
const USUAL_POTS = 6;

type Tinted = CoatOf<'ink'>;

/**
 * The heights that each pot of a tinted coat goes between, from below; none of one of a single pot.
 * @param reach what of the wall it lies on, mm above the foot
 */
export function gradedHeights({ pots }: Tinted, { from, to }: CoatHeights): readonly CoatHeights[] {
  if (pots === undefined) return [];
  // To the mm, as a maker marks them; on a stretch lower than its pots are many, some of them fall together.
  const levels = Array.from({ length: pots + 1 }, (_, i) => Math.round(from + ((to - from) * i) / pots));
  const apart = levels.filter((level, i) => i === 0 || level > levels[i - 1]);
  return apart.slice(1).map((level, i) => ({ from: apart[i], to: level }));
}

/** Loads of each ink at the lower and at the upper end, %. */
export const gradedLoads = (coat: Tinted): readonly (readonly [number, number])[] =>
  [coat, ...(coat.also ?? [])].map(({ load, upper }) => [load, upper ?? load] as const);

/** A coat whose load thins out on the way up, to a quarter; its first ink alone. */
export const startGrading = (coat: Tinted): Tinted => ({
  ...coat,
  pots: USUAL_POTS,
  upper: Math.round(coat.load * 25) / 100,
});

/** The same of one load all over: that of its lower end. */
export function ungraded(coat: Tinted): Tinted {
  const one = { ...coat, ...(coat.also ? { also: coat.also.map(({ ink, load }) => ({ ink, load })) } : {}) };
  delete one.pots;
  delete one.upper;
  return one;
}
