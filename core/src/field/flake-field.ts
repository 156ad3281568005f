import { flakeFace } from '../glitter';
import type { Look, LookFlake } from './look';
import { randomStream } from './random';

/** A stretch of the picture, rows counted from the top, with what lies on it. */
export interface FieldRegion {
  readonly fromRow: number;
  readonly toRow: number;
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
  const { width, height } = request;
  const light = new Float32Array(width * height * 3);
  const touched = new Uint8Array(width * height);
  const random = randomStream(request.seed);
  let flakes = 0;
  let wanted = 0;
  let bare = 0;
  for (const region of request.regions) {
    const from = region.fromRow * width;
    const to = region.toRow * width;
    let dropped = 0;
    for (const layer of region.look) {
      if (layer.layer === 'ground') fillGround(light, from, to, layer.rgb);
      else if (layer.layer === 'film') layFilm(light, from, to, layer.overBlack, layer.overWhite);
      else dropped += dropFlakes(request, region, layer.flakes, layer.depth, light, touched, random);
    }
    if (dropped === 0) continue;
    flakes += dropped;
    wanted += to - from;
    for (let at = from; at < to; at += 1) if (touched[at] === 0) bare += 1;
  }
  return { width, height, pixels: encode(light), bareShare: wanted > 0 ? bare / wanted : null, flakes };
}

function fillGround(light: Float32Array, from: number, to: number, rgb: readonly number[]): void {
  for (let at = from; at < to; at += 1) {
    light[at * 3] = rgb[0];
    light[at * 3 + 1] = rgb[1];
    light[at * 3 + 2] = rgb[2];
  }
}

function layFilm(light: Float32Array, from: number, to: number, black: readonly number[], white: readonly number[]): void {
  for (let at = from * 3; at < to * 3; at += 1) {
    const axis = at % 3;
    light[at] = black[axis] + (white[axis] - black[axis]) * light[at];
  }
}

function dropFlakes(
  request: FieldRequest,
  region: FieldRegion,
  kinds: readonly LookFlake[],
  depth: number,
  light: Float32Array,
  touched: Uint8Array,
  random: () => number,
): number {
  const { width, rowsPerMm, columnsPerMm } = request;
  const rows = region.toRow - region.fromRow;
  if (rows <= 0 || kinds.length === 0 || depth <= 0) return 0;
  const scales = Float64Array.from({ length: rows }, (_, row) => columnsPerMm(region.fromRow + row));
  const widest = 1 / Math.min(...scales);
  const mm2 = scales.reduce((sum, scale) => sum + width / scale, 0) / rowsPerMm;
  const pixelMm2 = mm2 / (width * rows);
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
    let row = random() * rows;
    if (fine[k]) {
      paint(light, touched, (region.fromRow + Math.floor(row)) * width + Math.floor(random() * width), kind, shine);
      continue;
    }
    // Wider rows take more flakes: keep a row in proportion to the mm it stands for.
    while (random() > 1 / (scales[Math.floor(row)] * widest)) row = random() * rows;
    stamp(request, region, row, random() * width, random() * Math.PI, kind, shine, light, touched);
  }
  return total;
}

/** One hexagon, `cut` mm across flats, turned by an angle. */
function stamp(
  request: FieldRequest,
  region: FieldRegion,
  row: number,
  column: number,
  turn: number,
  kind: LookFlake,
  shine: number,
  light: Float32Array,
  touched: Uint8Array,
): void {
  const { width, rowsPerMm, columnsPerMm, wraps } = request;
  const centre = region.fromRow + row;
  const perColumn = 1 / columnsPerMm(Math.floor(centre));
  const perRow = 1 / rowsPerMm;
  const reach = kind.cut / Math.sqrt(3);
  const half = kind.cut / 2;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const lastRow = Math.min(region.toRow - 1, Math.floor(centre + reach * rowsPerMm));
  for (let y = Math.max(region.fromRow, Math.floor(centre - reach * rowsPerMm)); y <= lastRow; y += 1) {
    const dy = (y + 0.5 - centre) * perRow;
    const lastColumn = Math.floor(column + reach / perColumn);
    for (let x = Math.floor(column - reach / perColumn); x <= lastColumn; x += 1) {
      const dx = (x + 0.5 - column) * perColumn;
      const u = Math.abs(cos * dx + sin * dy);
      const v = Math.abs(cos * dy - sin * dx);
      if (u > half || u / 2 + (Math.sqrt(3) / 2) * v > half) continue;
      if (!wraps && (x < 0 || x >= width)) continue;
      paint(light, touched, y * width + ((x + width) % width), kind, shine);
    }
  }
}

/** A flake over what is there: `R + T²·g/(1 − R·g)`, its face brighter or darker by how it tilts. */
function paint(light: Float32Array, touched: Uint8Array, at: number, kind: LookFlake, shine: number): void {
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
