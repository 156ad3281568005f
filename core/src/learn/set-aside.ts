import { learn, type Belief, type Measured } from './belief';

/** Standard deviations from what all others say, over which a reading is asked about. */
export const WILD = 3.5;

/** Readings that seem wild and are looked at truly, at a time. */
const LOOKED_AT = 3;

export interface LearntFrom<Reading extends Measured> {
  readonly belief: Belief;
  /** those that count, and those that are too far from what the others say */
  readonly counted: readonly Reading[];
  readonly aside: readonly Reading[];
}

/**
 * What is learnt when a slip of the hand is among the readings: the wildest is set aside, as long as one is over 3.5 standard
 * deviations from what the others say together with what was known before.
 * @param sure those that somebody was asked about and stands by: they count whatever the others say
 */
export function learnFrom<Reading extends Measured>(
  prior: Belief,
  readings: readonly Reading[],
  sure: (reading: Reading) => boolean = () => false,
): LearntFrom<Reading> {
  const counted = [...readings];
  const aside: Reading[] = [];
  let belief = prior;
  for (;;) {
    belief = learn(prior, counted, belief);
    const near = belief;
    // Chosen near the answer, the wildest first, then looked at truly without it: only what seems wild is worth that.
    const wildest = counted
      .filter((reading) => !sure(reading))
      .map((reading) => ({ reading, off: offOthers(reading, near) }))
      .filter((one) => one.off > WILD)
      .sort((one, other) => other.off - one.off)
      .slice(0, LOOKED_AT)
      .find(({ reading }) => off(reading, learn(prior, without(counted, reading), near)) > WILD);
    // The same to the last digit as if those set aside had never been there.
    if (!wildest) return { belief: aside.length === 0 ? belief : learn(prior, counted), counted, aside };
    counted.splice(counted.indexOf(wildest.reading), 1);
    aside.push(wildest.reading);
  }
}

const without = <Reading>(readings: readonly Reading[], left: Reading) => readings.filter((reading) => reading !== left);

/** How many standard deviations a reading is from what a belief expects of it, which is unsure itself. */
export function off({ observed, error, expected }: Measured, { value, spread }: Belief): number {
  const { reads, slope } = expected(value);
  return Math.abs(observed - reads) / Math.hypot(error, slope * value * spread);
}

/** The same from what is known without it, near enough to choose by: its pull is taken out in one step. */
function offOthers(reading: Measured, { value, spread }: Belief): number {
  const { observed, error, expected } = reading;
  const { reads, slope } = expected(value);
  const moves = (slope * value) / error;
  const left = 1 / spread ** 2 - moves ** 2;
  if (left <= 0) return Infinity;
  const shift = -(moves * (observed - reads)) / error / left;
  return off(reading, { value: value * Math.exp(shift), spread: 1 / Math.sqrt(left) });
}
