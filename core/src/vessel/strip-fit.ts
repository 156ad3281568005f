import type { Station } from './station';
import { circumferenceAt, wallLength } from './wall';

/** A strip puckers when the tape reads more than this differently along it, mm. */
export const PUCKER = 1;

/** How a straight strip between two heights lies on the wall. Lengths mm. */
export interface StripFit {
  readonly lowerLength: number;
  readonly upperLength: number;
  /** the most and the least the tape reads anywhere between its edges: on a belly that is neither edge */
  readonly longest: number;
  readonly shortest: number;
  /** how wide the strip is: along the wall, which leans */
  readonly width: number;
  /** how much longer one line round it must be than another: 2π·|Δr| */
  readonly difference: number;
  readonly puckers: boolean;
  /** what to cut to, with 5 mm to lie over its own start */
  readonly cutLength: number;
}

export function stripFit(stations: readonly Station[], from: number, to: number): StripFit {
  const lowerLength = circumferenceAt(stations, from);
  const upperLength = circumferenceAt(stations, to);
  const between = stations.filter(({ height }) => height > from && height < to).map(({ circumference }) => circumference);
  const longest = Math.max(lowerLength, upperLength, ...between);
  const shortest = Math.min(lowerLength, upperLength, ...between);
  const difference = longest - shortest;
  return {
    lowerLength,
    upperLength,
    longest,
    shortest,
    width: wallLength(stations, from, to),
    difference,
    puckers: difference > PUCKER,
    cutLength: longest + 5,
  };
}
