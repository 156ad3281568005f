import { wallLines, type FlatPoint, type Region, type Station, type WallPlace } from '@aurantia/core';
import { LOOK_DOWN, radiusAt, rowOf, topOf, type Stance } from '@aurantia/core/figure';

/** Which way a place of the wall faces, radians: 0 straight at you. The middle of the wrap is the front of an unturned cup. */
const facing = (angle: number, turn: number): number => ((angle - 180) * Math.PI) / 180 + turn;

/** Where a place of the wall is seen, pixels, and whether the near side shows it. */
export function seenAt(
  angle: number,
  height: number,
  stations: readonly Station[],
  stance: Stance,
  turn: number,
): { x: number; y: number; near: boolean } {
  const face = facing(angle, turn);
  const radius = radiusAt(stations, height) * stance.scale;
  return {
    x: stance.axis + radius * Math.sin(face),
    y: rowOf(stance, height) + radius * Math.cos(face) * Math.sin(LOOK_DOWN),
    near: Math.cos(face) > 0,
  };
}

/** The place of the near wall that is seen at a point, pixels; null beside the cup. */
export function placeSeenAt(x: number, y: number, stations: readonly Station[], stance: Stance, turn: number): WallPlace | null {
  const across = (x - stance.axis) / stance.scale;
  const level = (stance.ground - y) / stance.scale;
  let height = level / Math.cos(LOOK_DOWN);
  let front = 1;
  // The near wall bulges towards the eye and so lies lower; a few rounds settle where.
  for (let round = 0; round < 5; round += 1) {
    const radius = radiusAt(stations, height);
    front = Math.sqrt(Math.max(0, 1 - (across / radius) ** 2));
    height = (level + radius * front * Math.sin(LOOK_DOWN)) / Math.cos(LOOK_DOWN);
  }
  height = Math.min(topOf(stations), Math.max(0, height));
  const share = Math.max(-1, Math.min(1, across / radiusAt(stations, height)));
  const angle = ((Math.asin(share) - turn) * 180) / Math.PI + 180;
  return { angle: ((angle % 360) + 360) % 360, height };
}

type WallLine = ReturnType<typeof wallLines>[number];
/** Edges by region: a region never changes, but it is drawn for every step the cup turns. */
const lines = new WeakMap<Region, { readonly stations: readonly Station[]; readonly lines: readonly WallLine[] }>();

function linesOf(region: Region, stations: readonly Station[]): readonly WallLine[] {
  const before = lines.get(region);
  if (before?.stations === stations) return before.lines;
  const found = wallLines(region, stations);
  lines.set(region, { stations, lines: found });
  return found;
}

/** The edges of a region that the near side shows, css pixels. */
export function linesSeen(
  region: Region,
  stations: readonly Station[],
  stance: Stance,
  turn: number,
): readonly (readonly FlatPoint[])[] {
  const seen: FlatPoint[][] = [];
  for (const line of linesOf(region, stations)) {
    let drawing = false;
    for (const [angle, height] of line) {
      const { x, y, near } = seenAt(angle, height, stations, stance, turn);
      if (near && drawing) seen[seen.length - 1].push([x, y]);
      else if (near) seen.push([[x, y]]);
      drawing = near;
    }
  }
  return seen;
}
