import { flakeFace } from '../glitter';
import type { Look, LookFlake } from './look';
import { randomStream } from './random';

/** Part of the picture, by its pixels in rising order, with what lies on it. Parts don't share pixels. */
export interface FieldRegion {
  readonly pixels: Uint32Array;
  readonly look: Look;
}

export interface FieldRequest {
  /** pixels */
  readonly width: number;
  readonly height: number;
  /** pixels a mm down the wall */
  readonly rowsPerMm: number;
  /** pixels a mm round the wall at each row: the wrap is wider at the rim of a taper */
  readonly columnsPerMm: (row: number) => number;
  readonly regions: readonly FieldRegion[];
  /** linear RGB where no region lies */
  readonly ground: readonly [number, number, number];
  readonly seed: number;
  /** the picture goes round the cup, so flakes over one side come back on the other */
  readonly wraps: boolean;
}

export interface FlakeField {
  readonly width: number;
  readonly height: number;
  /** RGBA, sRGB */
  readonly pixels: Uint8ClampedArray<ArrayBuffer>;
  /** of the pixels that flakes were dropped on, the share that none covers; null without flakes */
  readonly bareShare: number | null;
  readonly flakes: number;
}

/**
 * Drops every flake where it falls, at true scale, and counts what stays bare. Flakes smaller than
 * a pixel are drawn as the pixels whose centres they cover, so the bare share stays `e^(−depth)`.
 */
export function flakeField(request: FieldRequest): FlakeField {
  const { width, height, ground } = request;
  const sheet: Sheet = {
    light: new Float32Array(width * height * 3),
    touched: new Uint8Array(width * height),
    owner: new Uint16Array(width * height),
  };
  for (let at = 0; at < sheet.light.length; at += 1) sheet.light[at] = ground[at % 3];
  const random = randomStream(request.seed);
  let flakes = 0;
  let wanted = 0;
  let bare = 0;
  request.regions.forEach(({ pixels, look }, index) => {
    for (const at of pixels) sheet.owner[at] = index + 1;
    let dropped = 0;
    for (const layer of look) {
      if (layer.layer === 'ground') fillGround(sheet.light, pixels, layer.rgb);
      else if (layer.layer === 'film') layFilm(sheet.light, pixels, layer.overBlack, layer.overWhite);
      else dropped += dropFlakes(request, pixels, index + 1, layer.flakes, layer.depth, sheet, random);
    }
    if (dropped === 0) return;
    flakes += dropped;
    wanted += pixels.length;
    for (const at of pixels) if (sheet.touched[at] === 0) bare += 1;
  });
  return { width, height, pixels: encode(sheet.light), bareShare: wanted > 0 ? bare / wanted : null, flakes };
}

/** What is worked on: linear RGB, whether a flake lies there, and which part each pixel belongs to. */
interface Sheet {
  readonly light: Float32Array;
  readonly touched: Uint8Array;
  readonly owner: Uint16Array;
}

function fillGround(light: Float32Array, pixels: Uint32Array, rgb: readonly number[]): void {
  for (const at of pixels) {
    light[at * 3] = rgb[0];
    light[at * 3 + 1] = rgb[1];
    light[at * 3 + 2] = rgb[2];
  }
}

function layFilm(light: Float32Array, pixels: Uint32Array, black: readonly number[], white: readonly number[]): void {
  for (const pixel of pixels) {
    for (let axis = 0; axis < 3; axis += 1) {
      const at = pixel * 3 + axis;
      light[at] = black[axis] + (white[axis] - black[axis]) * light[at];
    }
  }
}

function dropFlakes(
  request: FieldRequest,
  pixels: Uint32Array,
  owner: number,
  kinds: readonly LookFlake[],
  depth: number,
  sheet: Sheet,
  random: () => number,
): number {
  const { width, height, rowsPerMm, columnsPerMm } = request;
  if (pixels.length === 0 || kinds.length === 0 || depth <= 0) return 0;
  const scales = Float64Array.from({ length: height }, (_, row) => columnsPerMm(row));
  let mm2 = 0;
  let narrowest = Infinity;
  for (const at of pixels) {
    const scale = scales[Math.floor(at / width)];
    mm2 += 1 / (scale * rowsPerMm);
    if (scale < narrowest) narrowest = scale;
  }
  const pixelMm2 = mm2 / pixels.length;
  const fine = kinds.map((kind) => flakeFace(kind) < pixelMm2 * 2);
  const counts = kinds.map((kind, k) => (depth * kind.share * mm2) / (fine[k] ? pixelMm2 : flakeFace(kind)));
  const total = Math.round(counts.reduce((a, b) => a + b, 0));
  const edges = counts.map((_, k) => counts.slice(0, k + 1).reduce((a, b) => a + b, 0) / total);
  for (let flake = 0; flake < total; flake += 1) {
    const pick = random();
    const k = Math.max(
      0,
      edges.findIndex((edge) => pick < edge),
    );
    const kind = kinds[k];
    const shine = shineOf(kind, random);
    let at = pixels[Math.floor(random() * pixels.length)];
    if (fine[k]) {
      paint(sheet, at, kind, shine);
      continue;
    }
    // Wider rows take more flakes: keep a row in proportion to the mm it stands for.
    while (random() > narrowest / scales[Math.floor(at / width)]) at = pixels[Math.floor(random() * pixels.length)];
    const row = Math.floor(at / width);
    stamp(request, owner, row + random(), at - row * width + random(), random() * Math.PI, kind, shine, sheet);
  }
  return total;
}

/** One hexagon, `cut` mm across flats, turned by an angle. */
function stamp(
  request: FieldRequest,
  owner: number,
  centre: number,
  column: number,
  turn: number,
  kind: LookFlake,
  shine: number,
  sheet: Sheet,
): void {
  const { width, height, rowsPerMm, columnsPerMm, wraps } = request;
  const perColumn = 1 / columnsPerMm(Math.floor(centre));
  const perRow = 1 / rowsPerMm;
  const reach = kind.cut / Math.sqrt(3);
  const half = kind.cut / 2;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const lastRow = Math.min(height - 1, Math.floor(centre + reach * rowsPerMm));
  for (let y = Math.max(0, Math.floor(centre - reach * rowsPerMm)); y <= lastRow; y += 1) {
    const dy = (y + 0.5 - centre) * perRow;
    const lastColumn = Math.floor(column + reach / perColumn);
    for (let x = Math.floor(column - reach / perColumn); x <= lastColumn; x += 1) {
      const dx = (x + 0.5 - column) * perColumn;
      const u = Math.abs(cos * dx + sin * dy);
      const v = Math.abs(cos * dy - sin * dx);
      if (u > half || u / 2 + (Math.sqrt(3) / 2) * v > half) continue;
      if (!wraps && (x < 0 || x >= width)) continue;
      const at = y * width + ((x + width) % width);
      // A flake over its area's edge is brushed off there: neighbours keep clean.
      if (sheet.owner[at] === owner) paint(sheet, at, kind, shine);
    }
  }
}

/** A flake over what is there: `R + T²·g/(1 − R·g)`, its face brighter or darker by how it tilts. */
function paint({ light, touched }: Sheet, at: number, kind: LookFlake, shine: number): void {
  touched[at] = 1;
  for (let axis = 0; axis < 3; axis += 1) {
    const r = kind.opacity * kind.rgb[axis];
    const t = kind.kind === 'opal' ? 1 - r : 1 - kind.opacity;
    const below = light[at * 3 + axis];
    light[at * 3 + axis] = r * shine + (t * t * below) / (1 - r * below);
  }
}

/** Tilt of a flake as brightness, 1 on average: few flash, most lie a little dull. */
function shineOf(kind: LookFlake, random: () => number): number {
  const flash = random() < 0.03 ? 2.4 : 0.9567;
  return flash + (random() - 0.5) * 0.5 * kind.opacity;
}

const gamma = Uint8ClampedArray.from({ length: 4096 }, (_, i) => {
  const value = i / 4095;
  return 255 * (value <= 0.0031308 ? 12.92 * value : 1.055 * value ** (1 / 2.4) - 0.055);
});

function encode(light: Float32Array): Uint8ClampedArray<ArrayBuffer> {
  const pixels = new Uint8ClampedArray((light.length / 3) * 4);
  for (let from = 0, to = 0; from < light.length; from += 3, to += 4) {
    for (let axis = 0; axis < 3; axis += 1) {
      const value = light[from + axis];
      pixels[to + axis] = gamma[value >= 1 ? 4095 : value <= 0 ? 0 : Math.round(value * 4095)];
    }
    pixels[to + 3] = 255;
  }
  return pixels;
}
