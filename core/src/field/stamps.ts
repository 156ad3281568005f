/** A flake drawn once: for each row, how far it is from the centre's and the columns it covers, one triple after the other. */
export interface Stamp {
  readonly spans: Int16Array;
  /** pixels it covers */
  readonly area: number;
}

/** Turns and places between pixels a flake is drawn at: enough that no pattern shows. */
const TURNS = 12;
const PLACES = 4;
/** how many stamps a kind of flake has at one scale; a power of two is not needed, only that all are used alike */
export const STAMPS = TURNS * PLACES * PLACES;

/**
 * A hexagon `cut` mm across flats as pixels, at every turn and place between pixels: a pixel belongs to it
 * when its centre does, so that on average as much is covered as the flake has face.
 */
export function hexagonStamps(cut: number, columnsPerMm: number, rowsPerMm: number): readonly Stamp[] {
  const stamps: Stamp[] = [];
  for (let turn = 0; turn < TURNS; turn += 1)
    for (let i = 0; i < PLACES; i += 1)
      for (let j = 0; j < PLACES; j += 1)
        stamps.push(
          hexagon(cut, columnsPerMm, rowsPerMm, {
            turn: ((turn + 0.5) / TURNS) * (Math.PI / 3),
            right: (i + 0.5) / PLACES,
            down: (j + 0.5) / PLACES,
          }),
        );
  return stamps;
}

/** A flake finer than the picture: one pixel stands for it. */
export const pixelStamps: readonly Stamp[] = Array.from({ length: STAMPS }, () => ({ spans: Int16Array.of(0, 0, 1), area: 1 }));

/** How a flake lies: turned so far, its middle so far right of and below a pixel's corner. */
interface Lie {
  readonly turn: number;
  readonly right: number;
  readonly down: number;
}

function hexagon(cut: number, columnsPerMm: number, rowsPerMm: number, { turn, right, down }: Lie): Stamp {
  const reach = cut / Math.sqrt(3);
  const half = cut / 2;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const inside = (dx: number, dy: number) => {
    const u = Math.abs(cos * dx + sin * dy);
    return u <= half && u / 2 + (Math.sqrt(3) / 2) * Math.abs(cos * dy - sin * dx) <= half;
  };
  const spans: number[] = [];
  let area = 0;
  const [rows, columns] = [Math.ceil(reach * rowsPerMm) + 1, Math.ceil(reach * columnsPerMm) + 1];
  for (let y = -rows; y <= rows; y += 1) {
    let from: number | null = null;
    for (let x = -columns; x <= columns + 1; x += 1) {
      const covered = x <= columns && inside((x + 0.5 - right) / columnsPerMm, (y + 0.5 - down) / rowsPerMm);
      if (covered && from === null) from = x;
      if (!covered && from !== null) {
        spans.push(y, from, x);
        area += x - from;
        from = null;
      }
    }
  }
  return { spans: Int16Array.from(spans), area };
}
