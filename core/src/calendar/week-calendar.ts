import { createEvents, type Alarm, type EventAttributes } from 'ics';
import { jobText, type Minute, type PlannedJob, type WeekPlan } from '../week';

/** Which of a week's work goes into a calendar: all of it, one person's, or one cup's. */
export interface CalendarWish {
  readonly person: string | null;
  readonly job: string | null;
}

/** The calendar can’t be written; the sentence says why. */
export class CalendarError extends Error {
  override readonly name = 'CalendarError';
}

/** Minutes before a begin, and before a window closes, that a calendar reminds of it. */
const [BEFORE_BEGIN, BEFORE_CLOSING] = [10, 20];

/**
 * A week's work as an iCalendar file (RFC 5545). Moments are in UTC, which every calendar shows in its own zone; each step keeps its
 * id, and a later file has a higher sequence, so that bringing it in again moves what is there.
 * @param now minutes since 1970, when it is written
 * @throws CalendarError where there is nothing to write
 */
export function weekCalendar(
  { jobs }: WeekPlan,
  { person, job }: CalendarWish,
  now: Minute,
  nameOf: (id: string) => string,
): string {
  const events = jobs.filter((one) => job === null || one.job.id === job).flatMap((one) => eventsOf(one, person, now, nameOf));
  if (events.length === 0) throw new CalendarError('Nothing of that is planned: there is nothing to put into a calendar.');
  const { error, value } = createEvents(events, { productId: 'aurantia', method: 'PUBLISH', calName: 'Aurantia' });
  if (typeof value !== 'string')
    throw new CalendarError(`The calendar can’t be written: ${error?.message ?? 'no reason is known'}.`);
  return value;
}

function eventsOf(
  { job, works, done, late }: PlannedJob,
  person: string | null,
  now: Minute,
  nameOf: (id: string) => string,
): readonly EventAttributes[] {
  const steps = works.flatMap((one, at): readonly EventAttributes[] => {
    if (one.work.hands === 0 || (person !== null && one.person !== person)) return [];
    const before = works.at(at - 1);
    const closes = at > 0 ? (before?.closes ?? null) : null;
    return [
      {
        ...shared(now),
        uid: `${job.id}/${one.work.key}@aurantia`,
        title: `${jobText(job)}: ${one.work.titles.join(', ')}`,
        start: one.at * 60_000,
        end: one.laid * 60_000,
        description: [
          ...(one.person === null ? [] : [nameOf(one.person)]),
          ...(closes === null ? [] : ['Lay it while the window is open.']),
          one.ready > one.laid ? 'Then it waits.' : 'Then go on at once.',
        ].join(' '),
        alarms: [
          reminder(one.at - BEFORE_BEGIN, one.at, 'Begins soon'),
          ...(closes === null ? [] : [reminder(Math.max(one.at, closes - BEFORE_CLOSING), one.at, 'The window closes soon')]),
        ],
      },
    ];
  });
  if (done === null || person !== null) return steps;
  return [
    ...steps,
    {
      ...shared(now),
      uid: `${job.id}/done@aurantia`,
      title: `${jobText(job)}: cured through`,
      start: done * 60_000,
      end: (done + 15) * 60_000,
      description: late > 0 ? 'After it was due.' : 'To hand over.',
      alarms: [],
    },
  ];
}

const shared = (now: Minute) =>
  ({
    startInputType: 'utc',
    startOutputType: 'utc',
    endInputType: 'utc',
    endOutputType: 'utc',
    sequence: now,
    lastModified: now * 60_000,
    status: 'CONFIRMED',
    busyStatus: 'BUSY',
    calName: 'Aurantia',
  }) as const satisfies Partial<EventAttributes>;

/** Reminders are told from the begin, so that an event moved by hand takes them along. */
const reminder = (at: Minute, begin: Minute, says: string): Alarm => ({
  action: 'display',
  description: says,
  trigger: { minutes: Math.abs(at - begin), before: at <= begin },
});
