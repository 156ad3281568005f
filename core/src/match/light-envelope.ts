import { BANDS } from '../colour';
import { flakeFilm, poissonWeights } from '../glitter';
import { remember } from '../remember';
import type { Interval } from './difference-bounds';
import type { MixColours } from './mix-colour';

/** Which see-through jars a mix has, within which shares of its face, and the hiding jars the rest may be of. */
export interface ShareBox {
  readonly through: readonly number[];
  /** by see-through jar, 0..1 */
  readonly shares: readonly Interval[];
  readonly hiding: readonly number[];
  /** the strictest sum known that no mix of it may take below zero: what a whole share adds, of each see-through jar and by hiding jar */
  readonly strict: { readonly own: Float64Array; readonly hiding: Float64Array } | null;
}

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

/** Multipliers tried, of what makes the sum as strong as light itself. */
const MULTIPLIERS = [0.2, 0.6, 2, 6];
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

  constructor(private readonly colours: MixColours) {
    this.weights = poissonWeights(Math.min(colours.question.depth, 400));
    this.beyond = Float64Array.from(this.weights, () => 0);
    for (let k = this.weights.length - 2; k >= 0; k -= 1) this.beyond[k] = this.beyond[k + 1] + this.weights[k + 1];
    this.films = colours.question.jars.map(({ glitter }) => {
      const { R, T } = flakeFilm(glitter);
      return { R: Float64Array.from(R), twice: Float64Array.from(T, (t) => t * t) };
    });
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
    const { darkest, brightest } = this.endsWithin(box, hides);
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

  /**
   * The same of the jars that a mix may really have much of: those that the strictest sum counts against count
   * for less, by a multiplier (a Lagrangian bound: any multiplier holds, a few are tried).
   */
  private endsWithin({ shares, hiding, strict }: ShareBox, hides: Interval): { darkest: Float64Array; brightest: Float64Array } {
    const all = this.endsOf(hiding);
    if (!strict || hiding.length === 0 || hides[1] <= 0) return all;
    const scale = hiding.reduce((sum, jar) => sum + Math.abs(strict.hiding[jar]), 0) / hiding.length;
    let spare = 0;
    shares.forEach(([from, to], p) => (spare += Math.max(from * strict.own[p], to * strict.own[p])));
    const perShare = spare > 0 ? spare / hides[0] : spare / hides[1];
    if (!(scale > 0) || !Number.isFinite(perShare)) return all;
    const [darkest, brightest] = [all.darkest.slice(), all.brightest.slice()];
    for (const share of MULTIPLIERS) {
      const times = share / scale;
      for (let band = 0; band < BANDS; band += 1) {
        let [low, high] = [Infinity, -Infinity];
        for (const jar of hiding) {
          const r = this.films[jar].R[band];
          const turn = times * strict.hiding[jar];
          if (r - turn < low) low = r - turn;
          if (r + turn > high) high = r + turn;
        }
        darkest[band] = Math.max(darkest[band], low - times * perShare);
        brightest[band] = Math.min(brightest[band], high + times * perShare);
      }
    }
    return { darkest, brightest };
  }

  /** The darkest and the brightest of some jars, wavelength by wavelength; of none, what changes no least and no most. */
  private readonly endsOf = remember((hiding: readonly number[]) => {
    const darkest = new Float64Array(BANDS).fill(1);
    const brightest = new Float64Array(BANDS);
    for (const jar of hiding)
      for (let band = 0; band < BANDS; band += 1) {
        darkest[band] = Math.min(darkest[band], this.films[jar].R[band]);
        brightest[band] = Math.max(brightest[band], this.films[jar].R[band]);
      }
    return { darkest, brightest };
  });
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
