/**
 * A pattern that ink or pearl makes on a wall: which class of it lies at a spot. Class 0 is where none of it lies.
 * @param turn share of a turn from the seam, 0 to 1
 * @param up mm above the foot
 */
export interface Pattern {
  /** how many there are, the bare one among them */
  readonly classes: number;
  classAt(turn: number, up: number): number;
}

interface OnWall {
  readonly seed: number;
  /** mm, the wall's widest circumference and its height: patterns close round it */
  readonly round: number;
  readonly tall: number;
}

/** Tones drawn out with a nearly dry brush, as wood has them: of each a thin and a thick class, side by side. */
export interface GrainWish extends OnWall {
  readonly kind: 'grain';
  readonly along: 'up' | 'round';
  readonly strokes: 'long' | 'short' | 'both';
  /** mm of a streak */
  readonly width: number;
  readonly knots: number;
  /** share of the wall under each tone; what they leave stays bare */
  readonly shares: readonly number[];
}

/** Ink that dries under a wrinkled film: the floors of its cells, what lies beside their walls, and the walls, as three classes. */
export interface CrackleWish extends OnWall {
  readonly kind: 'crackle';
  /** mm across */
  readonly cell: number;
  /** mm above the foot that it reaches */
  readonly reach: number;
}

/** Colours let fall on water, each drop pushing those before it aside, and taken up by the wall as it rolls over
 * them, seam first: a class a colour. */
export interface FloatedWish extends OnWall {
  readonly kind: 'floated';
  /** they fall by turns, in this order */
  readonly colours: readonly { readonly drops: number }[];
  /** mm across one drop as it spreads */
  readonly across: number;
}

/** Powder dabbed in swirls and drawn out with a brush: thin and thick, as two classes. */
export interface SwirlWish extends OnWall {
  readonly kind: 'swirls';
  /** of the wall, that it covers */
  readonly share: number;
}

/** Pots of one coat, each drawn into the next: a class a pot, and between two of them so many that lead over. */
export interface GradedWish {
  readonly kind: 'graded';
  /** mm, the wall's height */
  readonly tall: number;
  /** mm above the foot at which pots meet, from below */
  readonly meet: readonly number[];
  /** mm that they are drawn into each other by, to either side */
  readonly drawn: number;
}

export type PatternWish = GrainWish | CrackleWish | FloatedWish | SwirlWish | GradedWish;

/** Spots that a pattern's levels are found at, round and up. */
const SPOTS = { round: 96, up: 64 } as const;
/** Each row of spots begins elsewhere, so that they keep step with nothing that repeats (golden ratio). */
const SHIFT = 0.618;

/** The values below which such shares of a wall's spots lie. @param shares each 0 to 1, added up one after the other */
export function levelsOf(
  value: (turn: number, up: number) => number,
  tall: number,
  shares: readonly number[],
): readonly number[] {
  const sorted = Float64Array.from({ length: SPOTS.round * SPOTS.up }, (_, i) => {
    const row = Math.floor(i / SPOTS.round);
    return value(((i % SPOTS.round) / SPOTS.round + SHIFT * row) % 1, ((row + 0.5) / SPOTS.up) * tall);
  }).sort();
  let sum = 0;
  return shares.map((share) => {
    sum += share;
    return sum >= 1 ? Infinity : sorted[Math.floor(sum * sorted.length)];
  });
}
