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
 * A dye: light passes twice, so `T = √S^amount` and nothing is reflected.
 * @param colour over ideal white at amount 1 (the reference load and film)
 * @param amount load·mm ÷ reference load·mm, 0 or more
 */
export function dyeFilm(colour: string, amount: number): Film {
  const S = reflectanceOf(colour);
  return { R: spectrumOf(() => 0), T: spectrumOf((i) => Math.sqrt(S[i]) ** amount) };
}

/**
 * A pigment by Kubelka and Munk (1931), for a film of finite thickness.
 * @param colour of an infinitely thick film
 * @param hiding the share of that colour shown over black at amount 1, above 0 and below 1
 * @param amount as for a dye
 */
export function pigmentFilm(colour: string, hiding: number, amount: number): Film {
  const S = reflectanceOf(colour);
  const R: number[] = [];
  const T: number[] = [];
  for (const thick of S) {
    const a = (1 / thick + thick) / 2;
    const b = (1 / thick - thick) / 2;
    // Over black R = 1/(a + b·coth(bsx)); solved for the scatter that shows `hiding` of `thick`.
    const full = Math.atanh(b / (1 / (hiding * thick) - a));
    const bsx = full * amount;
    const bottom = a * Math.sinh(bsx) + b * Math.cosh(bsx);
    R.push(amount === 0 ? 0 : Math.sinh(bsx) / bottom);
    T.push(b / bottom);
  }
  return { R, T };
}

/**
 * A pearl: platelets that absorb nothing, so what isn't reflected goes on; hence dark bases.
 * `R = a·r/(1 − r + a·r)` with `r = strength·S`, `T = 1 − R`.
 */
export function pearlFilm(colour: string, strength: number, amount: number): Film {
  const S = reflectanceOf(colour);
  const R = spectrumOf((i) => {
    const r = strength * S[i];
    return (amount * r) / (1 - r + amount * r);
  });
  return { R, T: R.map((r) => 1 - r) };
}
