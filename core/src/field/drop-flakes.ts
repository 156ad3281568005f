import { flakeFace, hides } from '../glitter';
import type { LookFlake } from '../look';
import { aroundPart, runsOfPart, shareAtEdge, type Around } from './around-part';
import type { FieldRequest } from './field';
import { MOST_STACKS, Stacks } from './stacks';
import { hexagonStamps, pixelStamps, STAMPS, type Stamp } from './stamps';
import { TILT_BITS, TILTS } from './tilt';

/** A picture under work. */
export interface FieldSheet {
  /** part by pixel, from 1; null while one part has the whole picture */
  readonly owner: Uint16Array | null;
  /** by pixel: the number of its stack × 64 + the tilt of the flake on top */
  readonly tokens: Uint16Array;
}

/** Flakes are dropped on so many pixels at a time, which a processor keeps at hand. */
const AT_ONCE = 65536;
/**
 * Rounds in which all of a layer falls, downwards and upwards by turns: in one, the coarse flakes of each stretch would
 * lie on top of the one before, over its edge.
 */
const ROUNDS = 8;
/** Share of a part at its edge under which flakes from outside aren't dropped: it would be under half a percent barer. */
const HARDLY_AN_EDGE = 0.01;
/** How many widths of flake a taper is drawn with. */
const WIDTHS = 8;

/**
 * One layer of flakes, each where it falls; yields after every stretch of pixels, returns how many flakes.
 * @param part number of the part, from 1
 * @param depth flakes deep on average
 */
export function* dropFlakes(
  request: FieldRequest,
  pixels: Uint32Array,
  part: number,
  kinds: readonly LookFlake[],
  depth: number,
  stacks: Stacks,
  sheet: FieldSheet,
  random: () => number,
): Generator<undefined, number> {
  const { width, height, rowsPerMm, columnsPerMm } = request;
  const [firstRow, lastRow] = [Math.floor(pixels[0] / width), Math.floor(pixels[pixels.length - 1] / width)];
  const inRow = (row: number) => Math.min(lastRow, Math.max(firstRow, row));
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
  const around = aroundFor(request, pixels, kinds, stamps, (row) => scales[inRow(row)]);
  // As dense outside as inside, so many flakes that lie over the part's edge.
  const outside = counts.map((count, k) => (count * around[k].count) / pixels.length);
  const inside = counts.reduce((sum, count) => sum + count, 0);
  // Kinds inside, then those outside that there are places for; one nobody drops must not be picked by rounding.
  const whole = inside + outside.reduce((sum, count) => sum + count, 0);
  const total = Math.round(whole);
  const weights = [...counts, ...outside];
  const groups = weights.flatMap((weight, at) => (weight > 0 ? [at] : []));
  const edges = groups.map((_, i) => groups.slice(0, i + 1).reduce((sum, at) => sum + weights[at], 0) / whole);
  const unbroken = pixels[pixels.length - 1] - pixels[0] === pixels.length - 1;
  const presses = kinds.map((kind) => pressOf(kind, stacks));
  const stretches = Math.ceil(pixels.length / AT_ONCE);
  const rounds = stretches === 1 ? 1 : ROUNDS;
  let [dropped, covered] = [0, 0];
  for (let turn = 0; turn < rounds * stretches; turn += 1) {
    const round = Math.floor(turn / stretches);
    const stretch = round % 2 === 0 ? turn % stretches : stretches - 1 - (turn % stretches);
    const from = stretch * AT_ONCE;
    const here = Math.min(AT_ONCE, pixels.length - from);
    covered += here;
    const until = Math.round((total * covered) / (rounds * pixels.length));
    for (; dropped < until; dropped += 1) {
      let group = 0;
      if (groups.length > 1) {
        const chosen = random();
        while (group < groups.length - 1 && chosen >= edges[group]) group += 1;
      }
      const pick = groups[group];
      const k = pick < kinds.length ? pick : pick - kinds.length;
      let row = 0;
      let column = 0;
      // Wider rows take more flakes: keep a row in proportion to the mm it stands for.
      if (pick < kinds.length) {
        let at = from + Math.floor(random() * here);
        at = unbroken ? pixels[0] + at : pixels[at];
        row = Math.floor(at / width);
        while (!even && random() * scales[row] > narrowest) {
          at = pixels[from + Math.floor(random() * here)];
          row = Math.floor(at / width);
        }
        column = at - row * width;
      } else {
        const { places, count } = around[k];
        do {
          const place = Math.min(count - 1, Math.floor(((stretch + random()) / stretches) * count));
          row = places[2 * place];
          column = places[2 * place + 1];
        } while (!even && random() * scales[inRow(row)] > narrowest);
      }
      const chance = Math.floor(random() * (STAMPS * TILTS));
      const { spans } = stamps[k][level[pick < kinds.length ? row : inRow(row)]][Math.floor(chance / TILTS)];
      presses[k](spans, chance % TILTS, row, column, part, request, sheet);
    }
    yield;
  }
  return Math.round(inside);
}

/** For each kind, the places round the part from which its flakes reach into it; none where the part has no edge. */
function aroundFor(
  request: FieldRequest,
  pixels: Uint32Array,
  kinds: readonly LookFlake[],
  stamps: readonly (readonly (readonly Stamp[])[])[],
  scaleAt: (row: number) => number,
): readonly Around[] {
  const known = new Map<number, Around>();
  const runs = runsOfPart(pixels, request.width);
  return kinds.map(({ cut }, k) => {
    const reach = stamps[k][0] === pixelStamps ? 0 : cut / Math.sqrt(3);
    const found =
      known.get(reach) ??
      (reach === 0 || shareAtEdge(runs, pixels.length, request.width, reach * request.rowsPerMm) < HARDLY_AN_EDGE
        ? { places: new Int32Array(0), count: 0 }
        : aroundPart(request, runs, Math.ceil(reach * request.rowsPerMm) + 1, (row) => Math.ceil(reach * scaleAt(row)) + 1));
    known.set(reach, found);
    return found;
  });
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
type Press = (
  spans: Int16Array,
  tilt: number,
  row: number,
  column: number,
  part: number,
  request: FieldRequest,
  sheet: FieldSheet,
) => void;

/** What hides all below makes the same stack of anything; what doesn't, one for each it comes to lie on. */
function pressOf(kind: LookFlake, stacks: Stacks): Press {
  const flake = stacks.kindOf(kind);
  if (hides(kind)) {
    const stack = stacks.over(flake, 0) * TILTS;
    return pressed((tokens, from, to, tilt, owner, part) => {
      const token = stack + tilt;
      for (let at = from; at < to; at += 1) if (owner === null || owner[at] === part) tokens[at] = token;
    });
  }
  const above = new Int16Array(MOST_STACKS).fill(-1);
  return pressed((tokens, from, to, tilt, owner, part) => {
    for (let at = from; at < to; at += 1) {
      if (owner !== null && owner[at] !== part) continue;
      const below = tokens[at] >> TILT_BITS;
      if (above[below] < 0) above[below] = stacks.over(flake, below);
      tokens[at] = above[below] * TILTS + tilt;
    }
  });
}

/** Covers the pixels of a row from one up to another. */
type Cover = (tokens: Uint16Array, from: number, to: number, tilt: number, owner: Uint16Array | null, part: number) => void;

const pressed =
  (cover: Cover): Press =>
  (spans, tilt, row, column, part, { width, height, wraps }, { tokens, owner }) => {
    for (let s = 0; s < spans.length; s += 3) {
      const y = row + spans[s];
      if (y < 0 || y >= height) continue;
      const start = y * width;
      const from = column + spans[s + 1];
      const to = column + spans[s + 2];
      if (from >= 0 && to <= width) cover(tokens, start + from, start + to, tilt, owner, part);
      else
        for (let x = from; x < to; x += 1) {
          if (!wraps && (x < 0 || x >= width)) continue;
          const at = start + ((x + width) % width);
          cover(tokens, at, at + 1, tilt, owner, part);
        }
    }
  };
