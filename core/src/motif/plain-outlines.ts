import type { Outline, OwnOutline, PlainOutline } from './outline';

type Point = readonly [number, number];
/** An outline and its holes, closed, in a box of width 1 about 0, y upwards. */
export type MotifShape = readonly (readonly (readonly Point[])[])[];

const ROUND = 48;

const closed = (points: readonly Point[]): readonly Point[] => [...points, points[0]];
const polar = (radius: number, turn: number): Point => [
  radius * Math.sin(2 * Math.PI * turn),
  radius * Math.cos(2 * Math.PI * turn),
];
const circle = (radius: number, count = ROUND): readonly Point[] =>
  closed(Array.from({ length: count }, (_, i) => polar(radius, i / count)));

function star(): readonly Point[] {
  // Five points over a body of half their reach: sharp enough to read small, wide enough to fill by needle.
  return widened(Array.from({ length: 10 }, (_, i) => polar(i % 2 === 0 ? 0.5 : 0.235, i / 10)));
}

function petal(): readonly Point[] {
  return arc(
    (share) => 0.5 * Math.sin(Math.PI * share) ** 0.8,
    (share) => (share - 0.5) * 1.9,
  );
}

function drop(): readonly Point[] {
  return arc(
    (share) => 0.5 * Math.sin(Math.PI * share) * (1.25 - 0.72 * share) * 1.12,
    (share) => (share - 0.42) * 1.5,
  );
}

/** A shape alike on both sides: half its width and its height, by share from its foot to its tip. */
function arc(half: (share: number) => number, up: (share: number) => number): readonly Point[] {
  const steps = ROUND / 2;
  const side = (sign: 1 | -1) =>
    Array.from({ length: steps }, (_, i): Point => {
      const share = sign === 1 ? i / steps : 1 - i / steps;
      return [sign * half(share), up(share)];
    });
  return widened([...side(1), ...side(-1)]);
}

function crescent(): readonly Point[] {
  const outer = Array.from({ length: ROUND * 0.75 + 1 }, (_, i) => polar(0.5, 0.125 + (0.75 * i) / (ROUND * 0.75)));
  const [from, to] = [outer[outer.length - 1], outer[0]];
  // The inner line bulges up between the two horns, less than the outer.
  const inner = Array.from({ length: 19 }, (_, i): Point => {
    const share = (i + 1) / 20;
    return [from[0] + (to[0] - from[0]) * share, from[1] - 0.52 * Math.sin(Math.PI * share)];
  });
  return widened([...outer, ...inner]);
}

/** Brought to width 1 about its middle, and closed. */
function widened(points: readonly Point[]): readonly Point[] {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const width = Math.max(...xs) - Math.min(...xs);
  const [midX, midY] = [(Math.max(...xs) + Math.min(...xs)) / 2, (Math.max(...ys) + Math.min(...ys)) / 2];
  return closed(points.map(([x, y]): Point => [(x - midX) / width, (y - midY) / width]));
}

const shapes: Record<PlainOutline, MotifShape> = {
  spot: [[circle(0.5)]],
  ring: [[circle(0.5), circle(0.3)]],
  star: [[star()]],
  petal: [[petal()]],
  hexagon: [[widened(Array.from({ length: 6 }, (_, i) => polar(0.5, i / 6)))]],
  lozenge: [
    [
      closed([
        [0, 0.8],
        [0.5, 0],
        [0, -0.8],
        [-0.5, 0],
      ]),
    ],
  ],
  drop: [[drop()]],
  crescent: [[crescent()]],
};

/** What an outline looks like, for a width of 1. */
export const shapeOf = (outline: Outline): MotifShape => (outline.shape === 'own' ? outline.polygons : shapes[outline.shape]);

/** Left and right changed over; plain outlines are alike on both sides. */
export const outlineMirrored = (outline: Outline): Outline =>
  outline.shape === 'own'
    ? {
        ...outline,
        polygons: outline.polygons.map((polygon) =>
          polygon.map((ring) => ring.map(([x, y]) => [-x, y]).reverse()),
        ) as OwnOutline['polygons'],
      }
    : outline;

export const outlineName = (outline: Outline): string => (outline.shape === 'own' ? outline.name : outline.shape);

/** How far an outline reaches from its middle, for a width of 1. */
export const reachOf = (outline: Outline): number =>
  Math.max(...shapeOf(outline).flatMap(([line]) => line.map(([x, y]) => Math.hypot(x, y))));

/** An outline stretched to fill a box, still for a width of 1; the box itself where there is none. @param tall height by width */
export function filling(outline: Outline | null, tall: number): MotifShape {
  if (outline === null) {
    const half = tall / 2;
    return [
      [
        closed([
          [-0.5, -half],
          [0.5, -half],
          [0.5, half],
          [-0.5, half],
        ]),
      ],
    ];
  }
  const shape = shapeOf(outline);
  const ys = shape.flatMap(([line]) => line.map(([, y]) => y));
  const [low, high] = [Math.min(...ys), Math.max(...ys)];
  const up = (y: number) => ((y - (low + high) / 2) / (high - low)) * tall;
  return shape.map((polygon) => polygon.map((ring) => ring.map(([x, y]): Point => [x, up(y)])));
}
