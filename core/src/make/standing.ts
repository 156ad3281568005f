import * as z from 'zod';
import { durationText } from '../units';
import { designIdSchema } from '../design';
import { makeIdSchema } from './make-id';

const moment = z.number().nullable();

/** What a make waits for, whatever the time is: moments in ms since 1970. */
export const standingSchema = z.strictObject({
  /** the coat that is being done, or comes next, from 0; null once all are */
  at: z.int().min(0).nullable(),
  of: z.int().min(0),
  title: z.string().nullable(),
  begun: moment,
  /** from when the next coat may follow, and until when it bonds by itself */
  opens: moment,
  closes: moment,
  givenUp: z.boolean(),
});
export type Standing = z.infer<typeof standingSchema>;

export type MakeState = 'planned' | 'at the bench' | 'waiting' | 'ready' | 'done' | 'given up';

/** @param now ms since 1970 */
export function stateAt({ at, begun, opens, givenUp }: Standing, now: number): MakeState {
  if (givenUp) return 'given up';
  // The last coat's own wait is part of the make: a cup that rests isn't done.
  if (at === null) return opens !== null && now < opens ? 'waiting' : 'done';
  if (begun !== null) return 'at the bench';
  if (opens === null) return 'planned';
  return now < opens ? 'waiting' : 'ready';
}

/** Whether the next coat came, or comes, after the one before it had closed. */
export const missedAt = ({ at, begun, closes }: Standing, now: number): boolean =>
  closes !== null && at !== null && (begun ?? now) > closes;

/** How a make stands, in a line: what it waits for, or what comes next. */
export function standingText(standing: Standing, now: number): string {
  const { title, at, opens, closes } = standing;
  const until = (to: number | null) => durationText(Math.max(1, Math.round(((to ?? now) - now) / 60_000)));
  switch (stateAt(standing, now)) {
    case 'given up':
      return 'Given up';
    case 'done':
      return 'Done';
    case 'planned':
      return `Not begun. First: ${title ?? ''}`;
    case 'at the bench':
      return `At the bench: ${title ?? ''}`;
    case 'waiting':
      return at === null ? `Cures for ${until(opens)} more` : `${title ?? ''} in ${until(opens)}`;
    case 'ready':
      if (missedAt(standing, now)) return `${title ?? ''}: the window has closed`;
      return closes === null ? `${title ?? ''}: ready` : `${title ?? ''}: ready, for ${until(closes)} more`;
  }
}

/** A make as it stands in a list. */
export const makeLineSchema = z.strictObject({
  id: makeIdSchema,
  designId: designIdSchema,
  name: z.string(),
  number: z.int(),
  cups: z.int(),
  label: z.string(),
  at: z.string(),
  standing: standingSchema,
});
export type MakeLine = z.infer<typeof makeLineSchema>;

/** Makes as a list is sent, with how many were found and the workshop's own clock. */
export const makeLinesSchema = z.strictObject({ now: z.number(), makes: z.array(makeLineSchema), found: z.int() });
export type MakeLines = z.infer<typeof makeLinesSchema>;
