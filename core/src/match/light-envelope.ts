import { BANDS } from '../colour';
import { flakeFilm, poissonWeights } from '../glitter';
import { LightEnds, type Ends } from './light-ends';
import type { MixColours } from './mix-colour';
import { hidingShare, type ShareBox } from './share-box';
import { ShareSums } from './share-sums';

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

/** What a jar’s flake sends back, and lets through there and back, by wavelength. */
interface Film {
  readonly R: Float64Array;
  readonly twice: Float64Array;
}

/** Stacks so deep that they are met no oftener count as a range of light rather than one by one. */
const SELDOM = 1e-3;
/** How many times further than it just went light is taken to go, all stacks deeper still; it is tried whether it holds. */
const FURTHER = 2;

/**
 * Makes envelopes. Layer by layer: what a see-through flake sends back is a curve of what it lies on that
 * bends upward, so it lies under its chord, and over it less the most it sags; and a share times such a sum is
 * near a plane (G. P. McCormick, “Computability of global solutions to factorable nonconvex programs I”,
 * Mathematical Programming 10, 1976). Shares add up to 1, so what all of them have in common cancels, and only
 * how they differ is lost, which falls with the square of the box.
 */
export class LightEnvelopes {
  private readonly weights: Float64Array;
  /** how likely a stack is deeper than so many flakes */
  private readonly beyond: Float64Array;
  private readonly films: readonly Film[];
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
    const { weights, beyond } = this;
    const { under } = this.colours.question;
    const count = box.through.length;
    const width = 2 + count;
    const middle = new Float64Array(BANDS * width);
    const off = new Float64Array(BANDS);
    const layer = new Layer(
      box,
      box.through.map((jar) => this.films[jar]),
      this.ends.within(box, hidingShare(box)),
    );
    const sum = new Float64Array(width);
    for (let band = 0; band < BANDS; band += 1) {
      const row = band * width;
      layer.at(band);
      let low = under[band];
      let high = low;
      sum.fill(0);
      sum[0] = low;
      let away = 0;
      middle[row] = weights[0] * low;
      for (let k = 1; k < weights.length; k += 1) {
        layer.over(low, high);
        const { slope, sags } = layer;
        sum[0] = slope * (sum[0] - (low + high) / 2) - sags / 2;
        sum[1] = 1 + slope * sum[1];
        for (let p = 0; p < count; p += 1) sum[2 + p] = (layer.lows[p] + layer.highs[p]) / 2 + slope * sum[2 + p];
        away = slope * away + ((high - low) / 2) * layer.apart + sags / 2;
        for (let c = 0; c < width; c += 1) middle[row + c] += weights[k] * sum[c];
        off[band] += weights[k] * away;
        const [before, above] = [low, high];
        low = layer.low;
        high = layer.high;
        if (beyond[k] >= SELDOM) continue;
        // Once a layer over a range stays within it, so do all that follow.
        const floor = Math.max(0, low - FURTHER * Math.max(0, before - low));
        const ceiling = Math.min(1, high + FURTHER * Math.max(0, high - above));
        layer.over(floor, ceiling);
        if (layer.low < floor || layer.high > ceiling) continue;
        middle[row] += (beyond[k] * (ceiling + floor)) / 2;
        off[band] += (beyond[k] * (ceiling - floor)) / 2;
        break;
      }
    }
    return { middle, off };
  }
}

/** One more flake on what lies there, for all mixes of a box at once. */
class Layer {
  /** what each see-through jar’s flakes send back over the darkest and the brightest; then the hiding ones */
  readonly lows: Float64Array;
  readonly highs: Float64Array;
  /** what all send back, by their shares, at the least and at the most */
  low = 0;
  high = 0;
  /** how fast that grows with what lies there, about */
  slope = 0;
  /** how far from that slope the shares of the box can be */
  apart = 0;
  /** how far all curves together lie under their chords at most */
  sags = 0;
  private readonly count: number;
  private readonly chords: Float64Array;
  private readonly sums: ShareSums;
  /** of each see-through jar at the wavelength: light back, light through there and back, and how fast its part bends */
  private readonly R: Float64Array;
  private readonly twice: Float64Array;
  private readonly bends: Float64Array;

  constructor(
    private readonly box: ShareBox,
    private readonly films: readonly Film[],
    private readonly ends: Ends,
  ) {
    const { shares, through } = box;
    this.count = through.length;
    this.sums = new ShareSums(shares);
    this.lows = new Float64Array(shares.length);
    this.highs = new Float64Array(shares.length);
    this.chords = new Float64Array(shares.length);
    this.R = new Float64Array(this.count);
    this.twice = new Float64Array(this.count);
    this.bends = new Float64Array(this.count);
  }

  /** Goes to a wavelength. */
  at(band: number): void {
    const { count, R, twice, bends, lows, highs, ends, box } = this;
    for (let p = 0; p < count; p += 1) {
      R[p] = this.films[p].R[band];
      twice[p] = this.films[p].twice[band];
      bends[p] = box.shares[p][1] * twice[p] * R[p];
    }
    if (lows.length > count) {
      lows[count] = ends.darkest[band];
      highs[count] = ends.brightest[band];
    }
  }

  /** Works it out over what lies in a range of light. */
  over(low: number, high: number): void {
    const { count, lows, highs, chords, sums, R, twice, bends } = this;
    let bent = 0;
    for (let p = 0; p < count; p += 1) {
      const r = R[p];
      const q = twice[p];
      const overLow = 1 / (1 - r * low);
      const overHigh = 1 / (1 - r * high);
      lows[p] = r + q * low * overLow;
      highs[p] = r + q * high * overHigh;
      chords[p] = q * overLow * overHigh;
      bent += bends[p] * overHigh * overHigh * overHigh;
    }
    // Chord less curve: an eighth of the square it goes over, times how fast the curve bends at its high end.
    this.sags = (bent * (high - low) * (high - low)) / 4;
    const [most, least] = [sums.most(chords), sums.least(chords)];
    this.slope = (most + least) / 2;
    this.apart = (most - least) / 2;
    this.low = sums.least(lows);
    this.high = sums.most(highs);
  }
}
