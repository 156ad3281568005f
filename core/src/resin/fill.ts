/** Solid share of flakes that have been pressed and lie flat. */
export const LAID_FLAT = 0.45;

/**
 * Resin that raw glitter soaks up: the air between flakes lying flat.
 * @param area cm²
 * @param depth flakes deep
 * @param flakeThickness µm
 * @param laid solid share of the laid layer, 0..1
 * @returns ml
 */
export function glitterFill(area: number, depth: number, flakeThickness: number, laid = LAID_FLAT): number {
  return area * depth * (flakeThickness / 10000) * (1 / laid - 1);
}

/** How thick the laid layer stands, mm. */
export const laidThickness = (depth: number, flakeThickness: number, laid = LAID_FLAT): number =>
  (depth * flakeThickness) / 1000 / laid;
