import type { Region } from '../regions';

/** Angles round the cup at which an edge is looked for. */
const EDGE_ANGLES = 180;

/** The height of a region's upper edge at evenly shared angles from the seam, mm; null where it has none. */
export function topEdge(region: Region): readonly (number | null)[] {
  const heights: (number | null)[] = new Array<number | null>(EDGE_ANGLES).fill(null);
  for (const polygon of region)
    for (const ring of polygon)
      for (let i = 1; i < ring.length; i += 1) {
        const [[a0, h0], [a1, h1]] = [ring[i - 1], ring[i]];
        if (a0 === a1) continue;
        const [from, to] = [Math.min(a0, a1), Math.max(a0, a1)];
        const every = 360 / EDGE_ANGLES;
        for (let n = Math.max(0, Math.ceil(from / every)); n < EDGE_ANGLES && n * every <= to; n += 1) {
          const height = h0 + ((n * every - a0) / (a1 - a0)) * (h1 - h0);
          heights[n] = Math.max(heights[n] ?? -Infinity, height);
        }
      }
  return heights;
}
