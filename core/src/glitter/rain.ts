import { reflectanceOf, spectrumOf, type Film, type Spectrum } from '../colour';
import type { Glitter, Part } from './flake';
import { faceShares } from './pour';

/**
 * One flake as a film: it reflects `opacity·S` and lets through `1 − opacity` (solid and tinted
 * absorb the rest) or `1 − R` (opal sorts light and absorbs none).
 */
export function flakeFilm(glitter: Pick<Glitter, 'colour' | 'kind' | 'opacity'>): Film {
  const S = reflectanceOf(glitter.colour);
  const R = spectrumOf((i) => glitter.opacity * S[i]);
  const T = spectrumOf((i) => (glitter.kind === 'opal' ? 1 - R[i] : 1 - glitter.opacity));
  return { R, T };
}

/** Beyond this the surface is as covered as it gets for any flake one can buy. */
const DEEPEST = 400;

/**
 * What the eye averages from a distance when flakes fall at random on a surface: at a point their
 * number is Poisson(depth), each picked by its face share and laid over what is there.
 * @param parts proportions; an empty blend leaves `under` as it is
 * @param depth flakes deep on average, 0 or more
 */
export function flakeRain(parts: readonly Part[], depth: number, under: Spectrum): Spectrum {
  const shares = faceShares(parts);
  if (depth <= 0 || !shares.some((share) => share > 0)) return under;
  const films = parts.map(({ glitter }) => flakeFilm(glitter));
  if (parts.every(({ glitter }) => glitter.opacity === 1 && glitter.kind !== 'opal')) {
    const bare = Math.exp(-depth);
    return spectrumOf((i) => bare * under[i] + (1 - bare) * films.reduce((sum, film, p) => sum + shares[p] * film.R[i], 0));
  }
  const weights = poissonWeights(Math.min(depth, DEEPEST));
  return spectrumOf((i) => {
    let stacked = under[i];
    let seen = 0;
    for (const weight of weights) {
      seen += weight * stacked;
      const below = stacked;
      stacked = 0;
      for (let p = 0; p < films.length; p += 1) {
        const r = films[p].R[i];
        stacked += shares[p] * (r + (films[p].T[i] ** 2 * below) / (1 - r * below));
      }
    }
    return seen;
  });
}

/** Poisson probabilities from 0 until the tail no longer shows, scaled to sum to 1. */
function poissonWeights(mean: number): readonly number[] {
  const last = Math.ceil(mean + 8 * Math.sqrt(mean) + 10);
  const logs: number[] = [];
  let log = -mean;
  for (let k = 0; k <= last; k += 1) {
    logs.push(log);
    log += Math.log(mean) - Math.log(k + 1);
  }
  const weights = logs.map(Math.exp);
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((weight) => weight / sum);
}
