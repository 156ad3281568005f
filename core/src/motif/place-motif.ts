import { onGrid, type RegionPolygon } from '../regions';
import { circumferenceAt, heightAtWallLength, heightOf, wallLength, type Station } from '../vessel';
import type { MotifShape } from './plain-outlines';

/** Where a motif lies: its middle, its width mm, turned clockwise by degrees. */
export interface MotifPlace {
  readonly angle: number;
  readonly height: number;
  readonly width: number;
  readonly turn: number;
}

/**
 * A motif laid on the wall: every point keeps its distance along the wall from the middle's height
 * and round it from the middle's line. Angles run on past the seam; bring them back together.
 */
export function placeMotif(shape: MotifShape, place: MotifPlace, stations: readonly Station[]): readonly RegionPolygon[] {
  const rim = heightOf({ stations });
  const along = wallLength(stations, 0, place.height);
  const whole = wallLength(stations, 0, rim);
  const [cos, sin] = [Math.cos((place.turn * Math.PI) / 180), Math.sin((place.turn * Math.PI) / 180)];
  return shape.map((polygon) =>
    polygon.map((ring) =>
      ring.map(([x, y]) => {
        const [right, up] = [(x * cos + y * sin) * place.width, (y * cos - x * sin) * place.width];
        const height = heightAtWallLength(stations, Math.min(whole, Math.max(0, along + up)));
        const tape = circumferenceAt(stations, Math.min(rim, Math.max(0, height)));
        return [onGrid(place.angle + (360 * right) / tape), onGrid(height)] as const;
      }),
    ),
  );
}
