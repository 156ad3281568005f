import polygonClipping from 'polygon-clipping';
import type { Region, Ring } from './region';

type Geometry = Parameters<typeof polygonClipping.union>[0];

/** Thrown when two outlines meet in a way the clipping can't resolve; a tiny move of either helps. */
export class UnclearRegionError extends Error {
  override readonly name = 'UnclearRegionError';
}

/**
 * Coordinates on a grid of powers of two, about a millionth of a degree or mm: lines meant to be one
 * then are one, and differences between them are exact.
 */
const GRID = 2 ** 20;
export const onGrid = (value: number): number => Math.round(value * GRID) / GRID;

/** What is in either. */
export const together = (regions: readonly Region[]): Region => work('union', regions);

/** What is in the first and in none of the others. */
export const without = (region: Region, others: readonly Region[]): Region =>
  region.length === 0 || others.length === 0 ? region : work('difference', [region, ...others]);

/** What is in both. */
export const within = (one: Region, other: Region): Region =>
  one.length === 0 || other.length === 0 ? [] : work('intersection', [one, other]);

/** What an odd number of rings holds: an outline and its holes, whatever way they are drawn. */
export const evenOdd = (rings: readonly Ring[]): Region =>
  work(
    'xor',
    rings.map((ring) => [[ring]]),
  );

function work(how: 'union' | 'difference' | 'intersection' | 'xor', regions: readonly Region[]): Region {
  const [first, ...rest] = regions.filter((region) => region.length > 0) as Geometry[];
  if (first === undefined) return [];
  try {
    return polygonClipping[how](first, ...rest);
  } catch {
    // The sweep lost its way among nearly parallel lines: the same on a coarser grid, a 16 000th of a mm.
    const coarse = (geometry: Geometry) => roundTo(geometry as unknown as Region, 2 ** 14) as unknown as Geometry;
    try {
      return polygonClipping[how](coarse(first), ...rest.map(coarse));
    } catch (error) {
      throw new UnclearRegionError(
        'Two edges lie so nearly on each other that the areas between them can’t be told apart. Move one of them by a tenth of a mm.',
        { cause: error },
      );
    }
  }
}

const roundTo = (region: Region, grid: number): Region =>
  region.map((polygon) =>
    polygon.map((ring) => ring.map(([a, h]) => [Math.round(a * grid) / grid, Math.round(h * grid) / grid] as const)),
  );
