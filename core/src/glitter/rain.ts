import { BANDS, reflectanceOf, spectrumOf, type Film, type Spectrum } from '../colour';
import type { Glitter, Part } from './flake';
import { faceShares } from './pour';

const films = new WeakMap<object, Film>();

/**
 * One flake as a film: it reflects `opacity·S` and lets through `1 − opacity` (solid and tinted
 * absorb the rest) or `1 − R` (opal sorts light and absorbs none).
 */
export function flakeFilm(glitter: Pick<Glitter, 'colour' | 'kind' | 'opacity'>): Film {
  const known = films.get(glitter);
  if (known) return known;
  const S = reflectanceOf(glitter.colour);
  const R = spectrumOf((i) => glitter.opacity * S[i]);
  const T = spectrumOf((i) => (glitter.kind === 'opal' ? 1 - R[i] : 1 - glitter.opacity));
  const film = { R, T };
  films.set(glitter, film);
  return film;
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
  const flakes = parts.map(({ glitter }) => flakeFilm(glitter));
  if (parts.every(({ glitter }) => glitter.opacity === 1 && glitter.kind !== 'opal')) {
    const bare = Math.exp(-depth);
    const seen = under.map((value) => bare * value);
    flakes.forEach(({ R }, p) => {
      const share = (1 - bare) * shares[p];
      for (let i = 0; i < BANDS; i += 1) seen[i] += share * R[i];
    });
    return seen;
  }
  return stackedRain(flakes, shares, poissonWeights(Math.min(depth, DEEPEST)), under);
}

function stackedRain(flakes: readonly Film[], shares: readonly number[], weights: readonly number[], under: Spectrum): Spectrum {
  const seen: number[] = new Array<number>(BANDS);
  for (let i = 0; i < BANDS; i += 1) {
    let stacked = under[i];
    let sum = weights[0] * stacked;
    for (let k = 1; k < weights.length; k += 1) {
      const below = stacked;
      stacked = 0;
      for (let p = 0; p < flakes.length; p += 1) {
        const r = flakes[p].R[i];
        const t = flakes[p].T[i];
        stacked += shares[p] * (r + (t * t * below) / (1 - r * below));
      }
      sum += weights[k] * stacked;
    }
    seen[i] = sum;
  }
  return seen;
}

/** A tail below this shows in no eighth bit of a colour. */
const UNSEEN = 1e-7;

/** Poisson probabilities from 0 until the tail no longer shows, scaled to sum to 1. */
function poissonWeights(mean: number): readonly number[] {
  const weights: number[] = [];
  let log = -mean;
  let sum = 0;
  for (let k = 0; k <= mean || sum < 1 - UNSEEN; k += 1) {
    const weight = Math.exp(log);
    weights.push(weight);
    sum += weight;
    if (k > mean && weight < 1e-300) break;
    log += Math.log(mean / (k + 1));
  }
  return weights.map((weight) => weight / sum);
}
