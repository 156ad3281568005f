import type { Spectrum } from '../colour';
import { flakeRain, type Glitter, type Part } from '../glitter';
import { evenWalk } from './even-walk';

type Blend = Glitter | readonly Part[];

const onePart = (blend: Blend): readonly Part[] => {
  const parts = 'colour' in blend ? [{ glitter: blend, ml: 1 }] : blend;
  const total = parts.reduce((sum, part) => sum + part.ml, 0);
  return parts.map((part) => ({ ...part, ml: part.ml / total }));
};

/**
 * Pots that change evenly to the eye from one blend to another; equal steps in spoons don't.
 * @param pots how many, ends included
 * @param depth flakes deep
 * @returns `shares` of `to` by volume in each pot, `path` and `ends` in CIEDE2000
 */
export function evenFade(
  from: Blend,
  to: Blend,
  pots: number,
  depth: number,
  under: Spectrum,
): { shares: readonly number[]; path: number; ends: number } {
  const [start, end] = [onePart(from), onePart(to)];
  const { at, path, ends } = evenWalk(pots, (share) =>
    flakeRain(
      [
        ...start.map((part) => ({ ...part, ml: part.ml * (1 - share) })),
        ...end.map((part) => ({ ...part, ml: part.ml * share })),
      ],
      depth,
      under,
    ),
  );
  return { shares: at, path, ends };
}

/**
 * Depths that thin a blend out evenly to the eye, bare first.
 * @param fullDepth flakes deep at the heavy end
 */
export function evenThinning(
  parts: readonly Part[],
  fullDepth: number,
  steps: number,
  under: Spectrum,
): { depths: readonly number[]; path: number; ends: number } {
  const { at, path, ends } = evenWalk(steps, (share) => flakeRain(parts, share * fullDepth, under));
  return { depths: at.map((share) => share * fullDepth), path, ends };
}
