import type { FieldRequest } from './field';

/** Places just outside a part from which a flake still reaches into it. */
export interface Around {
  /** row and column of one place after the other, by rows; beyond the picture's edges too */
  readonly places: Int32Array;
  readonly count: number;
}

/** Runs of pixels in a row: where each begins and, one further, where it ends. */
type Runs = readonly number[];

/**
 * The places round a part within so many rows and columns of one of its pixels. A flake whose middle lies there covers
 * some of the part all the same: without them every part would be barest along its edge, and a small one all over.
 */
export function aroundPart(request: FieldRequest, part: PartRuns, rows: number, columns: (row: number) => number): Around {
  const { width, height, wraps } = request;
  const { runs, first } = part;
  const last = first + runs.length - 1;
  const places: number[] = [];
  const repeats = runs.map((own, i) => i > 0 && own.length === runs[i - 1].length && own.every((at, j) => at === runs[i - 1][j]));
  for (let row = first - rows; row <= last + rows; row += 1) {
    const reach = columns(Math.min(height - 1, Math.max(0, row)));
    const spans: [number, number][] = [];
    const nearest = Math.max(first, row - rows);
    for (let y = nearest; y <= Math.min(last, row + rows); y += 1) {
      // A straight edge is the same row after row: it reaches no farther the second time.
      if (y > nearest && repeats[y - first]) continue;
      const own = runs[y - first] ?? [];
      for (let i = 0; i < own.length; i += 2) spans.push([own[i] - reach, own[i + 1] + reach]);
    }
    const inside = row >= first && row <= last ? (runs[row - first] ?? []) : [];
    for (const [from, to] of joined(spans, width, wraps)) putOutside(places, row, from, to, inside);
  }
  return { places: Int32Array.from(places), count: places.length / 2 };
}

/**
 * About which share of a part lies so near its edge, in pixels, that flakes from outside reach it: where that is next
 * to nothing, nobody sees whether they are dropped.
 */
export function shareAtEdge({ runs }: PartRuns, pixels: number, width: number, reach: number): number {
  let [edge, before] = [0, 0];
  for (const own of runs) {
    let here = 0;
    for (let i = 0; i < own.length; i += 2) here += own[i + 1] - own[i];
    // A row that goes all the way round has no ends.
    edge += (here === width ? 0 : own.length) + Math.abs(here - before);
    before = here;
  }
  return ((edge + before) * reach) / pixels;
}

/** A part's runs row by row, from its first row down. */
export interface PartRuns {
  readonly first: number;
  readonly runs: readonly Runs[];
}

export function runsOfPart(pixels: Uint32Array, width: number): PartRuns {
  const first = Math.floor(pixels[0] / width);
  const last = Math.floor(pixels[pixels.length - 1] / width);
  const runs: number[][] = Array.from({ length: last - first + 1 }, () => []);
  let i = 0;
  for (let row = first; row <= last; row += 1) {
    const [start, end] = [row * width, (row + 1) * width];
    const own = runs[row - first];
    while (i < pixels.length && pixels[i] < end) {
      const from = i;
      // Pixels rise: where as many follow as the numbers say, none is missing between; else step by step.
      const rest = Math.min(pixels.length, from + end - pixels[from]) - 1;
      if (pixels[rest] - pixels[from] === rest - from) i = rest + 1;
      else
        do i += 1;
        while (i < pixels.length && pixels[i] < end && pixels[i] === pixels[i - 1] + 1);
      own.push(pixels[from] - start, pixels[i - 1] - start + 1);
    }
  }
  return { first, runs };
}

/** Spans that touch as one; round the cup, what goes over one side comes in at the other. */
function joined(spans: readonly [number, number][], width: number, wraps: boolean): readonly (readonly [number, number])[] {
  const onTurn =
    wraps && spans.some(([from, to]) => from < 0 || to > width)
      ? spans.flatMap(([from, to]): [number, number][] => {
          if (to - from >= width) return [[0, width]];
          if (from < 0)
            return [
              [0, to],
              [from + width, width],
            ];
          return to > width
            ? [
                [from, width],
                [0, to - width],
              ]
            : [[from, to]];
        })
      : [...spans];
  onTurn.sort((a, b) => a[0] - b[0]);
  const whole: [number, number][] = [];
  for (const [from, to] of onTurn) {
    const before = whole.at(-1);
    if (before && from <= before[1]) before[1] = Math.max(before[1], to);
    else whole.push([from, to]);
  }
  return whole;
}

/** The columns of a span that aren't in the part itself. */
function putOutside(places: number[], row: number, from: number, to: number, inside: Runs): void {
  let at = from;
  for (let i = 0; i <= inside.length; i += 2) {
    const until = Math.min(to, i < inside.length ? inside[i] : to);
    for (; at < until; at += 1) places.push(row, at);
    if (i < inside.length) at = Math.max(at, inside[i + 1]);
  }
}
