import { linearRgbOfHex } from './hex';
import { rgbRows, type Triple } from './observer';
import { solveLinear } from './solve';
import { BANDS, spectrumOf, type Spectrum } from './spectrum';

const known = new Map<string, Spectrum>();

/**
 * The smoothest reflectance that has exactly this colour under D65: the least-slope spectrum
 * `(tanh z + 1)/2`, found by Newton's method (S. Burns, “Numerical methods for smoothest
 * reflectance reconstruction”, Color Research & Application 45, 2020; there called LHTSS).
 * @param hex sRGB; black and white are drawn in to 0.0005 and 0.999, which no real paint passes
 * @throws ColourError when the text is no hex colour
 */
export function reflectanceOf(hex: string): Spectrum {
  const key = hex.toLowerCase();
  const found = known.get(key);
  if (found) return found;
  const spectrum = smoothest(linearRgbOfHex(key).map((v) => Math.min(0.999, Math.max(0.0005, v))) as unknown as Triple);
  if (known.size > 4096) known.clear();
  known.set(key, spectrum);
  return spectrum;
}

function smoothest(rgb: Triple): Spectrum {
  const z = new Float64Array(BANDS);
  const lambda = new Float64Array(3);
  const size = BANDS + 3;
  for (let step = 0; step < 40; step += 1) {
    const system = Array.from({ length: size }, () => new Float64Array(size + 1));
    const miss = Float64Array.from(rgb, (value) => -value);
    for (let i = 0; i < BANDS; i += 1) {
      const tanh = Math.tanh(z[i]);
      const slope = (1 - tanh * tanh) / 2;
      const pull = rgbRows[0][i] * lambda[0] + rgbRows[1][i] * lambda[1] + rgbRows[2][i] * lambda[2];
      const edge = i === 0 || i === BANDS - 1;
      const row = system[i];
      row[i] = (edge ? 2 : 4) - 2 * slope * tanh * pull;
      let gradient = (edge ? 2 : 4) * z[i] + slope * pull;
      for (const near of [i - 1, i + 1]) {
        if (near < 0 || near >= BANDS) continue;
        row[near] = -2;
        gradient -= 2 * z[near];
      }
      for (let axis = 0; axis < 3; axis += 1) {
        row[BANDS + axis] = slope * rgbRows[axis][i];
        system[BANDS + axis][i] = slope * rgbRows[axis][i];
        miss[axis] += (rgbRows[axis][i] * (tanh + 1)) / 2;
      }
      row[size] = -gradient;
    }
    for (let axis = 0; axis < 3; axis += 1) system[BANDS + axis][size] = -miss[axis];
    const change = solveLinear(system);
    for (let i = 0; i < BANDS; i += 1) z[i] += change[i];
    for (let axis = 0; axis < 3; axis += 1) lambda[axis] += change[BANDS + axis];
    if (change.every((value, i) => i >= BANDS || Math.abs(value) < 1e-10)) break;
  }
  return spectrumOf((band) => (Math.tanh(z[band]) + 1) / 2);
}
