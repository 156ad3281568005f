import { bandRegion, finely, onGrid, together, within, type Region, type RegionPolygon } from '../regions';
import { piecesOf, unrolledCone, type FlatPoint, type Station } from '../vessel';
import { mark, type TemplateLine, type TemplateWords } from './template';

/** One straight piece of the wall laid flat, with what lies on it. */
export interface FlatPiece {
  readonly number: number;
  readonly of: number;
  readonly lines: readonly TemplateLine[];
  readonly words: readonly TemplateWords[];
}

const STEP = { degrees: 1.5, mm: 6 };

/**
 * A region laid flat piece by piece: a wall that bends can't be unrolled whole, so each cone of it
 * comes by itself, with register marks where it joins the next.
 * @param ticks lines up the wall to be marked, at angles from the seam
 */
export function flatPieces(region: Region, stations: readonly Station[], ticks?: Ticks): readonly FlatPiece[] {
  const pieces = piecesOf(stations);
  return pieces
    .map(([lower, upper], index) => {
      const here = within(region, bandRegion(lower.height, upper.height, -360, 720));
      const flat = unrolledCone([lower, upper]);
      return {
        number: index + 1,
        of: pieces.length,
        lines: [
          ...here.flatMap((polygon) => polygonLines(polygon, [lower, upper], flat.point)),
          ...(ticks ? tickLines(ticks, lower, upper, flat.point) : []),
          ...(here.length === 0 ? [] : registerLines(index, pieces.length, lower, upper, flat.point)),
        ],
        words: here.length === 0 ? [] : registerWords(index, pieces.length, lower, upper, flat.point),
      };
    })
    .filter((piece) => piece.lines.length > 0);
}

/** Lines up the wall between two heights, mm. */
export interface Ticks {
  readonly angles: readonly number[];
  readonly from: number;
  readonly to: number;
}

function tickLines(
  { angles, from, to }: Ticks,
  lower: Station,
  upper: Station,
  point: (angle: number, height: number) => FlatPoint,
): readonly TemplateLine[] {
  const [low, high] = [Math.max(from, lower.height), Math.min(to, upper.height)];
  return high <= low ? [] : angles.map((angle) => mark(point(angle, low), point(angle, high)));
}

const polygonLines = (
  polygon: RegionPolygon,
  stations: readonly Station[],
  point: (angle: number, height: number) => FlatPoint,
): readonly TemplateLine[] =>
  polygon.map((ring) => ({
    role: 'cut' as const,
    points: finely(ring, stations, STEP).map(([angle, height]) => point(angle, height)),
    closed: true,
  }));

/** Ticks a quarter turn apart at both ends of a piece that joins another, lettered alike on both. */
const QUARTERS = [45, 135, 225, 315] as const;
const TICK = 3;

function registerLines(
  index: number,
  count: number,
  lower: Station,
  upper: Station,
  point: (angle: number, height: number) => FlatPoint,
): readonly TemplateLine[] {
  const tick = (height: number, into: number) => QUARTERS.map((angle) => mark(point(angle, height), point(angle, height + into)));
  const into = Math.min(TICK, (upper.height - lower.height) / 3);
  return [...(index > 0 ? tick(lower.height, into) : []), ...(index < count - 1 ? tick(upper.height, -into) : [])];
}

function registerWords(
  index: number,
  count: number,
  lower: Station,
  upper: Station,
  point: (angle: number, height: number) => FlatPoint,
): readonly TemplateWords[] {
  const letters = (join: number, height: number) =>
    QUARTERS.map((angle, quarter) => ({ at: point(angle + 2, height), text: `${join}${'ABCD'[quarter]}` }));
  const inside = Math.min(TICK, (upper.height - lower.height) / 3) * 0.7;
  return [
    ...(index > 0 ? letters(index, lower.height + inside) : []),
    ...(index < count - 1 ? letters(index + 1, upper.height - inside) : []),
  ];
}

/**
 * Outlines that the seam cuts in two, made whole: what lies at the far side of the seam is laid on
 * before its start, at angles below 0. What goes all the way round stays as it is.
 */
export function wholeOutlines(region: Region): Region {
  const touching = (polygon: RegionPolygon, angle: number) => polygon[0].some(([a]) => a === angle);
  const starts = region.filter((polygon) => touching(polygon, 0) && !touching(polygon, 360));
  const ends = region.filter((polygon) => touching(polygon, 360) && !touching(polygon, 0));
  if (starts.length === 0 || ends.length === 0) return region;
  const before = ends.map((polygon) =>
    polygon.map((ring) => ring.map(([angle, height]) => [onGrid(angle - 360), height] as const)),
  );
  const rest = region.filter((polygon) => !starts.includes(polygon) && !ends.includes(polygon));
  return [...rest, ...together([starts, before])];
}
