import type { PlannedCoat } from '../coats';
import type { Settings } from '../design';

/** When somebody is up to lay a coat, as times of day, `07:00`. */
export type WakingHours = Pick<Settings, 'wakes' | 'sleeps'>;

/** One coat by the clock. */
export interface TimedCoat {
  readonly coat: PlannedCoat;
  readonly begins: Date;
  /** hands off */
  readonly laid: Date;
  /** from when on the next may follow */
  readonly ready: Date;
  /** until when the next bonds by itself; null where it has no end */
  readonly closes: Date | null;
  /** minutes it stands ready before anybody is up to go on */
  readonly idle: number;
  /** the next coat comes only after it has closed: cure and sand instead */
  readonly missed: boolean;
}

export interface Timeline {
  readonly coats: readonly TimedCoat[];
  readonly begins: Date;
  readonly done: Date;
  readonly missed: number;
}

const MINUTE = 60_000;
const after = (date: Date, minutes: number): Date => new Date(date.getTime() + minutes * MINUTE);

/** A time of day on the day of a moment, so many days on. */
export function at(day: Date, time: string, daysOn = 0): Date {
  const [hours, minutes] = time.split(':').map(Number);
  const moment = new Date(day);
  moment.setDate(moment.getDate() + daysOn);
  moment.setHours(hours, minutes, 0, 0);
  return moment;
}

export const nextMidnight = (day: Date): Date => at(day, '00:00', 1);

/** From which moment on so much work can be done in one go while somebody is up; a day too short for it is begun in the morning. */
export function nextAwake(from: Date, work: number, { wakes, sleeps }: WakingHours): Date {
  const day = (at(from, sleeps).getTime() - at(from, wakes).getTime()) / MINUTE;
  // Who is up at all hours, or works at night, isn't held back.
  if (day <= 0) return from;
  if (from < at(from, wakes)) return at(from, wakes);
  if (after(from, Math.min(work, day)) <= at(from, sleeps)) return from;
  return from.getTime() === at(from, wakes).getTime() ? from : at(from, wakes, 1);
}

/**
 * Every coat by the clock: hands on only while somebody is up, waits through the night, and what follows at once in one
 * go with what it follows.
 */
export function timelineOf(coats: readonly PlannedCoat[], begin: Date, hours: WakingHours): Timeline {
  const timed: TimedCoat[] = [];
  let free = begin;
  let going = false;
  coats.forEach((coat, index) => {
    const begins = going || coat.handsOn === 0 ? free : nextAwake(free, workFrom(coats, index), hours);
    const before = timed.at(-1);
    if (before) {
      const idle = (begins.getTime() - before.ready.getTime()) / MINUTE;
      timed[index - 1] = { ...before, idle, missed: before.closes !== null && begins > before.closes };
    }
    const laid = after(begins, coat.handsOn);
    const ready = after(laid, coat.wait.minutes);
    const closes = coat.wait.closes === undefined ? null : after(laid, coat.wait.closes);
    timed.push({ coat, begins, laid, ready, closes, idle: 0, missed: false });
    free = ready;
    going = coat.wait.minutes === 0 && coat.handsOn > 0;
  });
  return {
    coats: timed,
    begins: timed.at(0)?.begins ?? begin,
    done: timed.at(-1)?.ready ?? begin,
    missed: timed.filter(({ missed }) => missed).length,
  };
}

/** Minutes of hands’ work from a coat on until one has to wait. */
function workFrom(coats: readonly PlannedCoat[], from: number): number {
  const end = coats.findIndex(({ wait }, index) => index >= from && wait.minutes > 0);
  return coats.slice(from, end < 0 ? coats.length : end + 1).reduce((sum, { handsOn }) => sum + handsOn, 0);
}

/** Half hours that a begin is put off by, at most: a whole day. */
const HALF_HOURS = 48;

/**
 * The begin, within a day from a moment, after which no window closes while everybody sleeps (or as few as can be), and
 * of those the one that is done first.
 */
export function bestBegin(coats: readonly PlannedCoat[], from: Date, hours: WakingHours): Timeline {
  const begun = Array.from({ length: HALF_HOURS }, (_, i) => timelineOf(coats, after(from, i * 30), hours));
  return begun.reduce((best, one) => {
    if (one.missed !== best.missed) return one.missed < best.missed ? one : best;
    return one.done < best.done ? one : best;
  });
}
