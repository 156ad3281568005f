import type { Lab } from '../colour';

/** From and to. */
export type Interval = readonly [number, number];

/** A box of L*a*b*. */
export type Cell = readonly [Interval, Interval, Interval];

const halves = ([from, to]: Interval): readonly Interval[] => [
  [from, (from + to) / 2],
  [(from + to) / 2, to],
];
export const eighths = ([l, a, b]: Cell): readonly Cell[] =>
  halves(l).flatMap((one) => halves(a).flatMap((two) => halves(b).map((three): Cell => [one, two, three])));

const RADIANS = Math.PI / 180;

/* Terms of CIEDE2000 as in Sharma, Wu & Dalal, “The CIEDE2000 color-difference formula”, Color Research & Application 30, 2005. */
const lightWeight = (mean: number): number => 1 + (0.015 * (mean - 50) ** 2) / Math.sqrt(20 + (mean - 50) ** 2);
const strongChroma = (chroma: number): number => {
  const square = chroma * chroma;
  const seventh = square * square * square * chroma;
  return Math.sqrt(seventh / (seventh + 6103515625));
};
/** `Math.hypot` guards against overflow, which costs more than all the rest of a cell. */
const lengthOf = (x: number, y: number): number => Math.sqrt(x * x + y * y);
const greyFactor = (chroma: number): number => (1 - strongChroma(chroma)) / 2;
const hueTerm = (degrees: number): number =>
  1 -
  0.17 * Math.cos((degrees - 30) * RADIANS) +
  0.24 * Math.cos(2 * degrees * RADIANS) +
  0.32 * Math.cos((3 * degrees + 6) * RADIANS) -
  0.2 * Math.cos((4 * degrees - 63) * RADIANS);
/** The most its value changes by a degree: the sum of its terms’ slopes. */
const HUE_TERM_SLOPE = (0.17 + 2 * 0.24 + 3 * 0.32 + 4 * 0.2) * RADIANS;
const HUE_TERM_MOST = 1.5725;
const HUE_TERM_LEAST = 0.362;

/** The most that the hue and chroma terms can pull together, as a share of both: only blues have any of it. */
const blueTurn = (chroma: number, awayFromBlue: number): number =>
  strongChroma(chroma) * Math.sin(60 * RADIANS * Math.exp(-((Math.max(0, awayFromBlue) / 25) ** 2)));

/**
 * How far L, and a and b, can lie from a target within a difference. Each pass starts from a superset of what
 * is left, so the last one is a superset too. In (a′, b′) chroma and hue differences are the two legs of the
 * distance, and no weight is above that of chroma.
 */
export function labReach([L, a, b]: Lab, within: number): { L: number; ab: number } {
  let reachL = within * 1.75;
  for (let pass = 0; pass < 3; pass += 1)
    reachL = within * Math.max(lightWeight(Math.max(0, L - reachL / 2)), lightWeight(Math.min(100, L + reachL / 2)));
  let ab = Infinity;
  let turned = Math.sin(60 * RADIANS);
  for (let pass = 0; pass < 3; pass += 1) {
    const chroma = lengthOf(a, b);
    // The factor on a lies between 1 and 1.5, and falls with the mean chroma.
    const least = Number.isFinite(ab) ? greyFactor(chroma + ab / 2) : 0;
    const most = greyFactor(Math.max(0, chroma - ab / 2));
    const chromas = [least, most].map((factor) => lengthOf((1 + factor) * a, b));
    const pull = within / Math.sqrt(1 - turned);
    if (0.0225 * pull >= 1) return { L: reachL, ab: Infinity };
    ab = Math.min(ab, (pull * (1 + 0.045 * chromas[1])) / (1 - 0.0225 * pull));
    const hues = [least, most].map((factor) => Math.atan2(b, (1 + factor) * a) / RADIANS);
    const spread = ab < chromas[0] ? Math.asin(ab / chromas[0]) / RADIANS / 2 : 180;
    turned = blueTurn(chromas[1] + ab / 2, Math.min(...hues.map(awayFromBlue)) - spread - Math.abs(hues[0] - hues[1]));
  }
  return { L: reachL, ab };
}

/** The formula counts hues from 0 to 360 and doesn't go round: just past 0 nothing is blue at all. */
function furthestFromBlue(hue: number, slack: number): number {
  const counted = ((hue % 360) + 360) % 360;
  const [from, to] = [counted - slack, counted + slack];
  return from < 0 || to >= 360 ? 360 : Math.max(Math.abs(from - 275), Math.abs(to - 275));
}

const awayFromBlue = (hue: number): number => Math.abs(((hue - 275 + 540 + 360) % 360) - 180);

/**
 * The least ΔE00 that any colour of a cell can have from a target; 0 where the target lies in it.
 * @param enough nobody asks by how much it is more than this
 */
export function differenceAtLeast([L, a, b]: Lab, [cellL, cellA, cellB]: Cell, enough = Infinity): number {
  const meanL = cellL.map((value) => (L + value) / 2);
  const light = awayFrom(cellL, L) / Math.max(lightWeight(meanL[0]), lightWeight(meanL[1]));

  if (light > enough) return light;
  const chroma = lengthOf(a, b);
  const other: Interval = [lengthOf(nearestTo(cellA, 0), nearestTo(cellB, 0)), lengthOf(furthest(cellA), furthest(cellB))];
  const factors = [greyFactor((chroma + other[1]) / 2), greyFactor((chroma + other[0]) / 2)];
  const own = factors.map((factor) => lengthOf((1 + factor) * a, b));
  const stretchedA: Interval = [
    Math.min(...factors.map((factor) => (1 + factor) * cellA[0])),
    Math.max(...factors.map((factor) => (1 + factor) * cellA[1])),
  ];
  const theirs: Interval = [
    lengthOf(nearestTo(stretchedA, 0), nearestTo(cellB, 0)),
    lengthOf(furthest(stretchedA), furthest(cellB)),
  ];

  const mostChroma = Math.max(theirs[1] - own[0], own[1] - theirs[0]);
  // The stretched a of both share one factor, so their difference is stretched by it too.
  const leastApart = lengthOf((1 + factors[0]) * awayFrom(cellA, a), awayFrom(cellB, b));
  const meanChroma = (own[1] + theirs[1]) / 2;

  const hues = factors.map((factor) => Math.atan2(b, (1 + factor) * a) / RADIANS);
  const centre = Math.atan2((cellB[0] + cellB[1]) / 2, (stretchedA[0] + stretchedA[1]) / 2) / RADIANS;
  const radius = lengthOf(stretchedA[1] - stretchedA[0], cellB[1] - cellB[0]) / 2;
  const middle = lengthOf((cellB[0] + cellB[1]) / 2, (stretchedA[0] + stretchedA[1]) / 2);
  const turn = shortTurn(centre - hues[0]);
  const spread = Math.abs(shortTurn(hues[1] - hues[0]));
  const cone = radius < middle ? Math.asin(radius / middle) / RADIANS : 180;
  const slack = cone / 2 + spread;
  const sure = slack < 60 && Math.abs(turn) < 120 && own[0] > 1e-9;
  const mean = hues[0] + turn / 2;
  const term = sure ? Math.min(HUE_TERM_MOST, hueTerm(mean) + HUE_TERM_SLOPE * slack) : HUE_TERM_MOST;
  const blue = sure ? awayFromBlue(mean) : 0;
  const turned = blueTurn(meanChroma, blue - slack);

  const forChroma = 1 + 0.045 * meanChroma;
  const forHue = 1 + 0.015 * meanChroma * term;
  const apart = leastApart ** 2;
  const leg = Math.min(mostChroma ** 2, apart);
  // Hue weighs least, so the most of the distance that can be chroma is taken to be chroma.
  const flat = apart / forHue ** 2 - leg * (1 / forHue ** 2 - 1 / forChroma ** 2);
  const least = (1 - turned) * Math.max(0, flat);
  const known = Math.sqrt(light ** 2 + least);
  if (!sure || known > enough) return known;

  // In a small cell both legs are known by their sign, and with it what the turn of the blues takes or gives.
  const leastMean = (own[0] + theirs[0]) / 2;
  const chromas = over([theirs[0] - own[1], theirs[1] - own[0]], [1 + 0.045 * leastMean, forChroma]);
  const hueEnds = [turn - cone - spread, turn + cone + spread].map(
    (degrees) => 2 * Math.sin(Math.max(-90, Math.min(90, degrees / 2)) * RADIANS),
  );
  const products = [Math.sqrt(own[0] * theirs[0]), Math.sqrt(own[1] * theirs[1])];
  const leastTerm = Math.max(HUE_TERM_LEAST, hueTerm(mean) - HUE_TERM_SLOPE * slack);
  const legs = over(
    [hueEnds[0] * products[hueEnds[0] > 0 ? 0 : 1], hueEnds[1] * products[hueEnds[1] > 0 ? 1 : 0]],
    [1 + 0.015 * leastMean * leastTerm, forHue],
  );
  const turnedLeast = blueTurn(leastMean, furthestFromBlue(mean, slack));
  return Math.sqrt(light ** 2 + Math.max(least, leastForm(chromas, legs, 2 * turned, 2 * turnedLeast)));
}

/** A range over a range of what is above zero. */
const over = ([from, to]: Interval, [least, most]: Interval): Interval => [
  from / (from > 0 ? most : least),
  to / (to > 0 ? least : most),
];

/** The least of `x² + y² − t·x·y` over a box, `t` at its most where the product is above zero and at its least where it is below. */
function leastForm(xs: Interval, ys: Interval, most: number, least: number): number {
  if (xs[0] <= 0 && xs[1] >= 0 && ys[0] <= 0 && ys[1] >= 0) return 0;
  const form = (x: number, y: number): number => x * x + y * y - (x * y > 0 ? most : least) * x * y;
  let found = Infinity;
  for (const x of xs) for (const y of [0, (most * x) / 2]) found = Math.min(found, form(x, nearestTo(ys, y)));
  for (const y of ys) for (const x of [0, (most * y) / 2]) found = Math.min(found, form(nearestTo(xs, x), y));
  return found;
}

const nearestTo = ([from, to]: Interval, value: number): number => Math.min(to, Math.max(from, value));
const awayFrom = (interval: Interval, value: number): number => Math.abs(nearestTo(interval, value) - value);
const furthest = ([from, to]: Interval): number => Math.max(Math.abs(from), Math.abs(to));
const shortTurn = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;
