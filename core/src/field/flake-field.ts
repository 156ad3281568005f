import { hexOfLinearRgb } from '../colour';
import { fillHiding, isHiding, type Counted } from './hiding-region';
import type { Look } from './look';
import { packed } from './packed';
import { randomStream } from './random';
import { fillSeeThrough } from './see-through-region';

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
  /** hex of the mean light of the parts that flakes were dropped on; null without flakes */
  readonly seen: string | null;
}

/**
 * Drops every flake where it falls, at true scale, and counts what stays bare and what is seen. Flakes smaller
 * than a pixel are drawn as one, so the bare share stays `e^(−depth)`.
 */
export function flakeField(request: FieldRequest): FlakeField {
  const { width, height, ground, regions } = request;
  const out = new Uint32Array(width * height);
  if (regions.length !== 1 || regions[0].pixels.length < out.length) out.fill(packed(ground));
  const owner = ownersOf(request);
  const sheet = { out, owner, token: new Uint16Array(regions.some(isHiding) ? width * height : 0) };
  const random = randomStream(request.seed);
  const parts = regions.map((region, index): Counted =>
    isHiding(region)
      ? fillHiding(request, region, index + 1, sheet, random)
      : fillSeeThrough(request, region, index + 1, sheet, random),
  );
  const glittered = parts.filter(({ flakes }) => flakes > 0);
  const sum = (of: (part: Counted) => number) => glittered.reduce((total, part) => total + of(part), 0);
  const wanted = sum((part) => part.wanted);
  const light = (axis: number) => sum((part) => part.light[axis]) / wanted;
  return {
    width,
    height,
    pixels: new Uint8ClampedArray(out.buffer),
    bareShare: wanted > 0 ? sum((part) => part.bare) / wanted : null,
    flakes: sum((part) => part.flakes),
    seen: wanted > 0 ? hexOfLinearRgb([light(0), light(1), light(2)]) : null,
  };
}

/** Which part each pixel belongs to, from 1; null while one part has all. */
function ownersOf({ width, height, regions }: FieldRequest): Uint16Array | null {
  if (regions.length === 1 && regions[0].pixels.length === width * height) return null;
  const owner = new Uint16Array(width * height);
  regions.forEach(({ pixels }, index) => {
    for (const at of pixels) owner[at] = index + 1;
  });
  return owner;
}
