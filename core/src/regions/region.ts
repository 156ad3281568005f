/** A point of the wall: degrees from the seam, mm above the foot. */
export type WallPoint = readonly [angle: number, height: number];

/** A closed line, its last point its first. */
export type Ring = readonly WallPoint[];

/** An outline and the holes in it. */
export type RegionPolygon = readonly Ring[];

/** A part of the wall: polygons in (angle, height) that don't overlap. Straight-edged in these two. */
export type Region = readonly RegionPolygon[];

export const nothing: Region = [];

/** How many closed lines bound a region, those of its holes among them. */
export const linesAround = (region: Region): number => region.reduce((sum, polygon) => sum + polygon.length, 0);

/** A box on (angle, height). */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

export function boxOf(ring: Ring): Box {
  let [left, right, bottom, top] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [angle, height] of ring) {
    if (angle < left) left = angle;
    if (angle > right) right = angle;
    if (height < bottom) bottom = height;
    if (height > top) top = height;
  }
  return { left, right, bottom, top };
}

export const touches = (one: Box, other: Box): boolean =>
  one.left <= other.right && other.left <= one.right && one.bottom <= other.top && other.bottom <= one.top;

/** The box of everything in a region; null when there is nothing. */
export function boxOfRegion(region: Region): Box | null {
  if (region.length === 0) return null;
  const boxes = region.map(([outline]) => boxOf(outline));
  return {
    left: Math.min(...boxes.map((box) => box.left)),
    right: Math.max(...boxes.map((box) => box.right)),
    bottom: Math.min(...boxes.map((box) => box.bottom)),
    top: Math.max(...boxes.map((box) => box.top)),
  };
}

/** A whole turn of wall between two heights. */
export const bandRegion = (from: number, to: number, left = 0, right = 360): Region => [
  [
    [
      [left, from],
      [right, from],
      [right, to],
      [left, to],
      [left, from],
    ],
  ],
];

/** Whether a point lies in a polygon (even-odd: a ray upwards crosses its edges an odd number of times). */
export function inPolygon(polygon: RegionPolygon, angle: number, height: number): boolean {
  let inside = false;
  for (const ring of polygon) {
    for (let i = 1; i < ring.length; i += 1) {
      const [a0, h0] = ring[i - 1];
      const [a1, h1] = ring[i];
      if (a0 > angle !== a1 > angle && height < h0 + ((angle - a0) / (a1 - a0)) * (h1 - h0)) inside = !inside;
    }
  }
  return inside;
}

/** Whether a point lies in any polygon of a region. */
export const inRegion = (region: Region, angle: number, height: number): boolean =>
  region.some((polygon) => inPolygon(polygon, angle, height));

/**
 * Whether any edge of a polygon may pass through a box; true when in doubt.
 * @param seam whether edges along the seam count; they only end the drawing, the area goes on across
 */
export function edgesCross(polygon: RegionPolygon, box: Box, seam = true): boolean {
  for (const ring of polygon) {
    for (let i = 1; i < ring.length; i += 1) {
      const [a0, h0] = ring[i - 1];
      const [a1, h1] = ring[i];
      if (!seam && alongSeam(a0, a1)) continue;
      if (Math.max(a0, a1) < box.left || Math.min(a0, a1) > box.right) continue;
      if (Math.max(h0, h1) < box.bottom || Math.min(h0, h1) > box.top) continue;
      // All four corners on one side of the edge's line: it passes by.
      const side = (angle: number, height: number) => (a1 - a0) * (height - h0) - (h1 - h0) * (angle - a0);
      const corners = [
        side(box.left, box.bottom),
        side(box.right, box.bottom),
        side(box.left, box.top),
        side(box.right, box.top),
      ];
      if (corners.every((corner) => corner > 0) || corners.every((corner) => corner < 0)) continue;
      return true;
    }
  }
  return false;
}

/** Whether an edge runs along the seam, where the drawing of the wall begins and ends. */
export const alongSeam = (from: number, to: number): boolean => from === to && (from === 0 || from === 360);

/**
 * Where the middle of a region lies; null when it goes evenly round and has none.
 * @returns degrees from the seam, mm above the foot
 */
export function middleOf(region: Region): { readonly angle: number; readonly height: number } | null {
  let [x, y, sum, up] = [0, 0, 0, 0];
  for (const [outline] of region) {
    const { left, right, bottom, top } = boxOf(outline);
    const size = (right - left) * (top - bottom);
    const half = ((right - left) * Math.PI) / 360;
    // An even stretch of a circle pulls towards its middle by sin(half)/half.
    const pull = (size * Math.sin(half)) / Math.max(half, 1e-9);
    const turn = ((left + right) * Math.PI) / 360;
    x += pull * Math.cos(turn);
    y += pull * Math.sin(turn);
    sum += size;
    up += (size * (bottom + top)) / 2;
  }
  if (sum === 0 || Math.hypot(x, y) < 0.15 * sum) return null;
  return { angle: ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360, height: up / sum };
}
