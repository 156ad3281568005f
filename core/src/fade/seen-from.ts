import { deltaE2000, labOfXyz, xyzOfLab, type Lab, type Triple } from '../colour';

/** How a fade looks to an eye so far off. */
export interface SeenFrom {
  /** m */
  readonly metres: number;
  /** ΔE00 between the colours furthest apart, and the widest step from pot to pot, as the eye still has them */
  readonly span: number;
  readonly step: number;
  readonly says: string;
}

/** Holding it, across a table, across a room. */
export const DISTANCES = [0.5, 2, 5] as const;

/**
 * Opponent colours and how far the eye blurs each: weights and spreads in degrees of the low-pass parts of S-CIELAB
 * (Zhang & Wandell, "A spatial extension of CIELAB", SID 1996), here along one line of the cup.
 */
const OPPONENT = [
  [0.279, 0.72, -0.107],
  [-0.449, 0.29, -0.077],
  [0.086, -0.59, 0.501],
] as const;
const BLUR = [
  [
    [0.921, 0.0283],
    [0.105, 0.133],
  ],
  [
    [0.531, 0.0392],
    [0.33, 0.494],
  ],
  [
    [0.488, 0.0536],
    [0.371, 0.386],
  ],
] as const;

/** ΔE00 that shows to who looks for it, and one that is plain. */
const SEEN = 5;
const PLAIN = 10;
/** Degrees that the eye parts two points by. */
const SHARP = 1 / 60;

/**
 * @param pots colours in order, and mm of wall each takes
 * @param flake mm across its flats, of the coarsest cut in it
 */
export function seenFrom(pots: readonly { readonly lab: Lab; readonly along: number }[], flake: number): readonly SeenFrom[] {
  return DISTANCES.map((metres) => {
    const mmOfDegree = metres * 1000 * Math.tan(Math.PI / 180);
    const labs = blurred(pots, mmOfDegree);
    const step = Math.max(0, ...labs.slice(1).map((lab, i) => deltaE2000(labs[i], lab)));
    const span = Math.max(0, ...labs.flatMap((one, i) => labs.slice(i + 1).map((other) => deltaE2000(one, other))));
    return {
      metres,
      span,
      step,
      says: `${change(span, step)}; ${flake > SHARP * mmOfDegree ? 'flakes glitter one by one' : 'flakes melt into the colour'}`,
    };
  });
}

const change = (span: number, step: number): string =>
  span < SEEN
    ? 'reads as one colour'
    : step >= PLAIN
      ? 'steps are seen'
      : step >= SEEN
        ? 'steps show if looked for'
        : 'a smooth change';

/** The colour the eye has in the middle of each pot, its neighbours blurred in. */
function blurred(pots: readonly { readonly lab: Lab; readonly along: number }[], mmOfDegree: number): readonly Lab[] {
  const edges = [0];
  for (const { along } of pots) edges.push(edges[edges.length - 1] + along);
  const colours = pots.map(({ lab }) => opponentOf(xyzOfLab(lab)));
  return pots.map((_, at) => {
    const middle = (edges[at] + edges[at + 1]) / 2;
    const mixed = BLUR.map((kernels, channel) => {
      let [sum, whole] = [0, 0];
      for (const [weight, spread] of kernels) {
        // exp(−(x/s)²): its integral is the error function. Beyond the ends the last colour goes on.
        const share = (mm: number) => normal((mm - middle) / (spread * mmOfDegree));
        colours.forEach((colour, i) => {
          const low = i === 0 ? 0 : share(edges[i]);
          const high = i === pots.length - 1 ? 1 : share(edges[i + 1]);
          sum += weight * (high - low) * colour[channel];
        });
        whole += weight;
      }
      return sum / whole;
    });
    return labOfXyz(xyzOfOpponent([mixed[0], mixed[1], mixed[2]]));
  });
}

const opponentOf = (xyz: Triple): Triple => {
  const [a, b, c] = OPPONENT.map((row) => row.reduce((sum, weight, i) => sum + weight * xyz[i], 0));
  return [a, b, c];
};

/** Cramer's rule. */
function xyzOfOpponent(seen: Triple): Triple {
  const column = (i: number): Triple => [OPPONENT[0][i], OPPONENT[1][i], OPPONENT[2][i]];
  const [x, y, z] = [column(0), column(1), column(2)];
  const whole = determinant(x, y, z);
  return [determinant(seen, y, z) / whole, determinant(x, seen, z) / whole, determinant(x, y, seen) / whole];
}

const determinant = (a: Triple, b: Triple, c: Triple): number =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) - b[0] * (a[1] * c[2] - a[2] * c[1]) + c[0] * (a[1] * b[2] - a[2] * b[1]);

/** Share of a bell exp(−x²) below x: Abramowitz & Stegun 7.1.26, off by less than 2e-7. */
function normal(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const tail = ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x);
  return x < 0 ? tail / 2 : 1 - tail / 2;
}
