import type { Minute } from './job';
import type { Means, Block } from './means';
import { hoursOf, daysFrom, minuteOf, timeOf, type Zone } from './working-hours';
import type { PlannedJob, PlannedWork, WeekPlan } from './week-plan';

/** From and to, as shares of the time that is shown. */
export interface BoardSpan {
  readonly from: number;
  readonly to: number;
}

/** A step as it is drawn: hands on, then waiting, then a window that is open, then about to close. */
export interface BoardStep {
  readonly planned: PlannedWork;
  readonly hands: BoardSpan | null;
  readonly wait: BoardSpan | null;
  readonly open: BoardSpan | null;
  readonly closing: BoardSpan | null;
}

export interface BoardRow {
  readonly planned: PlannedJob;
  readonly steps: readonly BoardStep[];
  /** where it is due; null where it isn’t, or not in what is shown */
  readonly due: number | null;
}

/** A week drawn: hours across, cups down; all shares are of the time that is shown. */
export interface Board {
  readonly rows: readonly BoardRow[];
  /** when nobody’s hands are there */
  readonly away: readonly BoardSpan[];
  readonly days: readonly { readonly day: string; readonly share: number; readonly minute: Minute }[];
  readonly hours: readonly { readonly time: string; readonly share: number }[];
  readonly now: number | null;
}

export interface Shown {
  readonly from: Minute;
  readonly until: Minute;
  readonly now: Minute;
  readonly zone: Zone;
  readonly means: Means;
  readonly blocks: readonly Block[];
}

/** The last part of a window is when it is about to close; never more than so many minutes. */
const [CLOSING_SHARE, CLOSING_MOST] = [0.35, 45];

export function boardOf({ jobs }: WeekPlan, shown: Shown): Board {
  const { from, until, now } = shown;
  const share = (minute: Minute) => (minute - from) / (until - from);
  const span = (begins: Minute, ends: Minute): BoardSpan | null => {
    const [one, other] = [Math.max(begins, from), Math.min(ends, until)];
    return other > one ? { from: share(one), to: share(other) } : null;
  };
  const inside = (minute: Minute | null) => (minute !== null && minute >= from && minute <= until ? share(minute) : null);
  const step = (planned: PlannedWork, next: PlannedWork | undefined): BoardStep => {
    const { at, laid, ready, closes } = planned;
    const soon = closes === null ? ready : closes - Math.min(CLOSING_MOST, CLOSING_SHARE * (closes - ready));
    // A window is drawn until the next step is begun: then it no longer matters.
    const end = Math.min(closes ?? ready, next?.at ?? Infinity);
    return {
      planned,
      hands: span(at, laid),
      wait: span(laid, ready),
      open: closes === null ? null : span(ready, Math.min(soon, Math.max(end, ready))),
      closing: closes === null ? null : span(soon, closes),
    };
  };
  const rows = jobs.map((planned): BoardRow => ({
    planned,
    steps: planned.works
      .map((work, at) => step(work, planned.works.at(at + 1)))
      .filter(({ hands, wait, open }) => hands ?? wait ?? open),
    due: inside(planned.job.due),
  }));
  const days = Math.ceil((until - from) / (24 * 60)) + 2;
  return {
    rows,
    away: awayIn(shown, days).flatMap(({ from: begins, until: ends }) => span(begins, ends) ?? []),
    ...marks(shown, days, inside),
    now: inside(now),
  };
}

/** Minutes before anybody is up, and after everybody sleeps, that a workshop's day is drawn with. */
const MARGIN = 60;

/** From when until when a day is drawn, that begins at a midnight: as long as somebody is up or works. */
export function workshopDay(
  midnight: Minute,
  { wakes, sleeps }: { readonly wakes: string; readonly sleeps: string },
  { people }: Means,
  zone: Zone,
): { readonly from: Minute; readonly until: Minute } {
  const [{ day, weekday }] = daysFrom(midnight, 1, zone);
  const hours = people.flatMap(({ hours: all }) => all[weekday] ?? []);
  const up = sleeps > wakes ? { from: wakes, until: sleeps } : { from: '00:00', until: '23:59' };
  const first = [up.from, ...hours.map(({ from }) => from)].sort()[0];
  const last = [up.until, ...hours.map(({ until }) => until)].sort().reverse()[0];
  return { from: minuteOf(day, first, zone) - MARGIN, until: minuteOf(day, last, zone) + MARGIN };
}

/** When nobody is there: what is left of the time shown without anybody's hours. */
function awayIn({ from, until, zone, means, blocks }: Shown, days: number) {
  const there = means.people
    .flatMap((person) => hoursOf(person, blocks, { from: from - 24 * 60, days, zone }))
    .sort((one, other) => one.from - other.from);
  const away: { from: Minute; until: Minute }[] = [];
  let clear = from;
  for (const { from: begins, until: ends } of there) {
    if (begins > clear) away.push({ from: clear, until: Math.min(begins, until) });
    clear = Math.max(clear, ends);
  }
  if (clear < until) away.push({ from: clear, until });
  return away;
}

/** Days that begin, and hours on the wall: every third where less than three days are shown, else noon alone. */
function marks({ from, until, zone }: Shown, days: number, inside: (minute: Minute | null) => number | null) {
  const all = daysFrom(from, days, zone);
  const times = until - from <= 26 * 60 ? hoursBy(2) : until - from <= 75 * 60 ? ['06:00', '12:00', '18:00'] : ['12:00'];
  return {
    days: all.flatMap(({ day }) => {
      const minute = minuteOf(day, '00:00', zone);
      const share = inside(minute);
      return share === null || share > 0.995 ? [] : [{ day, share, minute }];
    }),
    hours: all.flatMap(({ day }) =>
      times.flatMap((time) => {
        const minute = minuteOf(day, time, zone);
        const share = inside(minute);
        return share === null ? [] : [{ time: timeOf(minute, zone), share }];
      }),
    ),
  };
}

const hoursBy = (step: number): readonly string[] =>
  Array.from({ length: 24 / step }, (_, at) => `${String(at * step).padStart(2, '0')}:00`).slice(1);
