import { piecesOf, radiusOf, type Station } from '../vessel';
import type { Region, Ring } from './region';

/**
 * How much wall lies under a height, mm² a radian: the antiderivative of `r(h)·√(1+r'²)`. On each
 * cone piece r is linear, so this is a parabola.
 */
interface ConePiece {
  readonly from: number;
  readonly to: number;
  readonly radius: number;
  readonly slope: number;
  readonly stretch: number;
  readonly below: number;
  /** mm along the wall from the foot to its lower end */
  readonly along: number;
}

function conePieces(stations: readonly Station[]): readonly ConePiece[] {
  let below = 0;
  let along = 0;
  return piecesOf(stations).map(([lower, upper]) => {
    const [radius, end] = [radiusOf(lower.circumference), radiusOf(upper.circumference)];
    const rise = upper.height - lower.height;
    const slope = (end - radius) / rise;
    const piece = { from: lower.height, to: upper.height, radius, slope, stretch: Math.hypot(1, slope), below, along };
    along += piece.stretch * rise;
    below += piece.stretch * ((radius + end) / 2) * rise;
    return piece;
  });
}

/** A measure of regions on one wall. Keep it while the wall stays the same. */
export function wallMeasure(stations: readonly Station[]): {
  /** cm² */ areaOf(region: Region): number;
  /** mm² a radian below a height */ below(height: number): number;
  /** mm along the wall from the foot to a height, and mm from the axis there */
  along(height: number): number;
  radius(height: number): number;
  /** the height below which so many mm² a radian lie */ heightWith(below: number): number;
} {
  const pieces = conePieces(stations);
  const pieceAt = (height: number) => pieces.find((piece) => height <= piece.to) ?? pieces[pieces.length - 1];
  const under = (piece: ConePiece, height: number) => {
    const up = height - piece.from;
    return piece.below + piece.stretch * (piece.radius + (piece.slope * up) / 2) * up;
  };
  const bends = stations.slice(1, -1).map((station) => station.height);

  // ∮ under(h) dθ over one edge. Within a piece `under` is a parabola, for which Simpson's rule is exact.
  function edge(a0: number, h0: number, a1: number, h1: number): number {
    if (a0 === a1) return 0;
    if (h0 === h1) return (a1 - a0) * under(pieceAt(h0), h0);
    const [low, high] = h0 < h1 ? [h0, h1] : [h1, h0];
    let sum = 0;
    let at = 0;
    const cuts = bends.filter((bend) => bend > low && bend < high).map((bend) => (bend - h0) / (h1 - h0));
    if (h0 > h1) cuts.reverse();
    for (const next of [...cuts, 1]) {
      const [from, to] = [h0 + at * (h1 - h0), next === 1 ? h1 : h0 + next * (h1 - h0)];
      const middle = (from + to) / 2;
      const piece = pieceAt(middle);
      sum += ((next - at) / 6) * (under(piece, from) + 4 * under(piece, middle) + under(piece, to));
      at = next;
    }
    return (a1 - a0) * sum;
  }

  const ringArea = (ring: Ring) => {
    let [sum, lost] = [0, 0];
    for (let i = 1; i < ring.length; i += 1) {
      const one = edge(ring[i - 1][0], ring[i - 1][1], ring[i][0], ring[i][1]);
      const next = sum + one;
      // What rounding takes off each addition is added up too (A. Neumaier, ZAMM 54, 1974): rings have thousands of edges.
      lost += Math.abs(sum) >= Math.abs(one) ? sum - next + one : one - next + sum;
      sum = next;
    }
    return Math.abs(sum + lost);
  };
  return {
    areaOf: (region) => {
      let degrees = 0;
      for (const [outline, ...holes] of region) {
        degrees += ringArea(outline);
        for (const hole of holes) degrees -= ringArea(hole);
      }
      return (degrees * Math.PI) / 180 / 100;
    },
    below: (height) => under(pieceAt(height), height),
    along: (height) => {
      const piece = pieceAt(height);
      return piece.along + piece.stretch * (height - piece.from);
    },
    radius: (height) => {
      const piece = pieceAt(height);
      return piece.radius + piece.slope * (height - piece.from);
    },
    heightWith: (below) => {
      const piece = pieces.find((one) => below <= under(one, one.to)) ?? pieces[pieces.length - 1];
      const wanted = (below - piece.below) / piece.stretch;
      // Solved for the side that needs no division by a slope near zero.
      const root = Math.sqrt(Math.max(0, piece.radius ** 2 + 2 * piece.slope * wanted));
      return piece.from + (2 * wanted) / (piece.radius + root);
    },
  };
}

/**
 * The area of a region on a wall: `∫∫ r(h)·√(1+r'²) dh dθ`, by Green's theorem a sum over its edges,
 * exact for straight ones.
 * @returns cm²
 */
export const regionArea = (stations: readonly Station[], region: Region): number => wallMeasure(stations).areaOf(region);
