import { cupLight, litPixels, type FlakeField } from '../field';
import type { Station } from '../vessel';
import { handleLoop, seenHandle } from './handle-loop';
import { paintHandle } from './painted-handle';
import { LOOK_DOWN, radiusAt, rowOf, topOf, type Stance } from './projection';
import type { Standing } from './standing';

/** How large a picture of a cup is, where it stands there, and how far it is turned to the right, radians. */
export interface CupPicture {
  readonly width: number;
  readonly height: number;
  readonly stance: Stance;
  readonly turn: number;
  /** hex of its handle, where it has one */
  readonly handle: string;
}

/**
 * A cup as seen from the side, painted from its unrolled wall: every point of the picture is looked up on the wall it
 * shows. RGBA; what is beside the cup stays clear. Its mouth is a shape of its own, see `mouthOf`.
 */
export function paintedCup(
  field: FlakeField,
  cup: Standing,
  { width, height, stance, turn, handle }: CupPicture,
): Uint8ClampedArray<ArrayBuffer> {
  const picture = new Uint8ClampedArray(width * height * 4);
  const { stations } = cup;
  const loop = handleLoop(cup);
  const seen = loop && seenHandle(loop, stance, turn);
  if (seen && !seen.near) paintHandle({ pixels: picture, width, height }, seen, handle);
  const lit = litPixels(field, cupLight(field.width, turn));
  const top = topOf(stations);
  const [cos, sin] = [Math.cos(LOOK_DOWN), Math.sin(LOOK_DOWN)];
  const radii = Float32Array.from({ length: Math.ceil(top) + 2 }, (_, mm) => radiusAt(stations, mm));
  const radius = (mm: number) => {
    const at = Math.max(0, Math.min(top, mm));
    const low = Math.floor(at);
    return radii[low] + (at - low) * (radii[low + 1] - radii[low]);
  };
  const firstRow = Math.max(0, Math.floor(rowOf(stance, top)));
  for (let y = firstRow; y < height; y += 1) {
    const level = (stance.ground - y - 0.5) / stance.scale;
    for (let x = 0; x < width; x += 1) {
      const across = (x + 0.5 - stance.axis) / stance.scale;
      let mm = level / cos;
      let facing = -1;
      // The near wall bulges towards the eye and so lies lower; two rounds settle where.
      for (let round = 0; round < 3; round += 1) {
        const r = radius(mm);
        const share = across / r;
        facing = 1 - share * share;
        if (facing < 0) break;
        facing = Math.sqrt(facing);
        mm = (level + r * facing * sin) / cos;
      }
      if (facing < 0 || mm < 0 || mm > top) continue;
      const angle = Math.atan2(across, radius(mm) * facing) - turn;
      const round = angle / (2 * Math.PI) + 0.5;
      const column = Math.floor((round - Math.floor(round)) * field.width) % field.width;
      const row = Math.min(field.height - 1, Math.floor((1 - mm / top) * field.height));
      shade(picture, (y * width + x) * 4, lit(row, column), across / radius(mm));
    }
  }
  if (seen?.near) paintHandle({ pixels: picture, width, height }, seen, handle);
  return picture;
}

/** Steps of the way across a cup that are lit alike: finer than any screen is wide. */
const ACROSS = 2048;
/** Window light from the left, a soft streak of it, and a dim right side, from edge to edge. */
const sides = Array.from({ length: ACROSS + 1 }, (_, step) => (2 * step) / ACROSS - 1);
const shades = Float32Array.from(sides, (side) => 0.5 + 0.5 * Math.pow(1 - side * side, 0.35) - 0.16 * side);
const streaks = Float32Array.from(
  sides,
  (side) => 34 * Math.exp(-(((side + 0.62) / 0.1) ** 2)) + 12 * Math.exp(-(((side - 0.72) / 0.07) ** 2)),
);

function shade(picture: Uint8ClampedArray, to: number, rgba: number, side: number): void {
  const step = Math.round(((Math.max(-1, Math.min(1, side)) + 1) / 2) * ACROSS);
  const lit = shades[step];
  const streak = streaks[step];
  picture[to] = (rgba & 255) * lit + streak;
  picture[to + 1] = ((rgba >> 8) & 255) * lit + streak;
  picture[to + 2] = ((rgba >> 16) & 255) * lit + streak;
  picture[to + 3] = 255;
}

/** The open rim, looked into: an ellipse, pixels, and the line round it. */
export function mouthOf(
  stations: readonly Station[],
  stance: Stance,
): { readonly x: number; readonly y: number; readonly across: number; readonly down: number; readonly line: number } {
  const across = radiusAt(stations, topOf(stations)) * stance.scale;
  return {
    x: stance.axis,
    y: rowOf(stance, topOf(stations)),
    across,
    down: across * Math.sin(LOOK_DOWN),
    line: Math.max(1, 1.6 * stance.scale),
  };
}

/** What is seen inside, from left to right, and the metal of the rim. */
export const mouthColours = { left: '#4c5358', middle: '#70787d', right: '#565d62', rim: '#c5cad0' } as const;
