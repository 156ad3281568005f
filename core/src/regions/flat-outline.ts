import type { FlatPoint, Station, Unrolling } from '../vessel';
import { finely } from './finely';
import { alongSeam, type Region } from './region';

/** The closed outlines of a region on the unrolled wall, mm, with points enough to be drawn by straight lines. */
export const flatOutline = (region: Region, stations: readonly Station[], flat: Unrolling): readonly (readonly FlatPoint[])[] =>
  region.flatMap((polygon) => polygon.map((ring) => finely(ring, stations).map(([angle, height]) => flat.point(angle, height))));

/** The edges of a region as lines on the wall, without those along the seam, where no edge is. */
export function wallLines(region: Region, stations: readonly Station[]): readonly (readonly (readonly [number, number])[])[] {
  const lines: (readonly [number, number])[][] = [];
  for (const ring of region.flat()) {
    let line: (readonly [number, number])[] = [];
    const points = finely(ring, stations);
    points.forEach((point, i) => {
      if (i > 0 && alongSeam(points[i - 1][0], point[0])) {
        if (line.length > 1) lines.push(line);
        line = [];
      }
      line.push(point);
    });
    if (line.length > 1) lines.push(line);
  }
  return lines;
}
