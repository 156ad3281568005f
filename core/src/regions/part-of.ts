import { within } from './clip';
import { boxOf, edgesCross, inPolygon, touches, type Region, type RegionPolygon, type Ring } from './region';

/**
 * What of a region lies in a shape, as `within` has it. Most rings of a region with motifs keep clear of the shape's
 * edges: those are kept or left as they are, and only what meets an edge is handed to the clipping.
 */
export function partOf(region: Region, shape: Region): Region {
  return shape.flatMap((piece) => region.flatMap((polygon) => polygonPart(polygon, piece)));
}

function polygonPart(polygon: RegionPolygon, shape: RegionPolygon): Region {
  const box = boxOf(polygon[0]);
  const around = boxOf(shape[0]);
  if (!touches(box, around)) return [];
  if (!edgesCross(shape, box)) return inPolygon(shape, ...inside(polygon[0])) ? [polygon] : [];
  const meeting: Ring[] = [];
  const clear: Ring[] = [];
  for (const hole of polygon.slice(1)) {
    const holeBox = boxOf(hole);
    if (!touches(holeBox, around)) continue;
    if (edgesCross(shape, holeBox)) meeting.push(hole);
    else if (inPolygon(shape, ...inside(hole))) clear.push(hole);
  }
  const cut = within([[polygon[0], ...meeting]], [shape]);
  if (clear.length === 0) return cut;
  // Each of them lies wholly in one of the pieces.
  const holes = cut.map((): Ring[] => []);
  for (const hole of clear) {
    const host = cut.findIndex((piece) => inPolygon(piece, ...inside(hole)));
    if (host >= 0) holes[host].push(hole);
  }
  return cut.map((piece, i) => [...piece, ...holes[i]]);
}

/** A point on a ring, for asking which side of clear lines it lies. */
const inside = (ring: Ring): readonly [number, number] => ring[0];
