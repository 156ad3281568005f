import type { Station } from '../vessel';
import type { Ring } from './region';

/** Longest piece of an edge that is drawn straight on a round wall. */
const STEP = { degrees: 5, mm: 8 };

/** Heights from one to another, with every bend of the wall between and no step over `most` mm. */
export function heightsBetween(stations: readonly Station[], from: number, to: number, most: number): readonly number[] {
  const stops = [from, ...stations.map(({ height }) => height).filter((height) => height > from && height < to), to];
  return stops.flatMap((stop, i) => {
    if (i === 0) return [stop];
    const before = stops[i - 1];
    const steps = Math.max(1, Math.ceil((stop - before) / most));
    return Array.from({ length: steps }, (_, step) => before + ((stop - before) * (step + 1)) / steps);
  });
}

/** A ring with points enough that its edges may be drawn straight on a round wall. */
export function finely(ring: Ring, stations: readonly Station[], step = STEP): Ring {
  return ring.flatMap((to, i) => {
    if (i === 0) return [to];
    const from = ring[i - 1];
    // Most edges of a motif are short already.
    if (isShort(from, to, stations, step)) return [to];
    const pieces = Math.ceil(Math.max(Math.abs(to[0] - from[0]) / step.degrees, 1));
    if (from[1] === to[1]) return between(from, to, pieces);
    const [low, high] = from[1] < to[1] ? [from[1], to[1]] : [to[1], from[1]];
    const heights = heightsBetween(stations, low, high, Math.max(step.mm, 0.01)).slice(1, -1);
    const shares = [
      ...heights.map((mm) => (mm - from[1]) / (to[1] - from[1])),
      ...Array.from({ length: pieces }, (_, k) => (k + 1) / pieces),
    ];
    return [...new Set(shares)].sort((a, b) => a - b).map((share) => onEdge(from, to, share));
  });
}

function isShort(from: Ring[number], to: Ring[number], stations: readonly Station[], step: typeof STEP): boolean {
  if (Math.abs(to[0] - from[0]) > step.degrees || Math.abs(to[1] - from[1]) > step.mm) return false;
  for (const { height } of stations)
    if ((from[1] < height && to[1] > height) || (to[1] < height && from[1] > height)) return false;
  return true;
}

const onEdge = (from: Ring[number], to: Ring[number], share: number): Ring[number] =>
  share === 1 ? to : [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])];

const between = (from: Ring[number], to: Ring[number], pieces: number): Ring =>
  Array.from({ length: pieces }, (_, k) => onEdge(from, to, (k + 1) / pieces));
