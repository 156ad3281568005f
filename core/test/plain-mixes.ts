import { deltaE2000, findMix, flakeRain, labOf, reflectanceOf, type Glitter, type MixQuestion, type SearchState } from '../src';

/** A jar of a glitter, as much as one likes. */
export const jar = (one: Glitter, change: Partial<MixQuestion['jars'][0]> = {}) => ({
  glitter: one,
  left: null,
  keep: false,
  ...change,
});
/** What is asked where a test says nothing else. */
export const question = (change: Partial<MixQuestion>): MixQuestion => ({
  target: [60, 20, 40],
  jars: [],
  size: 3,
  total: 4,
  step: 0.5,
  depth: 2.5,
  under: reflectanceOf('#2e3436'),
  closeEnough: 0,
  closeShare: 0,
  ...change,
});

/** Runs a search to its end. */
export function answered(asked: MixQuestion): SearchState {
  const search = findMix(asked);
  for (;;) {
    const { value, done } = search.next();
    if (done) return value;
  }
}

/** Every mix of exactly so many jars. */
export function* everyMix({ jars, total, step, depth, under, target }: MixQuestion, size: number) {
  const steps = Math.round(total / step);
  function* pick(
    from: number,
    parts: readonly { jar: number; steps: number }[],
    rest: number,
  ): Generator<{
    parts: readonly { jar: number; steps: number }[];
    difference: number;
  }> {
    if (parts.length === size) {
      if (rest > 0 || jars.some(({ keep }, at) => keep && !parts.some((part) => part.jar === at))) return;
      const rain = flakeRain(
        parts.map((part) => ({ glitter: jars[part.jar].glitter, ml: part.steps * step })),
        depth,
        under,
      );
      yield { parts, difference: deltaE2000(target, labOf(rain)) };
      return;
    }
    for (let at = from; at < jars.length; at += 1) {
      const most = Math.min(rest, Math.floor((jars[at].left ?? Infinity) / step));
      for (let w = 1; w <= most; w += 1) yield* pick(at + 1, [...parts, { jar: at, steps: w }], rest - w);
    }
  }
  yield* pick(0, [], steps);
}

/** The nearest mix of exactly so many jars, by trying every one. */
export const tried = (asked: MixQuestion, size: number): number =>
  [...everyMix(asked, size)].reduce((best, { difference }) => Math.min(best, difference), Infinity);
