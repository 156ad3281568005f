import { cupLight, litPixels, type FlakeField } from '../field';
import { handleLoop, seenHandle } from './handle-loop';
import { paintHandle } from './painted-handle';
import type { Stance } from './projection';
import { ACROSS, seenWall } from './seen-wall';
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
  const { pixels, rounds, downs, steps, covers } = seenWall(stations, { width, height, ...stance });
  const points = new Uint32Array(picture.buffer);
  const turned = turn / (2 * Math.PI);
  const { width: columns, height: rows } = field;
  for (let i = 0; i < pixels.length; i += 1) {
    const round = rounds[i] - turned;
    // A round of just below 1 can come to all columns, and the foot itself to all rows.
    const column = Math.min(columns - 1, Math.floor((round - Math.floor(round)) * columns));
    const row = Math.min(rows - 1, Math.floor(downs[i] * rows));
    // An edge before its own handle has nothing to fade into that is known here.
    const cover = points[pixels[i]] === 0 ? covers[i] : 255;
    points[pixels[i]] = shaded(lit(row, column), shades[steps[i]], streaks[steps[i]], cover);
  }
  if (seen?.near) paintHandle({ pixels: picture, width, height }, seen, handle);
  return picture;
}

/** Window light from the left, a soft streak of it, and a dim right side, from edge to edge. */
const sides = Array.from({ length: ACROSS + 1 }, (_, step) => (2 * step) / ACROSS - 1);
const shades = Float32Array.from(sides, (side) => 0.5 + 0.5 * Math.pow(1 - side * side, 0.35) - 0.16 * side);
const streaks = Float32Array.from(
  sides,
  (side) => 34 * Math.exp(-(((side + 0.62) / 0.1) ** 2)) + 12 * Math.exp(-(((side - 0.72) / 0.07) ** 2)),
);

/** A colour in more or less light with a streak of white over it, of so much of a point, RGBA as a picture keeps it. */
function shaded(rgba: number, shade: number, streak: number, cover: number): number {
  const r = Math.min(255, (rgba & 255) * shade + streak + 0.5);
  const g = Math.min(255, ((rgba >> 8) & 255) * shade + streak + 0.5);
  const b = Math.min(255, ((rgba >> 16) & 255) * shade + streak + 0.5);
  return ((cover << 24) | (b << 16) | (g << 8) | r) >>> 0;
}
