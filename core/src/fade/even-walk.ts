import { deltaE2000, labOf, labOfXyz, xyzOf, type Lab, type Spectrum } from '../colour';

const SAMPLES = 512;

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
  return walkOf(stops, smoothly(seenAt));
}

/** The same with every sample worked out from its spectrum: what `evenWalk` is measured against. */
export function plainWalk(stops: number, seenAt: (share: number) => Spectrum): EvenWalk {
  return walkOf(stops, (share) => labOf(seenAt(share)));
}

function walkOf(stops: number, labAt: (share: number) => Lab): EvenWalk {
  const labs: Lab[] = Array.from({ length: SAMPLES + 1 }, (_, i) => labAt(i / SAMPLES));
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

/** Enough for ways of mixing, which bend gently: between these the light is off by less than a millionth. */
const NODES = 13;
const nodes = Array.from({ length: NODES }, (_, i) => (1 - Math.cos((Math.PI * i) / (NODES - 1))) / 2);
const weights = nodes.map((_, i) => (i % 2 === 0 ? 1 : -1) * (i === 0 || i === NODES - 1 ? 0.5 : 1));

/**
 * The colour along the way from a few spectra: X, Y and Z each through Chebyshev's points (barycentric form:
 * Berrut & Trefethen, "Barycentric Lagrange interpolation", SIAM Review 46, 2004).
 */
function smoothly(seenAt: (share: number) => Spectrum): (share: number) => Lab {
  const known = nodes.map((node) => xyzOf(seenAt(node)));
  return (share) => {
    let [x, y, z, sum] = [0, 0, 0, 0];
    for (let i = 0; i < NODES; i += 1) {
      const off = share - nodes[i];
      if (Math.abs(off) < 1e-12) return labOfXyz(known[i]);
      const weight = weights[i] / off;
      x += weight * known[i][0];
      y += weight * known[i][1];
      z += weight * known[i][2];
      sum += weight;
    }
    return labOfXyz([x / sum, y / sum, z / sum]);
  };
}
