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

/** Whether nothing shows through a flake: such ones mix by a plain sum of light. */
export const hides = (glitter: Pick<Glitter, 'kind' | 'opacity'>): boolean => glitter.opacity === 1 && glitter.kind !== 'opal';

/**
 * What the eye averages from a distance when flakes fall at random on a surface: at a point their
 * number is Poisson(depth), each picked by its face share and laid over what is there.
 * @param parts proportions; an empty blend leaves `under` as it is
 * @param depth flakes deep on average, 0 or more
 */
export function flakeRain(parts: readonly Part[], depth: number, under: Spectrum): Spectrum {
  return rained(
    parts.map(({ glitter }) => glitter),
    faceShares(parts),
    depth,
    under,
  );
}

/** The same of flakes whose shares of what faces you are known. @param flakes shares add up to 1 */
export const rainOver = (flakes: readonly (Flake & { readonly share: number })[], depth: number, under: Spectrum): Spectrum =>
  rained(
    flakes,
    flakes.map(({ share }) => share),
    depth,
    under,
  );

type Flake = Pick<Glitter, 'colour' | 'kind' | 'opacity'>;

function rained(flakes: readonly Flake[], shares: readonly number[], depth: number, under: Spectrum): Spectrum {
  if (depth <= 0 || !shares.some((share) => share > 0)) return under;
  const films = flakes.map(flakeFilm);
  if (flakes.every(hides)) return hidingRain(films, shares, Math.exp(-depth), under);
  return stackedRain(films, shares, poissonWeights(Math.min(depth, DEEPEST)), under);
}

/** For flakes that hide what is under them the sum over stacks closes. */
function hidingRain(films: readonly Film[], shares: readonly number[], bare: number, under: Spectrum): Spectrum {
  const seen = under.map((value) => bare * value);
  for (let p = 0; p < films.length; p += 1) {
    const share = (1 - bare) * shares[p];
    const { R } = films[p];
    for (let i = 0; i < BANDS; i += 1) seen[i] += share * R[i];
  }
  return seen;
}

/** A flake in rows of plain doubles: what it sends back at once, and what goes down and up again, `T²`; null when nothing does. */
interface FlakeLight {
  readonly R: Float64Array;
  readonly twice: Float64Array | null;
}

const lights = new WeakMap<Film, FlakeLight>();

function lightOf(film: Film): FlakeLight {
  const known = lights.get(film);
  if (known) return known;
  const twice = film.T.some((t) => t > 0) ? Float64Array.from(film.T, (t) => t * t) : null;
  const light = { R: Float64Array.from(film.R), twice };
  lights.set(film, light);
  return light;
}

/** Band by band, the light that stacks of 0, 1, 2… flakes send back, each weighed by how often such a stack is met. */
function stackedRain(films: readonly Film[], shares: readonly number[], weights: Float64Array, under: Spectrum): Spectrum {
  const flakes = films.map(lightOf);
  const seen: number[] = [];
  const count = flakes.filter(({ twice }) => twice).length;
  const reflects = new Float64Array(count);
  const passes = new Float64Array(count);
  const last = weights.length;
  for (let i = 0; i < BANDS; i += 1) {
    let back = 0;
    let n = 0;
    for (let p = 0; p < flakes.length; p += 1) {
      const { R, twice } = flakes[p];
      back += shares[p] * R[i];
      if (!twice) continue;
      reflects[n] = R[i];
      passes[n] = shares[p] * twice[i];
      n += 1;
    }
    let stacked = under[i];
    let sum = weights[0] * stacked;
    for (let k = 1; k < last; k += 1) {
      const below = stacked;
      // All flakes over one denominator: a division costs more than all the rest of a layer.
      let above = 0;
      let shared = 1;
      for (n = 0; n < count; n += 1) {
        const factor = 1 - reflects[n] * below;
        above = above * factor + passes[n] * shared;
        shared *= factor;
      }
      stacked = back + (above * below) / shared;
      sum += weights[k] * stacked;
    }
    seen.push(sum);
  }
  return seen;
}

/** A tail below this shows in no eighth bit of a colour. */
const UNSEEN = 1e-7;
const weightsOf = new Map<number, Float64Array>();

/** Poisson probabilities from 0 until the tail no longer shows, scaled to sum to 1. */
export function poissonWeights(mean: number): Float64Array {
  const known = weightsOf.get(mean);
  if (known) return known;
  const weights: number[] = [];
  let weight = Math.exp(-mean);
  let sum = 0;
  for (let k = 0; k <= mean || sum < 1 - UNSEEN; k += 1) {
    weights.push(weight);
    sum += weight;
    if (k > mean && weight < 1e-300) break;
    weight *= mean / (k + 1);
  }
  const found = Float64Array.from(weights, (one) => one / sum);
  if (weightsOf.size > 512) weightsOf.clear();
  weightsOf.set(mean, found);
  return found;
}
