import cie from './data/cie-1931-2deg-d65-10nm.json';
import { BANDS, type Spectrum } from './spectrum';

export type Triple = readonly [number, number, number];

/** The D65 white that reflectance 1 gives. */
export const WHITE: Triple = [0.95047, 1, 1.08883];

/** XYZ to linear sRGB (IEC 61966-2-1, for the white above). */
const TO_LINEAR_RGB: readonly Triple[] = [
  [3.2404542, -1.5371385, -0.4985314],
  [-0.969266, 1.8760108, 0.041556],
  [0.0556434, -0.2040259, 1.0572252],
];

/**
 * Rows that turn a reflectance into XYZ under D65: colour-matching function times illuminant, each
 * row scaled so that reflectance 1 gives exactly the white.
 */
export const xyzRows: readonly (readonly number[])[] = [cie.xBar, cie.yBar, cie.zBar].map((bar, axis) => {
  const row = bar.map((value, band) => value * cie.d65[band]);
  const scale = WHITE[axis] / row.reduce((sum, value) => sum + value, 0);
  return row.map((value) => value * scale);
});

/** Rows that turn a reflectance straight into linear sRGB. */
export const rgbRows: readonly (readonly number[])[] = TO_LINEAR_RGB.map((m) =>
  Array.from({ length: BANDS }, (_, band) => m[0] * xyzRows[0][band] + m[1] * xyzRows[1][band] + m[2] * xyzRows[2][band]),
);

const apply = (rows: readonly (readonly number[])[], spectrum: Spectrum): Triple => {
  const sums = [0, 0, 0];
  for (let band = 0; band < BANDS; band += 1) {
    const value = spectrum[band];
    sums[0] += rows[0][band] * value;
    sums[1] += rows[1][band] * value;
    sums[2] += rows[2][band] * value;
  }
  return [sums[0], sums[1], sums[2]];
};

export const linearRgbOfXyz = ([X, Y, Z]: Triple): Triple => {
  const [r, g, b] = TO_LINEAR_RGB.map((row) => row[0] * X + row[1] * Y + row[2] * Z);
  return [r, g, b];
};

export const xyzOf = (spectrum: Spectrum): Triple => apply(xyzRows, spectrum);
/** Linear sRGB; may lie outside 0..1 when the colour is out of the screen's reach. */
export const linearRgbOf = (spectrum: Spectrum): Triple => apply(rgbRows, spectrum);
