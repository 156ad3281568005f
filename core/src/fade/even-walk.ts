import { deltaE2000, labOf, labOfXyz, xyzOf, type Lab, type Spectrum, type Triple } from '../colour';

const SAMPLES = 512;

/** Enough for ways of mixing, which bend gently: between these the light is off by less than a millionth. */
const NODES = 13;
const nodes = Array.from({ length: NODES }, (_, i) => (1 - Math.cos((Math.PI * i) / (NODES - 1))) / 2);
const weights = nodes.map((_, i) => (i % 2 === 0 ? 1 : -1) * (i === 0 || i === NODES - 1 ? 0.5 : 1));

/**
 * How much of each node's colour makes up every sample's: Chebyshev's points in barycentric form (Berrut & Trefethen,
 * "Barycentric Lagrange interpolation", SIAM Review 46, 2004). The same for every way, so worked out once.
 */
const shares: readonly (readonly number[])[] = Array.from({ length: SAMPLES + 1 }, (_, sample) => {
  const at = sample / SAMPLES;
  const on = nodes.findIndex((node) => Math.abs(at - node) < 1e-12);
  if (on >= 0) return nodes.map((_node, i) => (i === on ? 1 : 0));
  const row = nodes.map((node, i) => weights[i] / (at - node));
  const sum = row.reduce((total, one) => total + one, 0);
  return row.map((one) => one / sum);
});

function mixedXyz(known: readonly Triple[], row: readonly number[]): Triple {
  let [x, y, z] = [0, 0, 0];
  for (let i = 0; i < NODES; i += 1) {
    x += row[i] * known[i][0];
    y += row[i] * known[i][1];
    z += row[i] * known[i][2];
  }
  return [x, y, z];
}

export interface EvenWalk {
  /** Where along 0..1 the stops lie, equally far apart to the eye. */
  readonly at: readonly number[];
  /** CIEDE2000 length of the whole way. */
  readonly path: number;
  /** CIEDE2000 between its ends. */
  readonly ends: number;
}

/**
 * Walks a way of mixing and puts stops at equal perceived lengths.
 * @param stops how many, 2 or more
 * @param seenAt the colour seen at a share 0..1 of the way; it changes smoothly
 */
export function evenWalk(stops: number, seenAt: (share: number) => Spectrum): EvenWalk {
  const known = nodes.map((node) => xyzOf(seenAt(node)));
  return walkOf(
    stops,
    shares.map((row) => labOfXyz(mixedXyz(known, row))),
  );
}

/** The same with every sample worked out from its spectrum: what `evenWalk` is measured against. */
export function plainWalk(stops: number, seenAt: (share: number) => Spectrum): EvenWalk {
  return walkOf(
    stops,
    Array.from({ length: SAMPLES + 1 }, (_, i) => labOf(seenAt(i / SAMPLES))),
  );
}

function walkOf(stops: number, labs: readonly Lab[]): EvenWalk {
  const lengths = [0];
  for (let i = 1; i <= SAMPLES; i += 1) lengths.push(lengths[i - 1] + deltaE2000(labs[i - 1], labs[i]));
  const path = lengths[SAMPLES];
  const at = Array.from({ length: stops }, (_, stop) => {
    if (stop === 0) return 0;
    if (stop === stops - 1) return 1;
    const goal = (path * stop) / (stops - 1);
    const upper = Math.max(
      1,
      lengths.findIndex((length) => length >= goal),
    );
    const step = lengths[upper] - lengths[upper - 1];
    return (upper - 1 + (step === 0 ? 0 : (goal - lengths[upper - 1]) / step)) / SAMPLES;
  });
  return { at, path, ends: deltaE2000(labs[0], labs[SAMPLES]) };
}
