import { rememberEachRecord } from '../remember';
import type { Station } from '../vessel';
import { LOOK_DOWN, radiusAt, rowOf, topOf, type Stance } from './projection';

/** Which place of the wall each point of a picture shows, one entry a point, however the cup is turned. */
export interface SeenWall {
  /** where the points are in the picture, row by row from its top left corner */
  readonly pixels: Int32Array;
  /** how far round the wall from the middle of the back, 0..1, while the cup isn’t turned */
  readonly rounds: Float32Array;
  /** how far down from the rim, as a share of the cup’s height */
  readonly downs: Float32Array;
  /** how far across the cup, from its left edge to its right one, in steps */
  readonly steps: Uint16Array;
  /** how much of the point the wall covers, 0..255: less than all along its edges */
  readonly covers: Uint8Array;
}

/** How large a picture is, pixels, and where the cup stands in it. */
export interface StandingIn extends Stance {
  readonly width: number;
  readonly height: number;
}

/** Steps of the way across a cup that are lit alike: finer than any screen is wide. */
export const ACROSS = 2048;

/** Where a point of the picture meets the wall: height, mm, how far round from the front, radians, across from the axis, −1..1, and how much of it does, 0..1. */
interface Meeting {
  readonly mm: number;
  readonly angle: number;
  readonly side: number;
  readonly cover: number;
}

/**
 * Where the points of a picture lie on a cup’s wall. It takes far longer to find than to paint, and hangs on neither
 * the turn nor what is on the wall, so it is kept while the cup stands in a picture.
 */
export const seenWall = rememberEachRecord(found, 2);

function found(stations: readonly Station[], { width, height, scale, axis, ground }: StandingIn): SeenWall {
  const top = topOf(stations);
  const meet = meetingOf(stations, scale);
  const pixels = new Int32Array(width * height);
  const rounds = new Float32Array(width * height);
  const downs = new Float32Array(width * height);
  const steps = new Uint16Array(width * height);
  const covers = new Uint8Array(width * height);
  let count = 0;
  const keep = (pixel: number, { mm, angle, side, cover }: Meeting): void => {
    pixels[count] = pixel;
    rounds[count] = angle / (2 * Math.PI) + 0.5;
    downs[count] = 1 - mm / top;
    steps[count] = Math.round(((Math.max(-1, Math.min(1, side)) + 1) / 2) * ACROSS);
    covers[count] = Math.round(255 * cover);
    count += 1;
  };
  // Left and right of an axis amid the picture are alike.
  const mirrored = 2 * axis === width;
  const end = mirrored ? Math.ceil(width / 2) : width;
  for (let y = Math.max(0, Math.floor(rowOf({ scale, axis, ground }, top))); y < height; y += 1) {
    const level = (ground - y - 0.5) / scale;
    for (let x = 0; x < end; x += 1) {
      const met = meet((x + 0.5 - axis) / scale, level);
      if (!met) continue;
      keep(y * width + x, met);
      const other = width - 1 - x;
      if (mirrored && other !== x) keep(y * width + other, { ...met, angle: -met.angle, side: -met.side });
    }
  }
  return {
    pixels: pixels.slice(0, count),
    rounds: rounds.slice(0, count),
    downs: downs.slice(0, count),
    steps: steps.slice(0, count),
    covers: covers.slice(0, count),
  };
}

/** Meets points so far across from the axis and so far over the foot’s middle, mm on the picture, with the wall; null beside it. */
function meetingOf(stations: readonly Station[], scale: number): (across: number, level: number) => Meeting | null {
  const top = topOf(stations);
  const [cos, sin] = [Math.cos(LOOK_DOWN), Math.sin(LOOK_DOWN)];
  const radii = Float32Array.from({ length: Math.ceil(top) + 2 }, (_, mm) => radiusAt(stations, mm));
  const radius = (mm: number) => {
    const at = Math.max(0, Math.min(top, mm));
    const low = Math.floor(at);
    return radii[low] + (at - low) * (radii[low + 1] - radii[low]);
  };
  /** of a point so far inside an edge, mm */
  const coverAt = (within: number) => Math.max(0, Math.min(1, 0.5 + within * scale));
  return (across, level) => {
    let mm = level / cos;
    // The near wall bulges towards the eye and so lies lower; two rounds settle where.
    for (let round = 0; round < 3; round += 1) {
      const r = radius(mm);
      if (coverAt(r - Math.abs(across)) === 0) return null;
      mm = (level + Math.sqrt(Math.max(0, r * r - across * across)) * sin) / cos;
    }
    const r = radius(mm);
    const cover = coverAt(r - Math.abs(across)) * coverAt(mm * cos);
    if (cover === 0 || mm > top) return null;
    const facing = Math.sqrt(Math.max(0, r * r - across * across));
    return { mm: Math.max(0, mm), angle: Math.atan2(across, facing), side: across / r, cover };
  };
}
