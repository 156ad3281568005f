/**
 * Rounds to the maker's step and removes the binary tail, so that 0.1 + 0.2 reads 0.3.
 * @param value any unit
 * @param step the same unit, above zero
 */
export function roundToStep(value: number, step: number): number {
  return tidy(Math.round(value / step) * step);
}

/** As `roundToStep`, never below `value`: what is mixed has to be enough. */
export function roundUpToStep(value: number, step: number): number {
  return tidy(Math.ceil(value / step - 1e-9) * step);
}

/** Cuts the binary tail after nine decimals; adding 0 turns −0 into 0. */
export function tidy(value: number): number {
  return Math.round(value * 1e9) / 1e9 + 0;
}
