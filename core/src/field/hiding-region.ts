import { flakeFace } from '../glitter';
import type { FieldRegion, FieldRequest } from './flake-field';
import type { LookFlake } from './look';
import { packed } from './packed';
import { SHINES, shinesOf } from './shine';
import { hexagonStamps, pixelStamps, STAMPS, type Stamp } from './stamps';

type Rgb = readonly [number, number, number];

/** What was counted on a part of the picture. */
export interface Counted {
  readonly flakes: number;
  /** pixels flakes were dropped on, and those of them that none covers; none where nothing was dropped */
  readonly wanted: number;
  readonly bare: number;
  /** sum of linear RGB over its pixels */
  readonly light: Rgb;
}

/** A picture under work: its pixels, whose each is, and what lies uppermost. */
export interface HidingSheet {
  readonly out: Uint32Array;
  /** part by pixel, from 1; null while one part has the whole picture */
  readonly owner: Uint16Array | null;
  /** colours by pixel: places in the palette of its part */
  readonly token: Uint16Array;
}

/** Flakes are dropped on so many pixels at a time, which a processor keeps at hand. */
const AT_ONCE = 65536;
/** How many widths of flake a taper is drawn with. */
const WIDTHS = 8;

/** Whether nothing shows through any flake on a part: then only the uppermost at each pixel counts. */
export const isHiding = ({ look }: FieldRegion): boolean =>
  look.every((layer) => layer.layer !== 'flakes' || layer.flakes.every(({ kind, opacity }) => kind !== 'opal' && opacity === 1));

/**
 * Drops flakes that hide what is under them. A pixel's colour is then one of a palette, flakes of a kind
 * having one for each tilt; a film over all of them changes the palette, not the pixels.
 */
export function fillHiding(
  request: FieldRequest,
  region: FieldRegion,
  part: number,
  sheet: HidingSheet,
  random: () => number,
): Counted {
  const { pixels, look } = region;
  const palette: Rgb[] = [request.ground];
  const flaky = [false];
  let flakes = 0;
  for (const layer of look) {
    if (layer.layer === 'ground') {
      // The first ground is token 0, which every pixel has already.
      if (palette.length > 1) for (const at of pixels) sheet.token[at] = palette.length;
      if (palette.length > 1) palette.push(layer.rgb);
      else palette[0] = layer.rgb;
      flaky[palette.length - 1] = false;
    } else if (layer.layer === 'film') {
      const { overBlack, overWhite } = layer;
      palette.forEach(
        (rgb, i) => (palette[i] = mapped(rgb, (value, axis) => overBlack[axis] + (overWhite[axis] - overBlack[axis]) * value)),
      );
    } else if (layer.depth > 0 && layer.flakes.length > 0 && pixels.length > 0) {
      const first = palette.length;
      for (const flake of layer.flakes)
        for (const shine of shinesOf(flake)) {
          palette.push(mapped(flake.rgb, (value) => value * shine));
          flaky.push(true);
        }
      flakes += drop(request, pixels, part, layer.flakes, layer.depth, first, sheet, random);
    }
  }
  return counted(pixels, sheet, palette, flaky, flakes);
}

const mapped = (rgb: Rgb, change: (value: number, axis: number) => number): Rgb => [
  change(rgb[0], 0),
  change(rgb[1], 1),
  change(rgb[2], 2),
];

function counted(
  pixels: Uint32Array,
  { out, token }: HidingSheet,
  palette: readonly Rgb[],
  flaky: readonly boolean[],
  flakes: number,
): Counted {
  const colours = Uint32Array.from(palette, packed);
  const times = new Float64Array(palette.length);
  for (const at of pixels) {
    const one = token[at];
    out[at] = colours[one];
    times[one] += 1;
  }
  const sum = (axis: number) => palette.reduce((total, rgb, i) => total + rgb[axis] * times[i], 0);
  const bare = times.reduce((total, count, i) => total + (flaky[i] ? 0 : count), 0);
  return { flakes, wanted: flakes > 0 ? pixels.length : 0, bare: flakes > 0 ? bare : 0, light: [sum(0), sum(1), sum(2)] };
}

/** One layer of flakes; returns how many. */
function drop(
  request: FieldRequest,
  pixels: Uint32Array,
  part: number,
  kinds: readonly LookFlake[],
  depth: number,
  first: number,
  sheet: HidingSheet,
  random: () => number,
): number {
  const { width, height, rowsPerMm, columnsPerMm } = request;
  const [firstRow, lastRow] = [Math.floor(pixels[0] / width), Math.floor(pixels[pixels.length - 1] / width)];
  const scales = Float64Array.from({ length: height }, (_, row) => (row < firstRow || row > lastRow ? 0 : columnsPerMm(row)));
  const inUse = scales.subarray(firstRow, lastRow + 1);
  const [narrowest, widest] = [inUse.reduce((a, b) => Math.min(a, b)), inUse.reduce((a, b) => Math.max(a, b))];
  const even = widest - narrowest < 1e-9;
  const widthOf = (row: number) =>
    even ? 0 : Math.min(WIDTHS - 1, Math.floor(((scales[row] - narrowest) / (widest - narrowest)) * WIDTHS));
  const stamps = kinds.map((kind) => stampsAt(kind, rowsPerMm, even ? [narrowest] : widthsBetween(narrowest, widest)));
  const level = Uint8Array.from({ length: height }, (_, row) => (row < firstRow || row > lastRow ? 0 : widthOf(row)));
  const counts = kinds.map(
    (kind, k) => (depth * kind.share * pixels.length) / meanArea(pixels, width, scales, level, stamps[k], even),
  );
  const total = Math.round(counts.reduce((a, b) => a + b, 0));
  const edges = counts.map((_, k) => counts.slice(0, k + 1).reduce((a, b) => a + b, 0) / total);
  const unbroken = pixels[pixels.length - 1] - pixels[0] === pixels.length - 1;
  let dropped = 0;
  for (let from = 0; from < pixels.length; from += AT_ONCE) {
    const here = Math.min(AT_ONCE, pixels.length - from);
    const until = Math.round((total * (from + here)) / pixels.length);
    for (; dropped < until; dropped += 1) {
      let at = from + Math.floor(random() * here);
      at = unbroken ? pixels[0] + at : pixels[at];
      let row = Math.floor(at / width);
      // Wider rows take more flakes: keep a row in proportion to the mm it stands for.
      while (!even && random() * scales[row] > narrowest) {
        at = pixels[from + Math.floor(random() * here)];
        row = Math.floor(at / width);
      }
      let k = 0;
      if (kinds.length > 1) {
        const pick = random();
        while (k < kinds.length - 1 && pick >= edges[k]) k += 1;
      }
      const chance = Math.floor(random() * (STAMPS * SHINES));
      press(
        stamps[k][level[row]][Math.floor(chance / SHINES)],
        first + k * SHINES + (chance % SHINES),
        row,
        at - row * width,
        part,
        request,
        sheet,
      );
    }
  }
  return total;
}

const widthsBetween = (narrowest: number, widest: number): readonly number[] =>
  Array.from({ length: WIDTHS }, (_, i) => narrowest + ((widest - narrowest) * (i + 0.5)) / WIDTHS);

/** A kind's stamps at each width; flakes of under two pixels are pixels. */
const stampsAt = (kind: LookFlake, rowsPerMm: number, widths: readonly number[]): readonly (readonly Stamp[])[] =>
  widths.map((columns) =>
    flakeFace(kind) * columns * rowsPerMm < 2 ? pixelStamps : hexagonStamps(kind.cut, columns, rowsPerMm),
  );

/** Pixels a flake of a kind covers on average, wherever it falls. */
function meanArea(
  pixels: Uint32Array,
  width: number,
  scales: Float64Array,
  level: Uint8Array,
  stamps: readonly (readonly Stamp[])[],
  even: boolean,
): number {
  const areas = stamps.map((ones) => ones.reduce((sum, { area }) => sum + area, 0) / ones.length);
  if (even) return areas[0];
  let [sum, weight] = [0, 0];
  for (const at of pixels) {
    const row = Math.floor(at / width);
    sum += areas[level[row]] / scales[row];
    weight += 1 / scales[row];
  }
  return sum / weight;
}

/** Presses one flake onto the picture. Over its part's edge it is brushed off, so that neighbours keep clean. */
function press(
  { spans }: Stamp,
  value: number,
  row: number,
  column: number,
  part: number,
  { width, height, wraps }: FieldRequest,
  { token, owner }: HidingSheet,
): void {
  for (let s = 0; s < spans.length; s += 3) {
    const y = row + spans[s];
    if (y < 0 || y >= height) continue;
    const start = y * width;
    const from = column + spans[s + 1];
    const to = column + spans[s + 2];
    if (from >= 0 && to <= width) {
      for (let at = start + from; at < start + to; at += 1) if (owner === null || owner[at] === part) token[at] = value;
    } else
      for (let x = from; x < to; x += 1) {
        if (!wraps && (x < 0 || x >= width)) continue;
        const at = start + ((x + width) % width);
        if (owner === null || owner[at] === part) token[at] = value;
      }
  }
}
