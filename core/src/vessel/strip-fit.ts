import type { Station } from './station';
import { circumferenceAt, heightAtWallLength, wallLength } from './wall';

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

/** A strip as it lies: between which heights, and how far it would stand over foot or rim, mm. */
export interface LaidStrip extends StripFit {
  readonly from: number;
  readonly to: number;
  readonly over: number;
}

/**
 * A strip of one width once round, its middle at a height.
 * @param width along the wall @param centre above the foot
 * @returns how it lies, and by how much its edges would stand over foot or rim; lengths mm
 */
export function stripAround(stations: readonly Station[], width: number, centre: number): LaidStrip {
  const height = stations[stations.length - 1].height;
  const along = wallLength(stations, 0, Math.min(height, Math.max(0, centre)));
  const whole = wallLength(stations, 0, height);
  const [low, high] = [along - width / 2, along + width / 2];
  const at = (length: number) => Math.min(height, heightAtWallLength(stations, Math.min(whole, Math.max(0, length))));
  const over = Math.max(0, -low, high - whole, centre - height);
  return { ...stripFit(stations, at(low), at(high)), from: at(low), to: at(high), over };
}
