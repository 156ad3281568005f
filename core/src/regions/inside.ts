import { boxOf, type RegionPolygon } from './region';

/** About how many edges a strip holds: fewer cost memory, more cost looking through. */
const EDGES_A_STRIP = 4;
const MOST_STRIPS = 2048;

/**
 * Tells of many points whether they lie in a polygon, just as `inPolygon` does of one, by the edges over that angle alone.
 * @returns of a place of the wall (degrees, mm), whether it lies inside (even-odd: a ray upwards crosses its edges an odd number of times)
 */
export function insideOf(polygon: RegionPolygon): (angle: number, height: number) => boolean {
  const box = boxOf(polygon[0]);
  const edges = polygon.reduce((sum, ring) => sum + ring.length - 1, 0);
  const strips = Math.max(1, Math.min(MOST_STRIPS, Math.floor(edges / EDGES_A_STRIP)));
  const stripOf = (angle: number) =>
    Math.max(0, Math.min(strips - 1, Math.floor(((angle - box.left) / (box.right - box.left)) * strips) || 0));
  /** Of each strip the edges over it: angle and height of both their ends. */
  const over: number[][] = Array.from({ length: strips }, () => []);
  for (const ring of polygon) {
    for (let i = 1; i < ring.length; i += 1) {
      const [a0, h0] = ring[i - 1];
      const [a1, h1] = ring[i];
      if (a0 === a1) continue;
      const last = stripOf(Math.max(a0, a1));
      for (let strip = stripOf(Math.min(a0, a1)); strip <= last; strip += 1) over[strip].push(a0, h0, a1, h1);
    }
  }
  return (angle, height) => {
    if (angle < box.left || angle > box.right || height < box.bottom || height > box.top) return false;
    const ends = over[stripOf(angle)];
    let inside = false;
    for (let i = 0; i < ends.length; i += 4) {
      const [a0, h0, a1, h1] = [ends[i], ends[i + 1], ends[i + 2], ends[i + 3]];
      if (a0 > angle !== a1 > angle && height < h0 + ((angle - a0) / (a1 - a0)) * (h1 - h0)) inside = !inside;
    }
    return inside;
  };
}
