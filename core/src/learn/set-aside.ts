import { learn, type Belief, type Measured } from './belief';

/** Standard deviations from what all others say, over which a reading is asked about. */
export const WILD = 3.5;

/** Readings that seem wild and are looked at truly, at a time. */
const LOOKED_AT = 3;

/** Of so few, which one is wild depends on which was looked at first; all of them are looked at within a millisecond or two. */
const FEW = 50;

/** How near an answer is looked for that only says which reading is wild: a ten thousandth of it. */
const ROUGHLY = 1e-4;

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
  return onceSetAside(prior, { belief: prior, counted: readings, aside: [] }, sure);
}

/**
 * The same where the first of the readings were learnt from already: only the others are taken in. All are looked at anew if one
 * that was set aside seems sound beside them.
 * @param known what `learnFrom` said of the first of `readings`, with the same prior and the same ones stood by
 */
export function learnMore<Reading extends Measured>(
  prior: Belief,
  readings: readonly Reading[],
  known: LearntFrom<Reading>,
  sure: (reading: Reading) => boolean = () => false,
): LearntFrom<Reading> {
  if (readings.length <= FEW) return learnFrom(prior, readings, sure);
  const more = readings.slice(known.counted.length + known.aside.length);
  const learnt = onceSetAside(prior, { ...known, counted: [...known.counted, ...more] }, sure);
  const soundNow = known.aside.some((reading) => off(reading, learnt.belief) <= WILD);
  return soundNow ? learnFrom(prior, readings, sure) : learnt;
}

function onceSetAside<Reading extends Measured>(
  prior: Belief,
  known: LearntFrom<Reading>,
  sure: (reading: Reading) => boolean,
): LearntFrom<Reading> {
  const counted = [...known.counted];
  const aside = [...known.aside];
  let near = known.belief;
  for (;;) {
    near = learn(prior, counted, near, ROUGHLY);
    const wildest = wildestOf(prior, counted, near, sure);
    // Looked for from a rounded value: the same to the last digit however it was come by, from few readings more or from all.
    if (!wildest) return { belief: learn(prior, counted, { ...near, value: Number(near.value.toPrecision(3)) }), counted, aside };
    counted.splice(counted.indexOf(wildest), 1);
    aside.push(wildest);
  }
}

/** Chosen near the answer, the wildest first, then looked at truly without it: only what seems wild is worth that. */
function wildestOf<Reading extends Measured>(
  prior: Belief,
  counted: readonly Reading[],
  near: Belief,
  sure: (reading: Reading) => boolean,
): Reading | undefined {
  return counted
    .filter((reading) => !sure(reading))
    .map((reading) => ({ reading, off: offOthers(reading, near) }))
    .filter((one) => one.off > WILD)
    .sort((one, other) => other.off - one.off)
    .slice(0, LOOKED_AT)
    .find(({ reading }) => off(reading, learn(prior, without(counted, reading), near, ROUGHLY)) > WILD)?.reading;
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
