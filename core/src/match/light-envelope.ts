import { BANDS } from '../colour';
import { flakeFilm, poissonWeights } from '../glitter';
import type { Interval } from './difference-bounds';
import { LightEnds } from './light-ends';
import type { MixColours } from './mix-colour';
import type { ShareBox } from './share-box';

/**
 * The light of every mix of a box, near a plain sum, wavelength by wavelength: `at + with·B + Σ by·share`, the
 * shares those of the see-through jars and B what the hiding ones send back, each by its share.
 */
export interface LightEnvelope {
  /** wavelength by wavelength `at`, `with`, then `by` of each see-through jar */
  readonly middle: Float64Array;
  /** how far from the sum it may be, by wavelength */
  readonly off: Float64Array;
}

/** Stacks so deep that they are met no oftener count as a range of light rather than one by one. */
const SELDOM = 1e-3;

/**
 * Makes envelopes. Layer by layer: what a see-through flake sends back is a curve of what it lies on that
 * bends upward, so it lies under its chord and over a tangent; and a share times such a sum lies under and
 * over planes (G. P. McCormick, “Computability of global solutions to factorable nonconvex programs I”,
 * Mathematical Programming 10, 1976). What is lost falls with the square of the box.
 */
export class LightEnvelopes {
  private readonly weights: Float64Array;
  /** how likely a stack is deeper than so many flakes */
  private readonly beyond: Float64Array;
  private readonly films: readonly { readonly R: Float64Array; readonly twice: Float64Array }[];
  private readonly ends: LightEnds;

  constructor(private readonly colours: MixColours) {
    this.weights = poissonWeights(Math.min(colours.question.depth, 400));
    this.beyond = Float64Array.from(this.weights, () => 0);
    for (let k = this.weights.length - 2; k >= 0; k -= 1) this.beyond[k] = this.beyond[k + 1] + this.weights[k + 1];
    this.films = colours.question.jars.map(({ glitter }) => {
      const { R, T } = flakeFilm(glitter);
      return { R: Float64Array.from(R), twice: Float64Array.from(T, (t) => t * t) };
    });
    this.ends = new LightEnds(this.films.map(({ R }) => R));
  }

  of(box: ShareBox): LightEnvelope {
    const { through, shares, hiding } = box;
    const { weights, beyond } = this;
    const { under } = this.colours.question;
    const count = through.length;
    const width = 2 + count;
    const most = new Float64Array(BANDS * width);
    const least = new Float64Array(BANDS * width);
    const films = through.map((jar) => this.films[jar]);
    const [from, to] = [0, 1].map((end) => Float64Array.from(shares, (share) => share[end]));
    const sum = (values: Float64Array) => values.reduce((total, value) => total + value, 0);
    const hides: Interval = hiding.length > 0 ? [Math.max(0, 1 - sum(to)), Math.max(0, 1 - sum(from))] : [0, 0];
    const free = Math.max(0, 1 - sum(from) - hides[0]);
    const { darkest, brightest } = this.ends.within(box, hides);
    const [upper, lower, nextUpper, nextLower] = Array.from({ length: 4 }, () => new Float64Array(width));
    for (let band = 0; band < BANDS; band += 1) {
      const row = band * width;
      let low = under[band];
      let high = low;
      for (let c = 0; c < width; c += 1) upper[c] = lower[c] = 0;
      upper[0] = lower[0] = low;
      most[row] = least[row] = weights[0] * low;
      for (let k = 1; k < weights.length; k += 1) {
        let [atMost, atLeast] = [0, 0];
        let [slopeMost, slopeLeast] = [0, 0];
        let nextLow = hides[0] * darkest[band];
        let nextHigh = hides[0] * brightest[band];
        let lowest = darkest[band];
        let highest = brightest[band];
        const middle = (low + high) / 2;
        for (let p = 0; p < count; p += 1) {
          const { R, twice } = films[p];
          const r = R[band];
          const q = twice[band];
          const overLow = 1 / (1 - r * low);
          const overHigh = 1 / (1 - r * high);
          const there = 1 / (1 - r * middle);
          const backLow = r + q * low * overLow;
          const backHigh = r + q * high * overHigh;
          const half = (from[p] + to[p]) / 2;
          // The curve under its chord and over its tangent in the middle; the product between the means of its two planes.
          const chord = q * overLow * overHigh;
          const tangent = q * there * there;
          slopeMost += half * chord;
          slopeLeast += half * tangent;
          atMost += half * (backLow - chord * low) - (to[p] * backLow + from[p] * backHigh) / 2;
          atLeast += half * (r + q * middle * there - tangent * middle) - (from[p] * backLow + to[p] * backHigh) / 2;
          nextUpper[2 + p] = nextLower[2 + p] = (backLow + backHigh) / 2;
          nextLow += from[p] * backLow;
          nextHigh += from[p] * backHigh;
          if (backLow < lowest) lowest = backLow;
          if (backHigh > highest) highest = backHigh;
        }
        nextUpper[0] = atMost + slopeMost * upper[0];
        nextLower[0] = atLeast + slopeLeast * lower[0];
        nextUpper[1] = 1 + slopeMost * upper[1];
        nextLower[1] = 1 + slopeLeast * lower[1];
        for (let c = 2; c < width; c += 1) {
          nextUpper[c] += slopeMost * upper[c];
          nextLower[c] += slopeLeast * lower[c];
        }
        for (let c = 0; c < width; c += 1) {
          upper[c] = nextUpper[c];
          lower[c] = nextLower[c];
          most[row + c] += weights[k] * upper[c];
          least[row + c] += weights[k] * lower[c];
        }
        nextLow += free * lowest;
        nextHigh += free * highest;
        // Once a layer stays within the one before, so do all that follow.
        const within = nextLow >= low && nextHigh <= high;
        low = nextLow;
        high = nextHigh;
        if (within && beyond[k] < SELDOM) {
          most[row] += beyond[k] * high;
          least[row] += beyond[k] * low;
          break;
        }
      }
    }
    return middleOf(most, least, { hides, darkest, brightest, from, to });
  }
}

/** The sum halfway between two, and how far both lie from it at most. */
function middleOf(
  most: Float64Array,
  least: Float64Array,
  box: {
    readonly hides: Interval;
    readonly darkest: Float64Array;
    readonly brightest: Float64Array;
    readonly from: Float64Array;
    readonly to: Float64Array;
  },
): LightEnvelope {
  const { hides, darkest, brightest, from, to } = box;
  const width = 2 + from.length;
  const middle = most.map((value, at) => (value + least[at]) / 2);
  const off = new Float64Array(BANDS);
  for (let band = 0; band < BANDS; band += 1) {
    const row = band * width;
    const by = (most[row + 1] - least[row + 1]) / 2;
    off[band] = (most[row] - least[row]) / 2 + (by > 0 ? by * hides[1] * brightest[band] : by * hides[0] * darkest[band]);
    for (let p = 0; p < from.length; p += 1) {
      const own = (most[row + 2 + p] - least[row + 2 + p]) / 2;
      off[band] += own * (own > 0 ? to[p] : from[p]);
    }
  }
  return { middle, off };
}
