import type { Lab } from '../colour';

/** From and to. */
export type Interval = readonly [number, number];

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
const HUE_TERM_MOST = 1.93;

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

const awayFromBlue = (hue: number): number => Math.abs(((hue - 275 + 540 + 360) % 360) - 180);

/** The least ΔE00 that any colour of a cell can have from a target; 0 where the target lies in it. */
export function differenceAtLeast([L, a, b]: Lab, [cellL, cellA, cellB]: readonly [Interval, Interval, Interval]): number {
  const meanL = cellL.map((value) => (L + value) / 2);
  const light = awayFrom(cellL, L) / Math.max(lightWeight(meanL[0]), lightWeight(meanL[1]));

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
  const slack = radius < middle ? Math.asin(radius / middle) / RADIANS / 2 + Math.abs(shortTurn(hues[1] - hues[0])) : 180;
  const sure = slack < 60 && Math.abs(turn) < 120 && own[0] > 1e-9;
  const mean = hues[0] + turn / 2;
  const term = sure ? Math.min(HUE_TERM_MOST, hueTerm(mean) + HUE_TERM_SLOPE * slack) : HUE_TERM_MOST;
  const turned = blueTurn(meanChroma, sure ? awayFromBlue(mean) - slack : 0);

  const forChroma = 1 + 0.045 * meanChroma;
  const forHue = 1 + 0.015 * meanChroma * term;
  const apart = leastApart ** 2;
  const leg = Math.min(mostChroma ** 2, apart);
  // Hue weighs least, so the most of the distance that can be chroma is taken to be chroma.
  const flat = apart / forHue ** 2 - leg * (1 / forHue ** 2 - 1 / forChroma ** 2);
  return Math.sqrt(light ** 2 + (1 - turned) * Math.max(0, flat));
}

const nearestTo = ([from, to]: Interval, value: number): number => Math.min(to, Math.max(from, value));
const awayFrom = (interval: Interval, value: number): number => Math.abs(nearestTo(interval, value) - value);
const furthest = ([from, to]: Interval): number => Math.max(Math.abs(from), Math.abs(to));
const shortTurn = (degrees: number): number => ((((degrees + 180) % 360) + 360) % 360) - 180;
