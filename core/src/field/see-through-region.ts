import { flakeFace } from '../glitter';
import type { FieldRegion, FieldRequest } from './flake-field';
import type { Counted, HidingSheet } from './hiding-region';
import type { LookFlake } from './look';
import { packed } from './packed';

/**
 * Drops flakes that let light through: each is laid over the light that is there, so all is kept as light
 * until the end.
 */
export function fillSeeThrough(
  request: FieldRequest,
  { pixels, look }: FieldRegion,
  part: number,
  { out, owner }: HidingSheet,
  random: () => number,
): Counted {
  const { width, height, ground } = request;
  const sheet: Sheet = {
    light: new Float32Array(width * height * 3),
    touched: new Uint8Array(width * height),
    owner,
  };
  fillGround(sheet.light, pixels, ground);
  let flakes = 0;
  for (const layer of look) {
    if (layer.layer === 'ground') fillGround(sheet.light, pixels, layer.rgb);
    else if (layer.layer === 'film') layFilm(sheet.light, pixels, layer.overBlack, layer.overWhite);
    else flakes += dropFlakes(request, pixels, part, layer.flakes, layer.depth, sheet, random);
  }
  let bare = 0;
  const sum: [number, number, number] = [0, 0, 0];
  for (const at of pixels) {
    const rgb = [sheet.light[at * 3], sheet.light[at * 3 + 1], sheet.light[at * 3 + 2]] as const;
    out[at] = packed(rgb);
    rgb.forEach((value, axis) => (sum[axis] += value));
    if (sheet.touched[at] === 0) bare += 1;
  }
  return { flakes, wanted: flakes > 0 ? pixels.length : 0, bare: flakes > 0 ? bare : 0, light: sum };
}

/** What is worked on: linear RGB, whether a flake lies there, and which part each pixel belongs to. */
interface Sheet {
  readonly light: Float32Array;
  readonly touched: Uint8Array;
  readonly owner: Uint16Array | null;
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
      if (sheet.owner === null || sheet.owner[at] === owner) paint(sheet, at, kind, shine);
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
    // A glint is brighter than any surface; what it sends to and fro above itself isn’t more than white’s.
    light[at * 3 + axis] = r * shine + (t * t * below) / (1 - r * Math.min(1, below));
  }
}

/** Tilt of a flake as brightness, 1 on average: few flash, most lie a little dull. */
function shineOf(kind: LookFlake, random: () => number): number {
  const flash = random() < 0.03 ? 2.4 : 0.9567;
  return flash + (random() - 0.5) * 0.5 * kind.opacity;
}
