import { within } from './clip';
import { bandRegion, boxOf, type Region, type RegionPolygon } from './region';

/**
 * Brings polygons that run on past the seam back to one turn, 0 to 360°: what reaches over one side
 * comes in at the other.
 */
export function ontoOneTurn(polygons: readonly RegionPolygon[]): Region {
  return polygons.flatMap((polygon): Region => {
    const { left, right, bottom, top } = boxOf(polygon[0]);
    const first = Math.floor(left / 360);
    const last = Math.ceil(right / 360) - 1;
    if (last <= first) return [turned(polygon, -360 * first)];
    return Array.from({ length: last - first + 1 }, (_, i) => first + i).flatMap((turn) =>
      within([polygon], bandRegion(bottom - 1, top + 1, 360 * turn, 360 * turn + 360)).map((piece) => turned(piece, -360 * turn)),
    );
  });
}

const turned = (polygon: RegionPolygon, by: number): RegionPolygon =>
  by === 0 ? polygon : polygon.map((ring) => ring.map(([angle, height]) => [angle + by, height] as const));
