import { offLine } from '../regions';
import { circumferenceAt, heightOf, type Station } from '../vessel';
import type { LaidLine } from './laid-lines';
import type { WetFilm } from './wet-film';
import { cellSize } from './wet-grid';

/**
 * mm of line that still fall when the hand has come to a stop, and all land on one spot: a thread falls about 30 mm, in 0.08 s
 * (√(2h/g)), while a hand goes about 150 mm a second.
 */
const STILL_FALLS = 12;

/** What a line takes of its pot: mm of it, with what still falls where it stops; a drop is one. */
export function lineTakes(line: LaidLine, stations: readonly Station[]): number {
  const long = lengthOf(line, stations);
  return long > 0 ? long + line.stops.filter(Boolean).length * STILL_FALLS : 1;
}

/**
 * Lays a line of colour on a film, exactly so much of it, in a round ridge.
 * @param laid mm³ for each that it takes, and mm of the ridge
 */
export function layLine(
  film: WetFilm,
  pot: number,
  line: LaidLine,
  { volume, width }: { readonly volume: number; readonly width: number },
  stations: readonly Station[],
): void {
  const { points, stops } = line;
  const long = lengthOf(line, stations);
  if (long > 0) spread(film, pot, ridge(film, points, ridgeWidth(volume, width), stations), volume * long);
  const head = long > 0 ? volume * STILL_FALLS : volume;
  const spots = long > 0 ? [points[0], points[points.length - 1]].filter((_, end) => stops[end]) : points;
  for (const spot of spots) spread(film, pot, ridge(film, [spot], dropWidth(head, width), stations), head);
}

/** mm of a line on the wall. */
function lengthOf({ points }: LaidLine, stations: readonly Station[]): number {
  const top = heightOf({ stations });
  return points.slice(1).reduce((sum, [angle, height], i) => {
    const [before, below] = points[i];
    const round = circumferenceAt(stations, Math.min(top, Math.max(0, (height + below) / 2)));
    return sum + Math.hypot(((angle - before) * round) / 360, height - below);
  }, 0);
}

/** mm: what is laid higher sinks by itself while one looks. */
const HIGHEST = 1.2;

/** mm that a ridge of so many mm² is wide at least, and a drop of so many mm³. */
export const ridgeWidth = (section: number, width: number): number => Math.max(width, (1.5 * section) / HIGHEST);
export const dropWidth = (volume: number, width: number): number =>
  Math.max(width, 2 * Math.sqrt((2 * volume) / (Math.PI * HIGHEST)));

/** What the cells within half a width of a line get of it, most in its middle. */
function ridge(
  { grid }: WetFilm,
  points: LaidLine['points'],
  width: number,
  stations: readonly Station[],
): ReadonlyMap<number, number> {
  const weights = new Map<number, number>();
  const { columns, rows, rise, across } = grid;
  // No ridge is narrower than the cells it is drawn in.
  const half = Math.max(width, 2 * rise) / 2;
  const top = heightOf({ stations });
  const legs =
    points.length === 1 ? [[points[0], points[0]] as const] : points.slice(1).map((point, i) => [points[i], point] as const);
  for (const [[fromAngle, fromHeight], [toAngle, toHeight]] of legs) {
    const low = Math.max(0, Math.floor((Math.min(fromHeight, toHeight) - half) / rise));
    const high = Math.min(rows - 1, Math.floor((Math.max(fromHeight, toHeight) + half) / rise));
    for (let row = low; row <= high; row += 1) {
      const height = (row + 0.5) * rise;
      const wide = across[row];
      const perDegree = circumferenceAt(stations, Math.min(top, height)) / 360;
      const [x0, x1] = [fromAngle * perDegree, toAngle * perDegree];
      const first = Math.floor((Math.min(x0, x1) - half) / wide);
      const last = Math.floor((Math.max(x0, x1) + half) / wide);
      for (let column = first; column <= last; column += 1) {
        const off = offLine([(column + 0.5) * wide, height], [x0, fromHeight], [x1, toHeight]) / half;
        if (off >= 1) continue;
        const at = row * columns + (((column % columns) + columns) % columns);
        weights.set(at, Math.max(weights.get(at) ?? 0, 1 - off * off));
      }
    }
  }
  return weights;
}

function spread({ grid, all, colour }: WetFilm, pot: number, weights: ReadonlyMap<number, number>, volume: number): void {
  let sum = 0;
  for (const [at, weight] of weights) sum += weight * cellSize(grid, Math.floor(at / grid.columns));
  if (sum === 0) return;
  for (const [at, weight] of weights) {
    colour[pot][at] += (weight * volume) / sum;
    all[at] += (weight * volume) / sum;
  }
}
