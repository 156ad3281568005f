import { BANDS } from '../colour';
import { remember } from '../remember';
import type { Interval } from './difference-bounds';
import type { ShareBox } from './share-box';

/** Multipliers tried, of what makes the sum as strong as light itself. */
const MULTIPLIERS = [0.2, 0.6, 2, 6];

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
   * for less, by a multiplier (a Lagrangian bound: any multiplier holds, a few are tried).
   */
  within({ through, shares, hiding, strict }: ShareBox, hides: Interval): Ends {
    const all = this.of(hiding);
    if (!strict || hiding.length === 0 || hides[1] <= 0) return all;
    const scale = hiding.reduce((sum, jar) => sum + Math.abs(strict.hiding[jar]), 0) / hiding.length;
    let spare = 0;
    through.forEach((_, p) => (spare += Math.max(shares[p][0] * strict.own[p], shares[p][1] * strict.own[p])));
    const perShare = spare > 0 ? spare / hides[0] : spare / hides[1];
    if (!(scale > 0) || !Number.isFinite(perShare)) return all;
    const [darkest, brightest] = [all.darkest.slice(), all.brightest.slice()];
    for (const share of MULTIPLIERS) {
      const times = share / scale;
      for (let band = 0; band < BANDS; band += 1) {
        let [low, high] = [Infinity, -Infinity];
        for (const jar of hiding) {
          const r = this.reflects[jar][band];
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
}
