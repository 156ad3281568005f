import { OffTheCupError, piecesOf, radiusOf, type Station } from './station';
import { circumferenceAt, wallLength } from './wall';

/** A band of one straight piece laid flat: a rectangle, or part of a ring. Lengths mm, angle degrees. */
export type FlatBand =
  | { length: number; innerRadius: null; outerRadius: null; angle: 0; width: number }
  | { length: number; innerRadius: number; outerRadius: number; angle: number; width: null };

/**
 * The flat pattern of a band: an annular sector with radii `r·L/|Δr|` and angle `360·|Δr|/L`.
 * @throws OffTheCupError when the band reaches over a bend of the wall; cut it there
 */
export function flattenBand(stations: readonly Station[], from: number, to: number): FlatBand {
  const within = piecesOf(stations).some(([lower, upper]) => from >= lower.height && to <= upper.height);
  if (!within || to <= from) {
    throw new OffTheCupError(`${from} to ${to} mm isn’t within one straight piece of this wall.`);
  }
  const width = circumferenceAt(stations, from);
  const low = radiusOf(width);
  const high = radiusOf(circumferenceAt(stations, to));
  const length = wallLength(stations, from, to);
  const change = Math.abs(high - low);
  if (change < 1e-9) {
    return { length, innerRadius: null, outerRadius: null, angle: 0, width };
  }
  return {
    length,
    innerRadius: (Math.min(low, high) * length) / change,
    outerRadius: (Math.max(low, high) * length) / change,
    angle: (360 * change) / length,
    width: null,
  };
}
