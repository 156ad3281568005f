/**
 * Which way a flake lies, in so many tilts, each as likely as any: x and y of its normal, the wall's own being 0, 0.
 * Pressed flakes lie within a few degrees of flat, thinner out the steeper (a normal distribution, spread
 * evenly over its rings by the golden angle).
 */
export interface Tilt {
  readonly x: number;
  readonly y: number;
  /** which way a holographic flake's grating runs: a unit vector */
  readonly along: readonly [number, number];
}

/** a tilt takes so many bits */
export const TILT_BITS = 6;
export const TILTS = 1 << TILT_BITS;
/** radians, one standard deviation */
const SPREAD = 0.13;
const GOLDEN = Math.PI * (3 - Math.sqrt(5));

export const tilts: readonly Tilt[] = Array.from({ length: TILTS }, (_, i) => {
  const steep = SPREAD * Math.sqrt(-2 * Math.log(1 - (i + 0.5) / TILTS));
  const turn = i * GOLDEN * 7;
  return {
    x: steep * Math.cos(i * GOLDEN),
    y: steep * Math.sin(i * GOLDEN),
    along: [Math.cos(turn), Math.sin(turn)],
  };
});
