import * as z from 'zod';
import { learn, type Belief } from './belief';
import { abouts, before, measured, readingSchema, unknownOf } from './reading';
import { learnFrom, off } from './set-aside';

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

/**
 * What all readings of one unknown teach.
 * @param value what was known of it before any
 */
export function learntFrom(readings: readonly KeptReading[], value: number): Learnt | null {
  const [first] = readings;
  if (!first) return null;
  const { about } = first.reading;
  const prior = before(about, value);
  const all = readings.map((kept) => ({ ...kept, ...measured(kept.reading) }));
  const heard = all.filter(({ said }) => said !== 'slip');
  const { belief, aside, counted } = learnFrom(prior, heard, ({ said }) => said === 'stands');
  const asked = new Set(aside.map(({ id }) => id));
  const course: Belief[] = [prior];
  for (const one of counted) course.push(learn(course[course.length - 1], [one]));
  return {
    of: unknownOf(first.reading),
    about,
    item: 'item' in first.reading ? first.reading.item : null,
    before: prior,
    now: belief,
    readings: all.map(({ id, at, reading, said, ...one }) => ({
      ...{ id, at, reading, said },
      state: said === 'slip' ? 'slip' : asked.has(id) ? 'asked' : 'counts',
      off: off(one, belief),
    })),
    course,
  };
}

/** One standard deviation either way of what is known. */
export const rangeOf = ({ value, spread }: Belief): readonly [low: number, high: number] => [
  value * Math.exp(-spread),
  value * Math.exp(spread),
];
