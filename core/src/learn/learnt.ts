import * as z from 'zod';
import { learn, type Belief } from './belief';
import { abouts, before, measured, readingSchema, unknownOf, type About, type Reading } from './reading';
import { learnFrom, off } from './set-aside';

/** A reading as it is kept. */
export interface KeptReading {
  readonly id: string;
  /** ISO 8601 */
  readonly at: string;
  readonly reading: Reading;
  /** `stands`: its maker was asked and is sure of it; `slip`: was asked, and it doesn't count */
  readonly said: 'nothing' | 'stands' | 'slip';
}

/** A reading, and what became of it. */
export interface WeighedReading extends KeptReading {
  /** `asked`: so far from all others that it is set aside until its maker says */
  readonly state: 'counts' | 'asked' | 'slip';
  /** standard deviations from what is known */
  readonly off: number;
}

/** All that is known of one unknown. */
export interface Learnt {
  /** as `unknownOf` has it */
  readonly of: string;
  readonly about: About;
  /** of the jar it is of; null where it is of this maker's hands */
  readonly item: string | null;
  readonly before: Belief;
  readonly now: Belief;
  /** the first first */
  readonly readings: readonly WeighedReading[];
  /** what was known after each reading that counts, the first of them before any */
  readonly course: readonly Belief[];
}

/**
 * What all readings of one unknown teach.
 * @param value what was known of it before any
 */
export function learntFrom(readings: readonly KeptReading[], value: number): Learnt | null {
  const [first] = readings;
  if (!first) return null;
  const { about } = first.reading;
  const prior = before(about, value);
  const heard = readings
    .filter(({ said }) => said !== 'slip')
    .map(({ id, said, reading }) => ({ id, said, ...measured(reading) }));
  const { belief, aside, counted } = learnFrom(prior, heard, ({ said }) => said === 'stands');
  const asked = new Set(aside.map(({ id }) => id));
  const course = [prior];
  for (const one of counted) course.push(learn(course[course.length - 1], [one]));
  return {
    of: unknownOf(first.reading),
    about,
    item: 'item' in first.reading ? first.reading.item : null,
    before: prior,
    now: belief,
    readings: readings.map((one) => ({
      ...one,
      state: one.said === 'slip' ? 'slip' : asked.has(one.id) ? 'asked' : 'counts',
      off: off(measured(one.reading), belief),
    })),
    course,
  };
}

const belief = z.object({ value: z.number(), spread: z.number() });

/** All that is known, as the workshop's memory sends it: with the name of each jar, and the make that each reading is from. */
export const learntSchema = z.object({
  learnt: z.array(
    z.object({
      of: z.string(),
      about: z.enum(abouts),
      item: z.string().nullable(),
      name: z.string().nullable(),
      before: belief,
      now: belief,
      readings: z.array(
        z.object({
          id: z.string(),
          at: z.string(),
          reading: readingSchema,
          said: z.enum(['nothing', 'stands', 'slip']),
          state: z.enum(['counts', 'asked', 'slip']),
          off: z.number(),
        }),
      ),
      course: z.array(belief),
      makes: z.record(z.string(), z.string()),
    }),
  ),
});
export type NamedLearnt = z.infer<typeof learntSchema>['learnt'][number];
