import { reflectanceOf } from './reflectance';
import { spectrumOf, type Spectrum } from './spectrum';

/** A film that reflects R and transmits T at each wavelength. */
export interface Film {
  readonly R: Spectrum;
  readonly T: Spectrum;
}

/** What is seen of a film over a surface: `R + T²·g/(1 − R·g)`, all passes back and forth summed. */
export function layOver(film: Film, under: Spectrum): Spectrum {
  return spectrumOf((i) => film.R[i] + (film.T[i] ** 2 * under[i]) / (1 - film.R[i] * under[i]));
}

/**
 * How much a film takes of light and how much it turns back, over its whole thickness and wavelength by wavelength: `K·x` and
 * `S·x` of Kubelka and Munk, 1931. What is stirred into one film adds up (D. R. Duncan, “The colour of pigment mixtures”,
 * Proceedings of the Physical Society 52, 1940).
 */
export interface Tint {
  readonly K: Spectrum;
  readonly S: Spectrum;
}

/** Beyond it no light comes through; the hyperbolic functions would overflow later. */
const OPAQUE = 300;

/** The film of some tints stirred into one resin; their order says nothing. None of them is a clear film. */
export function filmOf(tints: readonly Tint[]): Film {
  const sum = (i: number, of: 'K' | 'S') => tints.reduce((total, tint) => total + tint[of][i], 0);
  const R: number[] = [];
  const T = spectrumOf((i) => {
    const [k, s] = [sum(i, 'K'), sum(i, 'S')];
    if (s === 0 || k < 1e-12 * s) {
      R.push(s / (1 + s));
      return s === 0 ? Math.exp(-k) : 1 / (1 + s);
    }
    const a = 1 + k / s;
    const b = Math.sqrt((k / s) * (k / s + 2));
    const deep = b * s;
    R.push(1 / (a + b / Math.tanh(deep)));
    return deep > OPAQUE ? 0 : b / (a * Math.sinh(deep) + b * Math.cosh(deep));
  });
  return { R, T };
}

const NOTHING = spectrumOf(() => 0);

/**
 * A dye: light passes twice, so `T = √S^amount` and nothing is turned back.
 * @param colour over ideal white at amount 1 (the reference load and film)
 * @param amount load·mm ÷ reference load·mm, 0 or more
 */
export function dyeTint(colour: string, amount: number): Tint {
  const seen = reflectanceOf(colour);
  return { K: spectrumOf((i) => -0.5 * amount * Math.log(seen[i])), S: NOTHING };
}

/**
 * A pigment.
 * @param colour of an infinitely thick film
 * @param hiding the share of that colour shown over black at amount 1, above 0 and below 1
 * @param amount as for a dye
 */
export function pigmentTint(colour: string, hiding: number, amount: number): Tint {
  const thick = reflectanceOf(colour);
  const S = spectrumOf((i) => {
    const a = (1 / thick[i] + thick[i]) / 2;
    const b = (1 / thick[i] - thick[i]) / 2;
    // Over black R = 1/(a + b·coth(bsx)); solved for the scatter that shows `hiding` of `thick`.
    return (Math.atanh(b / (1 / (hiding * thick[i]) - a)) * amount) / b;
  });
  return { K: spectrumOf((i) => ((1 - thick[i]) ** 2 / (2 * thick[i])) * S[i]), S };
}

/**
 * A pearl: platelets that take no light, so what isn't turned back goes on; hence dark bases.
 * `R = a·r/(1 − r + a·r)` with `r = strength·S`, `T = 1 − R`.
 */
export function pearlTint(colour: string, strength: number, amount: number): Tint {
  const seen = reflectanceOf(colour);
  return { K: NOTHING, S: spectrumOf((i) => (amount * strength * seen[i]) / (1 - strength * seen[i])) };
}

export const dyeFilm = (colour: string, amount: number): Film => filmOf([dyeTint(colour, amount)]);
export const pigmentFilm = (colour: string, hiding: number, amount: number): Film =>
  filmOf([pigmentTint(colour, hiding, amount)]);
export const pearlFilm = (colour: string, strength: number, amount: number): Film =>
  filmOf([pearlTint(colour, strength, amount)]);
