import type { Region } from './region';

/** How the wall lies in a picture: seam at both sides, rim at the top. */
export interface WallPicture {
  /** pixels */
  readonly width: number;
  readonly height: number;
  /** mm above the foot of the top of the picture */
  readonly top: number;
  /** pixels a mm of height */
  readonly rowsPerMm: number;
}

/** The pixels whose centres lie in a region, in rising order. Row by row, even-odd between the edges' crossings. */
export function regionPixels(region: Region, { width, height, top, rowsPerMm }: WallPicture): Uint32Array {
  const crossings = new Map<number, number[]>();
  const perDegree = width / 360;
  for (const polygon of region) {
    for (const ring of polygon) {
      for (let i = 1; i < ring.length; i += 1) {
        const [a0, h0] = ring[i - 1];
        const [a1, h1] = ring[i];
        if (h0 === h1) continue;
        // Rows whose centre the edge passes, its lower end counted and its upper not.
        const first = Math.max(0, Math.ceil((top - Math.max(h0, h1)) * rowsPerMm - 0.5));
        const last = Math.min(height - 1, Math.ceil((top - Math.min(h0, h1)) * rowsPerMm - 0.5) - 1);
        for (let row = first; row <= last; row += 1) {
          const share = (top - (row + 0.5) / rowsPerMm - h0) / (h1 - h0);
          const list = crossings.get(row);
          const column = (a0 + share * (a1 - a0)) * perDegree;
          if (list) list.push(column);
          else crossings.set(row, [column]);
        }
      }
    }
  }
  // Runs first, pixels second: millions of them go into the place they stay in, none through a list that grows.
  const runs: number[] = [];
  let count = 0;
  for (const row of [...crossings.keys()].sort((a, b) => a - b)) {
    const columns = (crossings.get(row) ?? []).sort((a, b) => a - b);
    for (let pair = 0; pair + 1 < columns.length; pair += 2) {
      const from = Math.max(0, Math.ceil(columns[pair] - 0.5));
      const to = Math.min(width, Math.ceil(columns[pair + 1] - 0.5));
      if (from >= to) continue;
      runs.push(row * width + from, row * width + to);
      count += to - from;
    }
  }
  const pixels = new Uint32Array(count);
  let next = 0;
  for (let i = 0; i < runs.length; i += 2) for (let at = runs[i]; at < runs[i + 1]; at += 1) pixels[next++] = at;
  return pixels;
}

/** Every pixel of a picture. */
export const allPixels = (width: number, height: number): Uint32Array => new Uint32Array(width * height).map((_, i) => i);
