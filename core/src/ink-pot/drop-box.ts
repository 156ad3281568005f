import { BANDS, deltaE2000, glossedAt, labOfXyz, xyzRows, type Lab, type Spectrum, type Tint, type Triple } from '../colour';
import { differenceAtLeast, type Cell } from '../match';

/** Ranges of drops, ink by ink: each at least 1. */
export type DropBox = readonly (readonly [least: number, most: number])[];

/** What a pot of several inks is judged by. */
export interface PotJudge {
  /** what its film is laid on */
  readonly under: Spectrum;
  /** L*a*b*, D65 */
  readonly target: Lab;
  /** what one drop of each ink does to the whole film */
  readonly drop: readonly Tint[];
  /** it is looked at through the resin's own gloss */
  readonly gloss: boolean;
}

/**
 * What is seen of a film of `K` and `S` over a ground, one wavelength: the end of `dR/dx = S·(1 − R)² − 2·K·R` from the ground
 * up. Its right side grows with S and falls with K, and so, by comparison, does what is seen: that is what bounds rest on.
 */
export function seenOver(K: number, S: number, ground: number): number {
  if (S <= 0) return ground * Math.exp(-2 * K);
  if (K < 1e-12 * S) return 1 - 1 / (1 / (1 - Math.min(ground, 1 - 1e-12)) + S);
  const ratio = K / S;
  const b = Math.sqrt(ratio * (ratio + 2));
  const turn = b / Math.tanh(b * S);
  const a = 1 + ratio;
  return (1 - ground * (a - turn)) / (a - ground + turn);
}

/** How far the colour of so many drops of each ink is from the target, ΔE00. */
export const awayOf = (drops: readonly number[], judge: PotJudge): number =>
  deltaE2000(judge.target, labOfXyz(xyzOfDrops(drops, drops, judge)));

/**
 * The least ΔE00 that any drops of a box can have from the target: wavelength by wavelength the most that is taken and the
 * least that is turned back give the darkest, the other way round the brightest; in between lies every pot of the box.
 */
export function awayAtLeast(box: DropBox, judge: PotJudge, enough: number): number {
  const least = box.map(([from]) => from);
  const most = box.map(([, to]) => to);
  const dark = xyzOfDrops(most, least, judge);
  const bright = xyzOfDrops(least, most, judge);
  return differenceAtLeast(judge.target, cellOf(dark, bright), enough);
}

function xyzOfDrops(taking: readonly number[], turning: readonly number[], { under, drop, gloss }: PotJudge): Triple {
  const xyz: [number, number, number] = [0, 0, 0];
  for (let band = 0; band < BANDS; band += 1) {
    let [K, S] = [0, 0];
    for (let i = 0; i < drop.length; i += 1) {
      K += taking[i] * drop[i].K[band];
      S += turning[i] * drop[i].S[band];
    }
    const below = seenOver(K, S, under[band]);
    // Gloss grows with what is under it, so that bounds stay bounds.
    const seen = gloss ? glossedAt(below) : below;
    for (let axis = 0; axis < 3; axis += 1) xyz[axis] += xyzRows[axis][band] * seen;
  }
  return xyz;
}

/** All L*a*b* between two XYZ: lightness grows with Y; a with X and against Y; b with Y and against Z. */
function cellOf(low: Triple, high: Triple): Cell {
  const [darkest, brightest] = [labOfXyz(low), labOfXyz(high)];
  const mixed = (x: Triple, y: Triple, z: Triple): Lab => labOfXyz([x[0], y[1], z[2]]);
  return [
    [darkest[0], brightest[0]],
    [mixed(low, high, low)[1], mixed(high, low, high)[1]],
    [mixed(low, low, high)[2], mixed(high, high, low)[2]],
  ];
}
