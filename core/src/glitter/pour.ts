import { facePerMl, flakesPerMl, type Part } from './flake';

const faceOf = (parts: readonly Part[]): number => parts.reduce((sum, { glitter, ml }) => sum + ml * facePerMl(glitter), 0);

/**
 * How deep a pour lies on an area.
 * @param area cm², above zero
 * @returns `depth` flakes deep on average, and how many `flakes`
 */
export function flakeDepth(parts: readonly Part[], area: number): { depth: number; flakes: number } {
  return {
    depth: faceOf(parts) / area,
    flakes: parts.reduce((sum, { glitter, ml }) => sum + ml * flakesPerMl(glitter), 0),
  };
}

/** Share covered at a depth: flakes drop at random, so `e^(−depth)` stays bare. */
export const coverage = (depth: number): number => 1 - Math.exp(-depth);

/** The depth that covers a share below 1. */
export const depthForCoverage = (share: number): number => -Math.log(1 - share);

/**
 * Total ml of a mix for a coverage, nothing cast off.
 * @param parts proportions; only their ratio counts
 * @param share 0 up to but not including 1
 * @param area cm²
 */
export function mlForCoverage(parts: readonly Part[], share: number, area: number): number {
  const total = parts.reduce((sum, part) => sum + part.ml, 0);
  return (depthForCoverage(share) * area * total) / faceOf(parts);
}

/** How much of what faces you each part is; sums to 1. Volume shares aren't what the eye sees. */
export function faceShares(parts: readonly Part[]): readonly number[] {
  const whole = faceOf(parts);
  return parts.map(({ glitter, ml }) => (whole === 0 ? 0 : (ml * facePerMl(glitter)) / whole));
}

/**
 * What a holder keeps of a pour: `hold·(1 − e^(−poured/hold))`; the rest is cast off.
 * @param poured flakes deep
 * @param hold flakes deep the glue can hold in one pass, above zero
 */
export const keptDepth = (poured: number, hold: number): number => hold * (1 - Math.exp(-poured / hold));

/**
 * What has to be poured in each pass so that a share ends up covered.
 * @param passes how many times glue and glitter are laid, 1 or more
 * @returns flakes deep a pass, or null when so many passes of this glue can't hold enough
 */
export function pourForCoverage(share: number, hold: number, passes: number): number | null {
  const perPass = depthForCoverage(share) / passes;
  return perPass < hold * 0.999 ? -hold * Math.log(1 - perPass / hold) : null;
}
