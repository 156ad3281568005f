import type { Triple } from '../colour';
import { faceLight } from './face-light';
import type { FieldColours, FieldPart, FlakeField } from './field';
import type { FieldLight, Lamp } from './field-light';
import { TILTS } from './tilt';

/** sRGB's curve (IEC 61966-2-1) in steps too fine to see: linear light in, 0..255 out. */
const STEPS = 16384;
const curve = Uint8Array.from({ length: STEPS + 1 }, (_, i) => {
  const value = i / STEPS;
  return Math.round(255 * (value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055));
});

const byteOf = (value: number): number => curve[value <= 0 ? 0 : value >= 1 ? STEPS : Math.round(value * STEPS)];

/** Linear RGB as the four bytes of a picture's pixel, red first, in the order these machines keep them. */
const packed = (r: number, g: number, b: number): number =>
  ((255 << 24) | (byteOf(b) << 16) | (byteOf(g) << 8) | byteOf(r)) >>> 0;

/**
 * A picture of flakes as it looks in a light, RGBA in sRGB. Only the colours are worked out, one for each
 * stack and tilt there is; the flakes stay where they fell, so light can move with the hand.
 * @param out a picture of the same size to paint again; columns nobody sees stay as they are
 */
export function litField(
  field: FlakeField,
  light: FieldLight,
  out = new Uint8ClampedArray(field.width * field.height * 4),
): Uint8ClampedArray<ArrayBuffer> {
  const { width, height, tokens, owner } = field;
  const { colours, starts, length } = coloursOf(field, light);
  const pixels = new Uint32Array(out.buffer, out.byteOffset, width * height);
  const stretches = stretchesOf(width, light);
  for (let row = 0; row < height; row += 1)
    for (const { from, to, way } of stretches) {
      const end = row * width + to;
      const whole = way * length + starts[owner === null ? 1 : 0];
      if (owner === null) for (let at = row * width + from; at < end; at += 1) pixels[at] = colours[whole + tokens[at]];
      else for (let at = row * width + from; at < end; at += 1) pixels[at] = colours[whole + starts[owner[at]] + tokens[at]];
    }
  return out;
}

/**
 * The same of single pixels, for a picture that shows few of them.
 * @returns by row and column, RGBA as `litField` lays it; 0 in columns nobody sees
 */
export function litPixels(field: FlakeField, light: FieldLight): (row: number, column: number) => number {
  const { width, tokens, owner } = field;
  const { colours, starts, length } = coloursOf(field, light);
  const ways = Int32Array.from({ length: width }, (_, column) => light.wayOf(column));
  return (row, column) => {
    const at = row * width + column;
    const way = ways[column];
    return way < 0 ? 0 : colours[way * length + starts[owner === null ? 1 : owner[at]] + tokens[at]];
  };
}

/** Columns side by side that are lit alike. */
function stretchesOf(width: number, { wayOf }: FieldLight): readonly { from: number; to: number; way: number }[] {
  const stretches: { from: number; to: number; way: number }[] = [];
  for (let column = 0; column < width; column += 1) {
    const way = wayOf(column);
    const last = stretches.at(-1);
    if (last?.to === column && last.way === way) last.to += 1;
    else if (way >= 0) stretches.push({ from: column, to: column + 1, way });
  }
  return stretches;
}

/** As the picture brings them with it, or worked out anew. */
const coloursOf = (field: FlakeField, light: FieldLight): FieldColours =>
  light.name !== null && field.colours?.light === light.name ? field.colours : fieldColours(field.parts, light);

/** The colours of some parts in a light. */
export function fieldColours(parts: readonly FieldPart[], { name, ways }: FieldLight): FieldColours {
  const starts = new Uint32Array(parts.length);
  let length = 0;
  parts.forEach(({ stacks }, index) => {
    starts[index] = length;
    length += stacks.length * TILTS;
  });
  const colours = new Uint32Array(length * ways.length);
  ways.forEach((lamps, way) => {
    parts.forEach((part, index) => fill(colours, way * length + starts[index], part, lamps));
  });
  return { light: name, colours, starts, length };
}

/** The colours of one part in one light: `seen + glint·(light of the tilt − 1)`. */
function fill(colours: Uint32Array, start: number, { stacks, flakes }: FieldPart, lamps: readonly Lamp[]): void {
  const faces = flakes.map((flake) => faceLight(flake, lamps));
  stacks.forEach(({ seen, glint, flake }, index) => {
    const at = start + index * TILTS;
    if (glint === null) colours.fill(packed(...seen), at, at + TILTS);
    else flashes(colours, at, seen, glint, faces[flake]);
  });
}

function flashes(colours: Uint32Array, at: number, seen: Triple, glint: Triple, light: Float64Array): void {
  for (let tilt = 0; tilt < TILTS; tilt += 1)
    colours[at + tilt] = packed(
      seen[0] + glint[0] * (light[tilt * 3] - 1),
      seen[1] + glint[1] * (light[tilt * 3 + 1] - 1),
      seen[2] + glint[2] * (light[tilt * 3 + 2] - 1),
    );
}
