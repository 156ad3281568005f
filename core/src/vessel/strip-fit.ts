import type { Station } from './station';
import { circumferenceAt } from './wall';

/** A strip puckers when its two edges differ by more than this, mm. */
export const PUCKER = 1;

/** How a straight strip between two heights lies on the wall. Lengths mm. */
export interface StripFit {
  readonly lowerLength: number;
  readonly upperLength: number;
  /** how much longer one edge must be than the other: 2π·|r(top) − r(bottom)| */
  readonly difference: number;
  readonly puckers: boolean;
  /** what to cut to, with 5 mm to lie over its own start */
  readonly cutLength: number;
}

export function stripFit(stations: readonly Station[], from: number, to: number): StripFit {
  const lowerLength = circumferenceAt(stations, from);
  const upperLength = circumferenceAt(stations, to);
  const difference = Math.abs(upperLength - lowerLength);
  return {
    lowerLength,
    upperLength,
    difference,
    puckers: difference > PUCKER,
    cutLength: Math.max(lowerLength, upperLength) + 5,
  };
}
