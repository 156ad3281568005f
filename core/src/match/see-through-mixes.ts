import { BANDS, xyzRows, type Spectrum } from '../colour';
import { flakeFilm, poissonWeights } from '../glitter';
import { MixColours } from './mix-colour';
import type { Mix } from './mix-question';
import type { Bound } from './near-region';

/** So many to so many steps of a jar. */
interface Range {
  readonly low: number;
  readonly high: number;
}

/** A bound as a sum over wavelengths of a mix's reflectance. */
export interface BandBound {
  readonly rows: Float64Array;
  readonly at: number;
}

/** Bounds on XYZ as bounds on reflectances. */
export const bandBounds = (bounds: readonly Bound[]): readonly BandBound[] =>
  bounds.map(({ x, y, z, at }) => ({
    rows: Float64Array.from(xyzRows[0], (value, i) => x * value + y * xyzRows[1][i] + z * xyzRows[2][i]),
    at,
  }));

/** So few mixes left in a range are worked out at once rather than ruled out. */
const FEW = 6;

/**
 * Mixes with see-through jars among them, which don’t mix by a plain sum. At each wavelength more light from
 * below never means less light back; so from the least and most shares follow the least and most that lies
 * under each layer, from that the least and most each jar sends back, and with those a mix is a plain sum
 * again, of ranges. Amounts are halved, range by range, while many mixes still satisfy the bounds.
 */
export class SeeThroughMixes {
  private readonly weights: Float64Array;
  private readonly films: readonly { readonly R: Spectrum; readonly twice: Spectrum; readonly hides: boolean }[];
  private readonly least: readonly Float64Array[] = Array.from({ length: MOST_PARTS }, () => new Float64Array(BANDS));
  private readonly most: readonly Float64Array[] = Array.from({ length: MOST_PARTS }, () => new Float64Array(BANDS));

  constructor(
    private readonly colours: MixColours,
    private readonly found: (parts: Mix['parts']) => void,
  ) {
    const { jars, depth } = colours.question;
    this.weights = poissonWeights(Math.min(depth, 400));
    this.films = jars.map(({ glitter }, jar) => {
      const { R, T } = flakeFilm(glitter);
      return { R, twice: T.map((t) => t * t), hides: colours.hiding[jar] };
    });
  }

  /** Goes through all amounts of one set of jars. */
  search(jars: readonly number[], bounds: readonly BandBound[]): void {
    const { steps, most } = this.colours;
    const ranges = tightened(
      jars.map((jar) => ({ low: 1, high: most[jar] })),
      steps,
    );
    if (ranges) this.split(jars, ranges, bounds);
  }

  private split(jars: readonly number[], ranges: readonly Range[], bounds: readonly BandBound[]): void {
    const values = this.valuesOf(jars, ranges, bounds);
    const left = values ? mixesOfRanges(ranges, values, this.colours.steps) : [];
    if (left.length <= FEW) {
      for (const steps of left) this.found(jars.map((jar, i) => ({ jar, steps: steps[i] })));
      return;
    }
    const held = ranges.map((_, i) => ({
      low: left.reduce((least, steps) => Math.min(least, steps[i]), Infinity),
      high: left.reduce((most, steps) => Math.max(most, steps[i]), 0),
    }));
    const widest = held.reduce((at, { low, high }, i) => (high - low > held[at].high - held[at].low ? i : at), 0);
    const { low, high } = held[widest];
    const middle = (low + high) >> 1;
    for (const half of [
      { low, high: middle },
      { low: middle + 1, high },
    ]) {
      const narrower = tightened(
        held.map((range, i) => (i === widest ? half : range)),
        this.colours.steps,
      );
      if (narrower) this.split(jars, narrower, bounds);
    }
  }

  /** What a step of each jar can add to each bound at most, jar by jar; null when a bound can’t be met at all. */
  private valuesOf(
    jars: readonly number[],
    ranges: readonly Range[],
    bounds: readonly BandBound[],
  ): readonly Float64Array[] | null {
    this.lightBack(jars, ranges);
    const { under } = this.colours.question;
    const values: Float64Array[] = [];
    for (const { rows, at } of bounds) {
      let bare = at;
      for (let band = 0; band < BANDS; band += 1) bare += rows[band] * this.weights[0] * under[band];
      const value = new Float64Array(jars.length);
      for (let p = 0; p < jars.length; p += 1) {
        const [least, most] = [this.least[p], this.most[p]];
        let sum = bare;
        for (let band = 0; band < BANDS; band += 1) sum += rows[band] * (rows[band] > 0 ? most[band] : least[band]);
        value[p] = sum * this.colours.face[jars[p]];
      }
      if (mostOf(value, ranges, this.colours.steps) < -TINY) return null;
      values.push(value);
    }
    return values;
  }

  /** The least and most light each jar’s flakes send back as the uppermost, all stacks weighed. */
  private lightBack(jars: readonly number[], ranges: readonly Range[]): void {
    const { weights, least, most } = this;
    const shares = leastShares(
      jars.map((jar) => this.colours.face[jar]),
      ranges,
    );
    const free = Math.max(0, 1 - shares.reduce((sum, share) => sum + share, 0));
    const films = jars.map((jar) => this.films[jar]);
    const { under } = this.colours.question;
    for (let band = 0; band < BANDS; band += 1) {
      for (let p = 0; p < films.length; p += 1) least[p][band] = most[p][band] = 0;
      let low = under[band];
      let high = low;
      for (let k = 1; k < weights.length; k += 1) {
        let [sumLow, sumHigh, lowest, highest] = [0, 0, Infinity, -Infinity];
        for (let p = 0; p < films.length; p += 1) {
          const { R, twice, hides } = films[p];
          const r = R[band];
          const backLow = hides ? r : r + (twice[band] * low) / (1 - r * low);
          const backHigh = hides ? r : r + (twice[band] * high) / (1 - r * high);
          least[p][band] += weights[k] * backLow;
          most[p][band] += weights[k] * backHigh;
          sumLow += shares[p] * backLow;
          sumHigh += shares[p] * backHigh;
          if (backLow < lowest) lowest = backLow;
          if (backHigh > highest) highest = backHigh;
        }
        low = sumLow + free * lowest;
        high = sumHigh + free * highest;
      }
    }
  }
}

const TINY = 1e-9;
const MOST_PARTS = 5;

/** The most a sum of steps times values comes to within ranges that add up to the whole: the rest goes where it counts most. */
function mostOf(value: Float64Array, ranges: readonly Range[], whole: number): number {
  let rest = whole;
  let sum = 0;
  ranges.forEach(({ low }, p) => {
    rest -= low;
    sum += low * value[p];
  });
  const order = ranges.map((_, p) => p).sort((one, other) => value[other] - value[one]);
  for (const p of order) {
    const more = Math.min(rest, ranges[p].high - ranges[p].low);
    sum += more * value[p];
    rest -= more;
  }
  return sum;
}

/** Steps of each jar, within ranges and adding up to the whole, that meet every bound. */
function mixesOfRanges(ranges: readonly Range[], values: readonly Float64Array[], whole: number): readonly (readonly number[])[] {
  const found: number[][] = [];
  const last = ranges.length - 1;
  const pick = (p: number, rest: number, steps: readonly number[], sums: readonly number[]): void => {
    if (p === last) {
      if (rest < ranges[p].low || rest > ranges[p].high) return;
      if (sums.every((sum, c) => sum + rest * values[c][p] >= -TINY)) found.push([...steps, rest]);
      return;
    }
    let { low, high } = ranges[p];
    if (p === last - 1) {
      low = Math.max(low, rest - ranges[last].high);
      high = Math.min(high, rest - ranges[last].low);
      for (let c = 0; c < values.length && low <= high; c += 1) {
        const flat = sums[c] + rest * values[c][last];
        const slope = values[c][p] - values[c][last];
        if (slope > 0) low = Math.max(low, Math.ceil((-TINY - flat) / slope));
        else if (slope < 0) high = Math.min(high, Math.floor((-TINY - flat) / slope));
        else if (flat < -TINY) return;
      }
      for (let w = low; w <= high; w += 1) found.push([...steps, w, rest - w]);
      return;
    }
    for (let w = low; w <= Math.min(high, rest); w += 1)
      pick(
        p + 1,
        rest - w,
        [...steps, w],
        sums.map((sum, c) => sum + w * values[c][p]),
      );
  };
  pick(
    0,
    whole,
    [],
    values.map(() => 0),
  );
  return found;
}

/** The least share each jar can have of what faces you. */
const leastShares = (face: readonly number[], ranges: readonly Range[]): readonly number[] => {
  const most = ranges.reduce((sum, { high }, i) => sum + high * face[i], 0);
  return ranges.map(({ low, high }, i) => (low * face[i]) / (most - high * face[i] + low * face[i]));
};

/** Ranges cut to what can still add up to the whole; null when nothing can. */
function tightened(ranges: readonly Range[], whole: number): readonly Range[] | null {
  const least = ranges.reduce((sum, { low }) => sum + low, 0);
  const most = ranges.reduce((sum, { high }) => sum + high, 0);
  if (least > whole || most < whole) return null;
  const cut = ranges.map(({ low, high }) => ({
    low: Math.max(low, whole - (most - high)),
    high: Math.min(high, whole - (least - low)),
  }));
  return cut.some(({ low, high }) => low > high) ? null : cut;
}
