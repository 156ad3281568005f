import { flatOutline, unrolling, type FlatPoint, type Region, type Station, type Unrolling } from '@aurantia/core';

let unrolled: { readonly stations: readonly Station[]; readonly flat: Unrolling } | null = null;

/** A wall laid flat; the last one is remembered. */
export function flatOf(stations: readonly Station[]): Unrolling {
  if (unrolled?.stations !== stations) unrolled = { stations, flat: unrolling(stations) };
  return unrolled.flat;
}

/** Outlines in mm by region: a region never changes, and hundreds of motifs take a while to trace. */
const traced = new WeakMap<Region, { readonly stations: readonly Station[]; readonly paths: readonly Path2D[] }>();

/**
 * Outlines on the wall laid flat, mm. A path for each polygon: a browser draws many small shapes far faster than one large
 * shape of many pieces.
 */
export function outlinePaths(region: Region, stations: readonly Station[]): readonly Path2D[] {
  const before = traced.get(region);
  if (before?.stations === stations) return before.paths;
  const flat = flatOf(stations);
  const paths = region.map((polygon) => {
    const path = new Path2D();
    for (const ring of flatOutline([polygon], stations, flat)) trace(path, ring);
    return path;
  });
  traced.set(region, { stations, paths });
  return paths;
}

function trace(path: Path2D, ring: readonly FlatPoint[]): void {
  ring.forEach(([x, y], i) => {
    if (i === 0) path.moveTo(x, y);
    else path.lineTo(x, y);
  });
  path.closePath();
}
