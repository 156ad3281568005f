import { differenceCiede2000, modeLab65, useMode } from 'culori/fn';
import { WHITE, xyzOf } from './observer';
import type { Spectrum } from './spectrum';

/** CIE L*a*b* under D65. */
export type Lab = readonly [lightness: number, a: number, b: number];

useMode(modeLab65);
const ciede2000 = differenceCiede2000();

const cubic = (t: number): number => (t > (6 / 29) ** 3 ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);

export function labOf(spectrum: Spectrum): Lab {
  const [fx, fy, fz] = xyzOf(spectrum).map((value, axis) => cubic(value / WHITE[axis]));
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

const named = ([l, a, b]: Lab) => ({ mode: 'lab65' as const, l, a, b });

/** CIEDE2000 colour difference; about 1 is just seen side by side, 10 plainly from across a table. */
export function deltaE2000(one: Lab, other: Lab): number {
  return ciede2000(named(one), named(other));
}
