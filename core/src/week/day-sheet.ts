import type { Units } from '../units';
import { jobText, type Minute } from './job';
import { sharedMixTexts, workKey } from './mixes';
import type { WeekPlan } from './week-plan';
import { daysFrom, minuteOf, timeOf, weekdayOf, type Zone } from './working-hours';

/** A line of a day's sheet: one step, or a cup that is done. */
export interface SheetLine {
  /** whose line it is, and of which work; null of a cup that is done */
  readonly job: string;
  readonly work: string | null;
  readonly at: Minute;
  /** `08:00` and `08:25`; the end is empty of what takes no time */
  readonly from: string;
  readonly until: string;
  readonly who: string;
  readonly cup: string;
  readonly does: string;
  /** what it waits for after, and until when the next has to have begun */
  readonly then: string;
}

/** How a day is read. */
export interface DayRead {
  /** `2026-11-30` */
  readonly day: string;
  readonly zone: Zone;
  readonly units: Units;
  /** what a person is called */
  readonly nameOf: (person: string) => string;
}

/** All that hands do on a day, in the order of time. */
export function daySheet({ jobs }: WeekPlan, { day, zone, units, nameOf }: DayRead): readonly SheetLine[] {
  const midnight = minuteOf(day, '00:00', zone);
  const [, tomorrow] = daysFrom(midnight, 2, zone);
  const next = minuteOf(tomorrow.day, '00:00', zone);
  const isOnIt = (minute: Minute) => minute >= midnight && minute < next;
  const clock = (minute: Minute) => timeOf(minute, zone);
  const moment = (minute: Minute) => (isOnIt(minute) ? clock(minute) : `${weekdayOf(minute, zone)} ${clock(minute)}`);
  const shared = sharedMixTexts(jobs, units);
  const lines = jobs.flatMap(({ job, works, done, late }): readonly SheetLine[] => {
    const steps = works.flatMap((one, at): readonly SheetLine[] => {
      if (one.work.hands === 0 || !isOnIt(one.at)) return [];
      const mix = shared.get(workKey(job.id, one.work.key));
      const before = works.at(at - 1);
      const closing = at > 0 && before?.closes != null ? ` Begin before ${moment(before.closes)}.` : '';
      const onePot = mix === undefined ? '' : ` ${mix}`;
      const waits = one.ready > one.laid ? `ready ${moment(one.ready)}` : 'go on at once';
      return [
        {
          job: job.id,
          work: one.work.key,
          at: one.at,
          from: clock(one.at),
          until: clock(one.laid),
          who: one.person === null ? '' : nameOf(one.person),
          cup: jobText(job),
          does: `${one.work.titles.join(', then ')}.${closing}${onePot}`,
          then: one.closes === null ? waits : `${waits}, next before ${moment(one.closes)}`,
        },
      ];
    });
    const ends = done !== null && isOnIt(done) ? [done] : [];
    const over = ends.map((at): SheetLine => ({
      job: job.id,
      work: null,
      at,
      from: clock(at),
      until: '',
      who: '',
      cup: jobText(job),
      does: 'Cured through.',
      then: late > 0 ? 'late' : 'to hand over',
    }));
    return [...steps, ...over];
  });
  return lines.sort((one, other) => one.at - other.at);
}
