import * as z from 'zod';
import { learn, type Belief, type Measured } from './belief';
import { abouts, before, measured, readingSchema, unknownOf } from './reading';
import { learnFrom, learnMore, off, type LearntFrom } from './set-aside';

const beliefSchema = z.object({ value: z.number(), spread: z.number() });

/** What its maker said of a reading when asked: nothing yet, that it stands, or that it was a slip and doesn't count. */
export const saidSchema = z.enum(['nothing', 'stands', 'slip']);

const keptSchema = z.object({ id: z.string(), /** ISO 8601 */ at: z.string(), reading: readingSchema, said: saidSchema });
/** A reading as it is kept. */
export type KeptReading = z.infer<typeof keptSchema>;

const knownSchema = z.object({
  /** as `unknownOf` has it */
  of: z.string(),
  about: z.enum(abouts),
  /** of the jar it is of; null where it is of this maker's hands */
  item: z.string().nullable(),
  before: beliefSchema,
  now: beliefSchema,
  /** the first first; `asked`: so far from all others that it is set aside until its maker says; `off`: in standard deviations */
  readings: z.array(keptSchema.extend({ state: z.enum(['counts', 'asked', 'slip']), off: z.number() })),
  /** what was known after each reading that counts, the first of them before any */
  course: z.array(beliefSchema),
});
/** All that is known of one unknown. */
export type Learnt = z.infer<typeof knownSchema>;

/** All that is known, as the workshop's memory sends it: with the name of each jar, and the make that each reading is from. */
export const learntSchema = z.object({
  learnt: z.array(knownSchema.extend({ name: z.string().nullable(), makes: z.record(z.string(), z.string()) })),
});
export type NamedLearnt = z.infer<typeof learntSchema>['learnt'][number];

type Heard = KeptReading & Measured;

/** What the readings of one unknown say together, in a form that more of them can be added to. */
export interface Learning {
  readonly prior: Belief;
  /** the first first, slips as well */
  readonly readings: readonly Heard[];
  readonly from: LearntFrom<Heard>;
}

/**
 * Takes readings of one unknown together. What was said of the first of them is gone on from, where it still holds: they are the
 * same readings, its maker says the same of them, and as much was known before.
 * @param value what was known of it before any
 */
export function learning(readings: readonly KeptReading[], value: number, soFar: Learning | null = null): Learning | null {
  const [first] = readings;
  if (!first) return null;
  const prior = before(first.reading.about, value);
  const known = soFar !== null && soFar.prior.value === value && isBeginning(soFar.readings, readings) ? soFar : null;
  const all = [...(known?.readings ?? []), ...readings.slice(known?.readings.length ?? 0).map(heardOf)];
  const counting = all.filter(({ said }) => said !== 'slip');
  const stands = ({ said }: Heard) => said === 'stands';
  return {
    prior,
    readings: all,
    from: known ? learnMore(prior, counting, known.from, stands) : learnFrom(prior, counting, stands),
  };
}

const isBeginning = (some: readonly KeptReading[], all: readonly KeptReading[]): boolean =>
  some.length <= all.length && some.every(({ id, said }, i) => id === all[i].id && said === all[i].said);

/** Field by field: objects that were copied are ten times slower to read, and these are read thousands of times. */
function heardOf({ id, at, said, reading }: KeptReading): Heard {
  const { observed, error, expected } = measured(reading);
  return { id, at, said, reading, observed, error, expected };
}

/** All that is known of an unknown, from what its readings say together. */
export function learntOf({ prior, readings, from }: Learning): Learnt {
  const [{ reading: first }] = readings;
  const asked = new Set(from.aside.map(({ id }) => id));
  const course: Belief[] = [prior];
  for (const one of from.counted) course.push(learn(course[course.length - 1], [one]));
  return {
    of: unknownOf(first),
    about: first.about,
    item: 'item' in first ? first.item : null,
    before: prior,
    now: from.belief,
    readings: readings.map((one) => ({
      ...{ id: one.id, at: one.at, reading: one.reading, said: one.said },
      state: one.said === 'slip' ? 'slip' : asked.has(one.id) ? 'asked' : 'counts',
      off: off(one, from.belief),
    })),
    course,
  };
}

/** One standard deviation either way of what is known. */
export const rangeOf = ({ value, spread }: Belief): readonly [low: number, high: number] => [
  value * Math.exp(-spread),
  value * Math.exp(spread),
];
