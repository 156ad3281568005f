import { converter, differenceCiede2000, modeLab65, modeLrgb, modeRgb, modeXyz65, useMode } from 'culori/fn';
import { hexOfLinearRgb } from './hex';
import { linearRgbOfXyz, WHITE, xyzOf, type Triple } from './observer';
import type { Spectrum } from './spectrum';

/** CIE L*a*b* under D65. */
export type Lab = readonly [lightness: number, a: number, b: number];

useMode(modeRgb);
useMode(modeLrgb);
useMode(modeXyz65);
useMode(modeLab65);
const toLab = converter('lab65');
const ciede2000 = differenceCiede2000();

const cubic = (t: number): number => (t > (6 / 29) ** 3 ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);

const uncubic = (f: number): number => (f > 6 / 29 ? f ** 3 : 3 * (6 / 29) ** 2 * (f - 4 / 29));

export const labOf = (spectrum: Spectrum): Lab => labOfXyz(xyzOf(spectrum));

export function labOfXyz([X, Y, Z]: Triple): Lab {
  const [fx, fy, fz] = [cubic(X / WHITE[0]), cubic(Y / WHITE[1]), cubic(Z / WHITE[2])];
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

export function xyzOfLab([L, a, b]: Lab): Triple {
  const fy = (L + 16) / 116;
  return [WHITE[0] * uncubic(fy + a / 500), WHITE[1] * uncubic(fy), WHITE[2] * uncubic(fy - b / 200)];
}

/** L*a*b* of a screen's pixel, each channel 0..255; for many of them, since no spectrum is made. */
export function labOfPixel(r: number, g: number, b: number): Lab {
  const lab = toLab({ mode: 'rgb', r: r / 255, g: g / 255, b: b / 255 });
  return [lab.l, lab.a, lab.b];
}

/** L*a*b* of linear sRGB, in a screen's reach or out of it. */
export function labOfLinearRgb([r, g, b]: Triple): Lab {
  const lab = toLab({ mode: 'lrgb', r, g, b });
  return [lab.l, lab.a, lab.b];
}

/** The screen colour of L*a*b*, cut to what sRGB can show. */
export const hexOfLab = (lab: Lab): string => hexOfLinearRgb(linearRgbOfXyz(xyzOfLab(lab)));

const named = ([l, a, b]: Lab) => ({ mode: 'lab65' as const, l, a, b });

/** CIEDE2000 colour difference; about 1 is just seen side by side, 10 plainly from across a table. */
export function deltaE2000(one: Lab, other: Lab): number {
  return ciede2000(named(one), named(other));
}
