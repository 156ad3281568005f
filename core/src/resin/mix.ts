import { roundUpToStep, tidy } from '../units';

/** Left in the pot, ml, and left on glove and stick, share of the mix: as usual, until a workshop's own are weighed. */
export const POT_LOSS_ML = 1.5;
export const GLOVE_LOSS_SHARE = 0.04;

/** ml that a small pot keeps once it is scraped out with a soft spatula: a thin film on a wall of some 30 cm². */
const SMALL_POT_KEEPS = 0.3;

/**
 * ml that stay in the pot resin is mixed in, and in those it is parted into.
 * @param small how many those are
 * @param pot ml that the large one keeps
 */
export const potKeeps = (small: number, pot = POT_LOSS_ML): number => pot + SMALL_POT_KEEPS * small;

export interface ResinNeed {
  /** cm² */ readonly area: number;
  /** mm of film */ readonly thickness: number;
  /** ml that raw glitter soaks up */ readonly fill?: number;
  /** parts of A to parts of B by volume */ readonly ratio: readonly [number, number];
  /** ml */ readonly lossMl?: number;
  /** 0 up to but not including 1 */ readonly lossShare?: number;
  /** the maker's measuring step, ml */ readonly step?: number;
}

export interface ResinMix {
  /** ml that end up as film */ readonly film: number;
  /** ml to mix so that this is on the cup */ readonly need: number;
  /** ml */ readonly a: number;
  /** ml */ readonly b: number;
  /** a + b, ml */ readonly mix: number;
}

/**
 * How much A and B one coat takes: `(area·thickness/10 + fill + pot) ÷ (1 − glove)`, each part
 * rounded up to the maker's step with the ratio kept, since resin off its ratio never cures.
 */
export function resinMix(need: ResinNeed): ResinMix {
  const { area, thickness, fill = 0, ratio, lossMl = POT_LOSS_ML, lossShare = GLOVE_LOSS_SHARE, step = 0.5 } = need;
  const film = (area * thickness) / 10;
  const wanted = (film + fill + lossMl) / (1 - lossShare);
  const [a, b] = partsOnStep(wanted, ratio, step);
  return { film, need: wanted, a, b, mix: tidy(a + b) };
}

/**
 * The same for a resin whose label counts its parts by weight: its ratio is that of grams, kept on the scale.
 * @param need with the ratio by weight, and the step of the scale in g
 * @param density g/ml of A and of B
 * @returns ml, of parts that weigh what their ratio says
 */
export function resinMixByWeight(need: ResinNeed, density: readonly [number, number]): ResinMix {
  const { ratio, step = 0.5 } = need;
  const byVolume: [number, number] = [ratio[0] / density[0], ratio[1] / density[1]];
  const { film, need: wanted } = resinMix({ ...need, ratio: byVolume });
  const gramsPerMl = (ratio[0] + ratio[1]) / (byVolume[0] + byVolume[1]);
  const [a, b] = partsOnStep(wanted * gramsPerMl, ratio, step);
  return { film, need: wanted, a: a / density[0], b: b / density[1], mix: a / density[0] + b / density[1] };
}

/**
 * The smaller part goes up to the step and the larger follows by the ratio. Where that larger part
 * falls between marks (3:2), the next steps are tried, as long as no more than a tenth is wasted.
 */
function partsOnStep(wanted: number, ratio: readonly [number, number], step: number): [number, number] {
  const small = Math.min(...ratio);
  const large = Math.max(...ratio);
  const least = roundUpToStep((wanted * small) / (small + large), step);
  const followed = (part: number) => tidy((part * large) / small);
  let chosen = least;
  for (let part = least; part <= least * 1.1; part = tidy(part + step)) {
    const marks = followed(part) / step;
    if (Math.abs(marks - Math.round(marks)) < 1e-6) {
      chosen = part;
      break;
    }
  }
  return ratio[0] <= ratio[1] ? [chosen, followed(chosen)] : [followed(chosen), chosen];
}
