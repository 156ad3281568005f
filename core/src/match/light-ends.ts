import { BANDS } from '../colour';
import { remember } from '../remember';
import type { Interval } from './difference-bounds';
import type { ShareBox } from './share-box';

/** What rounding may take of a share of light. */
const ROUNDED = 1e-12;

/** What a share of hiding flakes sends back at the least and the most, wavelength by wavelength. */
export interface Ends {
  readonly darkest: Float64Array;
  readonly brightest: Float64Array;
}

/** Finds the ends of hiding jars. */
export class LightEnds {
  /** @param reflects what each jar of the question sends back, by wavelength */
  constructor(private readonly reflects: readonly Float64Array[]) {}

  /** The darkest and the brightest of some jars, wavelength by wavelength; of none, what changes no least and no most. */
  readonly of = remember((hiding: readonly number[]) => {
    const darkest = new Float64Array(BANDS).fill(1);
    const brightest = new Float64Array(BANDS);
    for (const jar of hiding)
      for (let band = 0; band < BANDS; band += 1) {
        darkest[band] = Math.min(darkest[band], this.reflects[jar][band]);
        brightest[band] = Math.max(brightest[band], this.reflects[jar][band]);
      }
    return { darkest, brightest };
  });

  /**
   * The same of the jars that a mix may really have much of: those that the strictest sum counts against count
   * for less (what a linear programme with that sum alone comes to).
   */
  within({ through, shares, hiding, strict }: ShareBox, hides: Interval): Ends {
    const all = this.of(hiding);
    if (!strict || hiding.length === 0 || hides[1] <= 0) return all;
    let spare = 0;
    through.forEach((_, p) => (spare += Math.max(shares[p][0] * strict.own[p], shares[p][1] * strict.own[p])));
    const limit = spare > 0 ? spare / hides[0] : spare / hides[1];
    if (!Number.isFinite(limit)) return all;
    const costs = Float64Array.from(hiding, (jar) => -strict.hiding[jar]);
    const values = new Float64Array(hiding.length);
    const [darkest, brightest] = [new Float64Array(BANDS), new Float64Array(BANDS)];
    for (let band = 0; band < BANDS; band += 1) {
      for (let j = 0; j < hiding.length; j += 1) values[j] = this.reflects[hiding[j]][band];
      darkest[band] = leastWithin(values, costs, limit);
      for (let j = 0; j < hiding.length; j += 1) values[j] = -values[j];
      brightest[band] = -leastWithin(values, costs, limit);
    }
    return { darkest, brightest };
  }
}

/** The least that shares of some come to that cost no more than a limit in the mean; of all together where none is so cheap. */
function leastWithin(values: Float64Array, costs: Float64Array, limit: number): number {
  let [cheap, least] = [-1, 0];
  for (let j = 0; j < values.length; j += 1) {
    if (values[j] < values[least]) least = j;
    if (costs[j] <= limit && (cheap < 0 || values[j] < values[cheap])) cheap = j;
  }
  if (cheap < 0 || costs[least] <= limit) return values[least];
  // A line between a cheap one and a dear one, until all others lie over it: where it meets the limit is the least.
  let dear = least;
  for (;;) {
    const price = (values[cheap] - values[dear]) / (costs[dear] - costs[cheap]);
    const line = values[cheap] + price * costs[cheap];
    let under = cheap;
    let lowest = line - ROUNDED;
    for (let j = 0; j < values.length; j += 1) {
      const value = values[j] + price * costs[j];
      if (value < lowest) [under, lowest] = [j, value];
    }
    if (under === cheap) return line - ROUNDED - price * limit;
    if (costs[under] <= limit) cheap = under;
    else dear = under;
  }
}
