import { randomStream } from '../random';
import { circumferenceAt, heightOf, type Station } from '../vessel';

/** How colour is laid into a wet film: lines foot to rim, rings, lines along an edge, or drops. */
export type LayingWay = 'up' | 'round' | 'edge' | 'drops';

/** What a hand lays. */
export interface Laying {
  readonly way: LayingWay;
  /** lines or drops, the pots by turns */
  readonly count: number;
  /** heights of the wall it keeps between, mm; null where it goes over both edges */
  readonly reach: { readonly from: number; readonly to: number } | null;
  /** degrees that lines foot to rim lean to the right */
  readonly slope: number;
  /** mm that a line goes astray to either side */
  readonly wander: number;
  /** height of the edge at evenly shared angles from the seam, null where there is none; for lines along it alone */
  readonly edge: readonly (number | null)[] | null;
  /** mm between lines along an edge */
  readonly apart: number;
  readonly seed: number;
}

/** One line as it is laid: points of the wall, angle ° and height mm; a drop is a line of one point. */
export interface LaidLine {
  readonly points: readonly (readonly [number, number])[];
  /** whether its beginning and its end lie on the wall, where what still falls makes a head */
  readonly stops: readonly [boolean, boolean];
}

/** mm between two points of a line; degrees round a ring */
const EVERY = 3;
const DEGREES = 2;
/** Wavelengths that a hand wanders in, mm. */
const WAVES = [38, 67, 120] as const;

/** The lines of a hand, in the order they are laid; the same for the same seed. */
export function laidLines(laying: Laying, stations: readonly Station[]): readonly LaidLine[] {
  const { from, to } = reachOf(laying, stations);
  // Between heights that this cup doesn't reach nothing is laid.
  if (laying.way !== 'edge' && to <= from) return [];
  switch (laying.way) {
    case 'up':
      return linesUp(laying, stations);
    case 'round':
      return rings(laying, stations);
    case 'edge':
      return linesAlong(laying);
    case 'drops':
      return drops(laying, stations);
  }
}

const reachOf = ({ reach }: Pick<Laying, 'reach'>, stations: readonly Station[]) => {
  const top = heightOf({ stations });
  const [from, to] = reach === null ? [0, top] : [Math.min(reach.from, top), Math.min(reach.to, top)];
  return { from, to, top };
};

/** Whether lines foot to rim begin and end on the wall, and not past its edges, a hand's tremor aside. */
export function endsOnWall(laying: Pick<Laying, 'reach'>, stations: readonly Station[]): readonly [boolean, boolean] {
  const { from, to, top } = reachOf(laying, stations);
  return [from > EVERY, to < top - EVERY];
}

function linesUp(laying: Laying, stations: readonly Station[]): readonly LaidLine[] {
  const { from, to } = reachOf(laying, stations);
  const stops = endsOnWall(laying, stations);
  const random = randomStream(laying.seed);
  return Array.from({ length: laying.count }, (_, i) => {
    const strays = wandering(laying.wander, random);
    const middle = ((i + 0.5) * 360) / laying.count;
    const many = Math.max(2, Math.ceil((to - from) / EVERY) + 1);
    const points = Array.from({ length: many }, (_unused, n): [number, number] => {
      const height = from + ((to - from) * n) / (many - 1);
      const aside = Math.tan((laying.slope * Math.PI) / 180) * (height - (from + to) / 2) + strays(height);
      return [middle + (aside * 360) / circumferenceAt(stations, height), height];
    });
    return { points, stops };
  });
}

function rings(laying: Laying, stations: readonly Station[]): readonly LaidLine[] {
  const { from, to } = reachOf(laying, stations);
  const random = randomStream(laying.seed);
  return Array.from({ length: laying.count }, (_, i) => {
    const height = from + ((i + 0.5) * (to - from)) / laying.count;
    const phases = [2, 3, 5].map((waves) => ({
      waves,
      phase: random() * 2 * Math.PI,
      part: laying.wander / Math.sqrt(waves) / 1.7,
    }));
    const points = Array.from({ length: 360 / DEGREES + 1 }, (_unused, n): [number, number] => {
      const angle = n * DEGREES;
      const astray = phases.reduce(
        (sum, { waves, phase, part }) => sum + part * Math.sin((waves * angle * Math.PI) / 180 + phase),
        0,
      );
      return [angle, Math.min(to, Math.max(from, height + astray))];
    });
    return { points, stops: [false, false] };
  });
}

function linesAlong({ edge, count, apart, wander, seed }: Laying): readonly LaidLine[] {
  if (edge === null) return [];
  const random = randomStream(seed);
  const closed = edge.every((height) => height !== null);
  return Array.from({ length: count }, (_, line) => line * apart).flatMap((above): readonly LaidLine[] => {
    const strays = wandering(wander, random);
    const runs: [number, number][][] = [[]];
    edge.forEach((height, n) => {
      if (height !== null) runs[runs.length - 1].push([(n * 360) / edge.length, height + above + strays(n * EVERY)]);
      else if (runs[runs.length - 1].length > 0) runs.push([]);
    });
    const whole = runs.filter((points) => points.length > 1);
    if (closed && whole.length === 1) {
      const [[, height]] = whole[0];
      return [{ points: [...whole[0], [360, height] as const], stops: [false, false] as const }];
    }
    return whole.map((points) => ({ points, stops: [true, true] as const }));
  });
}

function drops(laying: Laying, stations: readonly Station[]): readonly LaidLine[] {
  const { from, to } = reachOf(laying, stations);
  const random = randomStream(laying.seed);
  // As many to a stretch of height as it is wide: a drop that falls where it is narrow is thrown again.
  const widest = Math.max(...stations.map(({ circumference }) => circumference));
  return Array.from({ length: laying.count }, () => {
    for (;;) {
      const height = from + random() * (to - from);
      if (random() * widest <= circumferenceAt(stations, height))
        return { points: [[random() * 360, height]], stops: [false, false] };
    }
  });
}

/** How far a hand is astray along its way, mm: waves of several lengths, at most so much to either side. */
function wandering(most: number, random: () => number): (along: number) => number {
  const waves = WAVES.map((length) => ({ length: length * (0.8 + 0.4 * random()), phase: random() * 2 * Math.PI }));
  return (along) =>
    (most / WAVES.length) * waves.reduce((sum, { length, phase }) => sum + Math.sin((2 * Math.PI * along) / length + phase), 0);
}
