/**
 * A kind of flake drawn at every turn and place between pixels, and at several widths where a taper has them: all in one
 * list, so that a processor keeps it at hand.
 */
export interface Stamps {
  /** for each row of a stamp how far it is from the centre's and the columns it covers, one triple after the other */
  readonly spans: Int16Array;
  /** where each stamp begins in it, width by width, and where the last ends */
  readonly starts: Int32Array;
  /** pixels a stamp covers on average, by width */
  readonly areas: readonly number[];
  /** rows up and down that the largest reaches */
  readonly reach: number;
  /** a flake finer than the picture: one pixel stands for it */
  readonly dots: boolean;
}

/** A flake drawn once: its spans, and the pixels it covers. */
interface Stamp {
  readonly spans: readonly number[];
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
 * @param columns pixels a mm round the wall, for each width it is drawn at
 */
export function hexagonStamps(cut: number, columns: readonly number[], rowsPerMm: number): Stamps {
  const size = `${cut}/${rowsPerMm}/${columns.join('/')}`;
  const known = drawn.get(size);
  const found = known ?? hexagons(cut, columns, rowsPerMm);
  // The one used last stands last, so that the first is the one to let go.
  drawn.delete(size);
  drawn.set(size, found);
  const [oldest] = drawn.keys();
  if (drawn.size > MOST_KEPT && oldest !== undefined) drawn.delete(oldest);
  return found;
}

/** Sizes drawn before: one turned knob rarely changes a cut, and a stamp's drawing is the same for ever. */
const drawn = new Map<string, Stamps>();
const MOST_KEPT = 24;

function hexagons(cut: number, columns: readonly number[], rowsPerMm: number): Stamps {
  const stamps = columns.flatMap((columnsPerMm) =>
    Array.from({ length: STAMPS }, (_, i): Stamp => {
      const [turn, place] = [Math.floor(i / (PLACES * PLACES)), i % (PLACES * PLACES)];
      return hexagon(cut, columnsPerMm, rowsPerMm, {
        turn: ((turn + 0.5) / TURNS) * (Math.PI / 3),
        right: (Math.floor(place / PLACES) + 0.5) / PLACES,
        down: ((place % PLACES) + 0.5) / PLACES,
      });
    }),
  );
  const starts = new Int32Array(stamps.length + 1);
  stamps.forEach(({ spans }, i) => (starts[i + 1] = starts[i] + spans.length));
  return {
    spans: Int16Array.from(stamps.flatMap(({ spans }) => spans)),
    starts,
    areas: columns.map((_, width) => {
      const own = stamps.slice(width * STAMPS, (width + 1) * STAMPS);
      return own.reduce((sum, { area }) => sum + area, 0) / STAMPS;
    }),
    reach: stamps.reduce((most, { spans }) => Math.max(most, Math.abs(spans[0] ?? 0), Math.abs(spans.at(-3) ?? 0)), 0),
    dots: false,
  };
}

/** Single pixels, at so many widths. */
export const dotStamps = (widths: number): Stamps => ({
  spans: Int16Array.from({ length: 3 * STAMPS * widths }, (_, i) => (i % 3 === 2 ? 1 : 0)),
  starts: Int32Array.from({ length: STAMPS * widths + 1 }, (_, i) => 3 * i),
  areas: Array.from({ length: widths }, () => 1),
  reach: 0,
  dots: true,
});

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
  return { spans, area };
}
