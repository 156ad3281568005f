import { deltaE2000, labOf, type Lab, type Spectrum } from '../colour';

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
 * @param seenAt the colour seen at a share 0..1 of the way
 */
export function evenWalk(stops: number, seenAt: (share: number) => Spectrum): EvenWalk {
  const labs: Lab[] = Array.from({ length: SAMPLES + 1 }, (_, i) => labOf(seenAt(i / SAMPLES)));
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
