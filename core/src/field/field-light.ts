/** A light by the direction half-way between it and the eye, x and y of a unit vector on the wall: 0, 0 is straight on. */
export interface Lamp {
  readonly x: number;
  readonly y: number;
  readonly strength: number;
}

/** How a picture is lit: so many ways, and which of them each column has; −1 where nobody sees it. */
export interface FieldLight {
  /** lights of one name have the same ways, so that their colours are worked out once; null for one that moves */
  readonly name: string | null;
  readonly ways: readonly (readonly Lamp[])[];
  wayOf(column: number): number;
}

/** A flat picture under one lamp. */
export const flatLight = (x: number, y: number): FieldLight => ({
  name: null,
  ways: [[{ x, y, strength: 1 }]],
  wayOf: () => 0,
});

/** The window at the left and the lamp at the right of a cup, as half-way directions: right, up and towards the eye. */
const ROUND_A_CUP = [
  { right: -0.36, up: 0.06, front: 0.93, strength: 1 },
  { right: 0.5, up: 0.05, front: 0.86, strength: 0.6 },
] as const;

/** One way of light for so many degrees of the near side. */
const EVERY = 10;

/** The light on the near side from left to right; always the same, the cup turns under it. */
const cupWays = Array.from({ length: 180 / EVERY + 1 }, (_, i): readonly Lamp[] => {
  const facing = ((i * EVERY - 90) * Math.PI) / 180;
  return ROUND_A_CUP.map(({ right, up, front, strength }) => ({
    x: right * Math.cos(facing) - front * Math.sin(facing),
    y: up,
    strength,
  }));
});

/**
 * The light on a cup's unrolled wall: each column faces its own way, so turning the cup makes other flakes flash.
 * @param columns pixels round the wall; the middle one is the front of an unturned cup
 * @param turn radians the cup is turned to the right
 */
export const cupLight = (columns: number, turn: number): FieldLight => ({
  name: 'round a cup',
  ways: cupWays,
  wayOf: (column) => {
    const round = (column + 0.5) / columns - 0.5 + turn / (2 * Math.PI);
    const facing = (round - Math.round(round)) * 360;
    return Math.abs(facing) > 90 + EVERY ? -1 : Math.round((Math.min(90, Math.max(-90, facing)) + 90) / EVERY);
  },
});
