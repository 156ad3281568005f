/** Resin that has to lie over the highest flake, mm, so that sanding never meets it. */
export const OVER_FLAKES = 0.2;

/** Flakes as they lie on a cup. */
export interface FlakeBed {
  /** flakes deep on average */
  readonly depth: number;
  /** of a flake, µm */
  readonly thickness: number;
  /** the coarsest, mm across flats */
  readonly cut: number;
  readonly pressed: boolean;
}

/**
 * How far the highest flakes stand above their mean, mm: stacks are Poisson, and a flake that wasn't pressed flat stands up by
 * a fifth of its cut.
 */
export const standingFlakes = ({ depth, thickness, cut, pressed }: FlakeBed): number =>
  2 * Math.sqrt(depth) * (thickness / 1000) + (pressed ? 0.02 : 0.2) * cut;

/**
 * How many coats it takes until no flake is felt.
 * @param film mm of each coat
 * @param sanded mm that sanding takes off in between
 */
export const coatsToBury = ({ film, sanded, ...bed }: FlakeBed & { readonly film: number; readonly sanded: number }): number =>
  Math.ceil((OVER_FLAKES + sanded + standingFlakes(bed)) / film);
