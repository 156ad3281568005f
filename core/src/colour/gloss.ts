import type { Spectrum } from './spectrum';

/** Share of light that a clear coat's face turns back before it enters, and share that it turns back into the coat from below. */
const FACE = 0.04;
const INSIDE = 0.6;

/** What a glossy clear coat makes of one wavelength: `k1 + (1 − k1)(1 − k2)·R/(1 − k2·R)`; grows with R. */
export const glossedAt = (R: number, k1 = FACE, k2 = INSIDE): number => k1 + ((1 - k1) * (1 - k2) * R) / (1 - k2 * R);

/**
 * What is seen of a surface through a glossy clear coat: its face mirrors a little, and what comes from below is partly thrown
 * back and coloured again, so that colours deepen (J. L. Saunderson, “Calculation of the color of pigmented plastics”,
 * Journal of the Optical Society of America 32, 1942). Only ever compared with others that are seen so.
 * @param k1 share mirrored by the face from outside, 0 to 1
 * @param k2 share thrown back by it from inside, 0 to below 1
 */
export const glossed = (under: Spectrum, k1?: number, k2?: number): Spectrum => under.map((R) => glossedAt(R, k1, k2));

/** What lies under a glossy clear coat that is seen through it: `glossed` backwards; nothing can be darker than black. */
export const unglossed = (seen: Spectrum): Spectrum =>
  seen.map((s) => Math.max(0, (s - FACE) / ((1 - FACE) * (1 - INSIDE) + INSIDE * (s - FACE))));

/**
 * The same for a spot of a surface that isn't of one colour. What the face throws back comes down elsewhere, a coat's thickness
 * and more away: it meets the surface's mean, and the mean of all spots is `glossed` of the mean.
 * @returns what a spot of reflectance R is multiplied by, wavelength by wavelength, and what is added
 */
export function glossOver(mean: Spectrum): { readonly times: Spectrum; readonly plus: number } {
  return { times: mean.map((R) => ((1 - FACE) * (1 - INSIDE)) / (1 - INSIDE * R)), plus: FACE };
}
