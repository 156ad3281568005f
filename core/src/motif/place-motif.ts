import { onGrid, type RegionPolygon, type Ring, type WallPoint } from '../regions';
import { circumferenceAt, heightAtWallLength, heightOf, wallLength, type Station } from '../vessel';
import type { MotifShape } from './plain-outlines';

/** Where a motif lies: its middle, its width mm, turned clockwise by degrees. */
export interface MotifPlace {
  readonly angle: number;
  readonly height: number;
  readonly width: number;
  readonly turn: number;
}

/** mm that a straight piece in angle and height may lie off the flat sheet's own edge */
const OFF = 0.004;
/** halvings of an edge at most: the finest piece of a 600 mm edge is then under 0.2 mm */
const MOST_HALVINGS = 12;

/**
 * A motif's flat sheet laid on the wall: every point of its edges, not only its corners, keeps its distance along the
 * wall from the middle's height and round it from the middle's line, so that the motif keeps its size on any wall.
 * Angles run on past the seam; bring them back together.
 */
export function placeMotif(shape: MotifShape, place: MotifPlace, stations: readonly Station[]): readonly RegionPolygon[] {
  const rim = heightOf({ stations });
  const along = wallLength(stations, 0, place.height);
  const whole = wallLength(stations, 0, rim);
  const [cos, sin] = [Math.cos((place.turn * Math.PI) / 180), Math.sin((place.turn * Math.PI) / 180)];
  const onWall = ([x, y]: readonly [number, number]): WallPoint => {
    const [right, up] = [(x * cos + y * sin) * place.width, (y * cos - x * sin) * place.width];
    const height = heightAtWallLength(stations, Math.min(whole, Math.max(0, along + up)));
    const tape = circumferenceAt(stations, Math.min(rim, Math.max(0, height)));
    return [place.angle + (360 * right) / tape, height];
  };
  const tapeAt = (height: number) => circumferenceAt(stations, Math.min(rim, Math.max(0, height)));
  return shape.map((polygon) => polygon.map((ring) => laidEdges(ring, onWall, tapeAt)));
}

/** A ring's edges, each cut into as many pieces as it takes to follow it where the wall bends or leans. */
function laidEdges(
  ring: readonly (readonly [number, number])[],
  onWall: (point: readonly [number, number]) => WallPoint,
  tapeAt: (height: number) => number,
): Ring {
  const laid: WallPoint[] = [];
  const put = ([angle, height]: WallPoint) => laid.push([onGrid(angle), onGrid(height)]);
  const cut = (
    from: readonly [number, number],
    to: readonly [number, number],
    begin: WallPoint,
    end: WallPoint,
    halvings: number,
  ): void => {
    // Off the middle too: an edge that crosses two bends may be right in the middle by chance.
    const follows = [0.5, 0.27, 0.79].every((share) => {
      const [angle, height] = onWall([from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]);
      const [offAngle, offHeight] = [
        angle - (begin[0] + (end[0] - begin[0]) * share),
        height - (begin[1] + (end[1] - begin[1]) * share),
      ];
      return Math.abs(offHeight) <= OFF && (Math.abs(offAngle) / 360) * tapeAt(height) <= OFF;
    });
    if (follows || halvings === 0) {
      put(end);
      return;
    }
    const middle = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2] as const;
    const there = onWall(middle);
    cut(from, middle, begin, there, halvings - 1);
    cut(middle, to, there, end, halvings - 1);
  };
  const points = ring.map(onWall);
  put(points[0]);
  for (let i = 1; i < ring.length; i += 1) cut(ring[i - 1], ring[i], points[i - 1], points[i], MOST_HALVINGS);
  return laid;
}
