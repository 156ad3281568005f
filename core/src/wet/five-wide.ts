/* Systems whose rows reach two cells either way: what a step of a thin film's own levelling comes to. */

/** So many systems side by side, each of so many cells; of cell `n` of system `s` everything stands at `n·side + s·apart`. */
export interface FiveWide {
  readonly cells: number;
  readonly systems: number;
  readonly side: number;
  readonly apart: number;
  /** what the cells two and one before, itself, one and two after weigh; spoilt by solving */
  readonly bands: readonly [Float64Array, Float64Array, Float64Array, Float64Array, Float64Array];
}

/**
 * Solves them all in place, by elimination without exchanging rows: they lean on their diagonal (I + what levels out).
 * @param right the right sides; holds what solves them afterwards
 */
export function solveFiveWide(system: FiveWide, right: Float64Array): void {
  const { cells, systems, side, apart } = system;
  const [two, one, self, next, after] = system.bands;
  for (let n = 0; n < cells; n += 1)
    for (let s = 0, at = n * side; s < systems; s += 1, at += apart) {
      // The diagonal is kept as what to multiply by.
      if (n > 1) {
        const far = at - 2 * side;
        const near = at - side;
        const first = two[at] * self[far];
        const second = (one[at] - first * next[far]) * self[near];
        self[at] = 1 / (self[at] - first * after[far] - second * next[near]);
        next[at] -= second * after[near];
        right[at] -= first * right[far] + second * right[near];
      } else if (n > 0) {
        const near = at - side;
        const second = one[at] * self[near];
        self[at] = 1 / (self[at] - second * next[near]);
        next[at] -= second * after[near];
        right[at] -= second * right[near];
      } else self[at] = 1 / self[at];
    }
  for (let n = cells - 1; n >= 0; n -= 1)
    for (let s = 0, at = n * side; s < systems; s += 1, at += apart) {
      let value = right[at];
      if (n + 1 < cells) value -= next[at] * right[at + side];
      if (n + 2 < cells) value -= after[at] * right[at + 2 * side];
      right[at] = value * self[at];
    }
}
