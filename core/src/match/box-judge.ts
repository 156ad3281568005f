import { BANDS, xyzRows } from '../colour';
import { flakeFilm } from '../glitter';
import { TINY, type Bound } from './bound';
import { LightEnvelopes, type LightEnvelope } from './light-envelope';
import type { MixColours } from './mix-colour';
import type { ShareBox } from './share-box';
import type { ShareLine } from './share-ranges';
import { ShareSums } from './share-sums';

/** A box as bounds see it: worths of steps by bound and jar, and the same of shares of the see-through jars alone. */
export interface JudgedBox {
  readonly worths: readonly Float64Array[];
  readonly lines: readonly ShareLine[];
  /** the sum that is the hardest to keep above zero */
  readonly strict: ShareBox['strict'];
}

/** Holds boxes of mixes against bounds. */
export class BoxJudge {
  private readonly envelopes: LightEnvelopes;
  private readonly reflects: readonly Float64Array[];
  private readonly by = xyzRows.map(() => new Float64Array(BANDS));
  /** the bound that ruled out the last box: most likely it does so again */
  private strictest = 0;

  constructor(private readonly colours: MixColours) {
    this.envelopes = new LightEnvelopes(colours);
    this.reflects = colours.question.jars.map(({ glitter }) => Float64Array.from(flakeFilm(glitter).R));
  }

  /** The most a step of each jar adds to each bound; null when no mix of the box meets one. */
  judge(box: ShareBox, bounds: readonly Bound[]): JudgedBox | null {
    const { face } = this.colours;
    const { through, hiding, shares } = box;
    const light = this.envelopes.of(box);
    const jars = [...through, ...hiding];
    const count = through.length;
    const colours = this.coloursOf(box, light);
    const open: { readonly most: number; readonly worth: Float64Array; readonly line: ShareLine }[] = [];
    const sums = new ShareSums(shares);
    let strictest = Infinity;
    let strict: ShareBox['strict'] = null;
    for (let turn = 0; turn < bounds.length; turn += 1) {
      const place = (this.strictest + turn) % bounds.length;
      const { x, y, z, at } = bounds[place];
      let flat = at + x * colours[0] + y * colours[1] + z * colours[2];
      for (let band = 0; band < BANDS; band += 1)
        flat += Math.abs(x * xyzRows[0][band] + y * xyzRows[1][band] + z * xyzRows[2][band]) * light.off[band];
      const worth = new Float64Array(this.reflects.length);
      const line = new Float64Array(shares.length).fill(-Infinity);
      const lowest = new Float64Array(shares.length).fill(Infinity);
      for (let j = 0; j < jars.length; j += 1) {
        const sum = flat + x * colours[3 * j + 3] + y * colours[3 * j + 4] + z * colours[3 * j + 5];
        worth[jars[j]] = sum * face[jars[j]];
        const p = Math.min(j, count);
        if (sum > line[p]) line[p] = sum;
        if (sum < lowest[p]) lowest[p] = sum;
      }
      const most = sums.most(line);
      if (most < strictest) {
        strictest = most;
        strict = { own: line, hiding: worth.map((value, jar) => value / face[jar]) };
      }
      if (most < -TINY) {
        this.strictest = place;
        return null;
      }
      if (sums.least(lowest) < 0) open.push({ most, worth, line });
    }
    open.sort((one, other) => one.most - other.most);
    return { worths: open.map(({ worth }) => worth), lines: open.map(({ line }) => line), strict };
  }

  /** XYZ of an envelope's constant, then of what each jar adds to it, the see-through ones first. */
  private coloursOf({ through, hiding }: ShareBox, light: LightEnvelope): Float64Array {
    const jars = [...through, ...hiding];
    const count = through.length;
    const colours = new Float64Array(3 * (jars.length + 1));
    for (let axis = 0; axis < 3; axis += 1) {
      const seen = xyzRows[axis];
      for (let band = 0; band < BANDS; band += 1) {
        const start = band * (2 + count);
        colours[axis] += seen[band] * light.middle[start];
        for (let p = 0; p < count; p += 1) colours[3 * (p + 1) + axis] += seen[band] * light.middle[start + 2 + p];
        this.by[axis][band] = seen[band] * light.middle[start + 1];
      }
      for (let j = count; j < jars.length; j += 1) {
        const R = this.reflects[jars[j]];
        let sum = 0;
        for (let band = 0; band < BANDS; band += 1) sum += this.by[axis][band] * R[band];
        colours[3 * (j + 1) + axis] = sum;
      }
    }
    return colours;
  }
}
