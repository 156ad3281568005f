/** A value 0..1 of a lattice point, the same for the same seed. */
export function chanceAt(x: number, y: number, seed: number): number {
  let mixed = Math.imul(x, 0x27d4eb2d) ^ Math.imul(y, 0x165667b1) ^ Math.imul(seed + 1, 0x9e3779b1);
  mixed = Math.imul(mixed ^ (mixed >>> 15), 0x85ebca6b);
  mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2ae35);
  return ((mixed ^ (mixed >>> 16)) >>> 0) / 4294967296;
}

const eased = (t: number): number => t * t * (3 - 2 * t);

/**
 * Smooth chance over a plane, 0..1: values of a lattice, eased between (K. Perlin, “An image synthesizer”, SIGGRAPH 1985, there
 * with slopes). It closes on itself along x after so many steps of the lattice; never, where that is 0.
 */
export function noise(x: number, y: number, seed: number, period = 0): number {
  const [floorX, low] = [Math.floor(x), Math.floor(y)];
  let left = floorX | 0;
  let right = left + 1;
  if (period > 0) {
    left %= period;
    if (left < 0) left += period;
    right = left + 1 === period ? 0 : left + 1;
  }
  const [along, up] = [eased(x - floorX), eased(y - low)];
  const below = chanceAt(left, low, seed) * (1 - along) + chanceAt(right, low, seed) * along;
  const above = chanceAt(left, low + 1, seed) * (1 - along) + chanceAt(right, low + 1, seed) * along;
  return below * (1 - up) + above * up;
}

/** How far apart two spots are round a wall, the shorter way, mm; signed. */
export const roundBetween = (from: number, to: number, round: number): number => {
  const off = (to - from) % round;
  return off > round / 2 ? off - round : off < -round / 2 ? off + round : off;
};
