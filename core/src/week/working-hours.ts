import { tz, TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import type { RoomPace } from './cure-clock';
import { FreeTime, type Span } from './free-time';
import type { Minute } from './job';
import type { Block, Means, Person } from './means';

/** An IANA time zone, `Europe/Paris`: what hours on the wall are hours of. */
export type Zone = string;

const MINUTE = 60_000;

/** What is looked up is kept: asking a zone for its offset is slow, and the same days come again and again. */
const MOST_KEPT = 20_000;

/** Minutes already looked up. */
const known = new Map<string, Minute>();

/** The minute that a wall clock shows a time on a day; what a change of summer time leaves out comes that much later. */
export function minuteOf(day: string, time: string, zone: Zone): Minute {
  const asked = `${zone} ${day} ${time}`;
  const found = known.get(asked);
  if (found !== undefined) return found;
  const [year, month, date] = day.split('-').map(Number);
  const [hours, minutes] = time.split(':').map(Number);
  const minute = Math.floor(new TZDate(year, month - 1, date, hours, minutes, zone).getTime() / MINUTE);
  if (known.size > MOST_KEPT) known.clear();
  known.set(asked, minute);
  return minute;
}

/** The day on the wall, `2026-11-30`, the time of day, `07:30`, and the day of the week, `Mon`, of a minute. */
export const dayOf = (minute: Minute, zone: Zone): string => wallOf(minute, zone).slice(0, 10);
export const timeOf = (minute: Minute, zone: Zone): string => wallOf(minute, zone).slice(11, 16);
export const weekdayOf = (minute: Minute, zone: Zone): string => wallOf(minute, zone).slice(17);

/** What the wall shows at minutes already looked up. */
const shown = new Map<string, string>();

function wallOf(minute: Minute, zone: Zone): string {
  const asked = `${zone} ${minute}`;
  const found = shown.get(asked);
  if (found !== undefined) return found;
  const wall = format(minute * MINUTE, 'yyyy-MM-dd HH:mm EEE', { in: tz(zone) });
  if (shown.size > MOST_KEPT) shown.clear();
  shown.set(asked, wall);
  return wall;
}

/** Days from the one a minute is on, with the day of the week each is, Monday 0. */
export function daysFrom(
  minute: Minute,
  many: number,
  zone: Zone,
): readonly { readonly day: string; readonly weekday: number }[] {
  // A calendar's days are the same everywhere: counted where each has 24 hours.
  const first = Date.parse(dayOf(minute, zone));
  return Array.from({ length: many }, (_, i) => {
    const day = new Date(first + i * 24 * 60 * MINUTE);
    return { day: day.toISOString().slice(0, 10), weekday: (day.getUTCDay() + 6) % 7 };
  });
}

/** When somebody's hands are there, over so many days from a minute on. */
export function hoursOf(
  person: Person,
  blocks: readonly Block[],
  { from, days, zone }: { readonly from: Minute; readonly days: number; readonly zone: Zone },
): readonly Span[] {
  const there = daysFrom(from, days, zone).flatMap(({ day, weekday }): readonly Span[] => {
    const hours = person.hours[weekday];
    if (hours === null) return [];
    const span = { from: Math.max(from, minuteOf(day, hours.from, zone)), until: minuteOf(day, hours.until, zone) };
    return span.from < span.until ? [span] : [];
  });
  const free = FreeTime.of(there);
  for (const block of blocks)
    if (block.person === null || block.person === person.id)
      free.book(minuteOf(block.from.day, block.from.time, zone), minuteOf(block.until.day, block.until.time, zone));
  return free.spans;
}

/** The pace of a room that is warmer or colder while everybody sleeps, over so many days: by day it is 1. */
export function pacesOf(
  { nightCelsius }: Pick<Means, 'nightCelsius'>,
  { celsius, wakes, sleeps }: { readonly celsius: number; readonly wakes: string; readonly sleeps: string },
  { from, days, zone }: { readonly from: Minute; readonly days: number; readonly zone: Zone },
): readonly RoomPace[] {
  // What cures goes twice as fast for every 10 °C: see `cureFactor`.
  const night = nightCelsius === null ? 1 : 2 ** ((nightCelsius - celsius) / 10);
  if (night === 1 || sleeps <= wakes) return [{ from, pace: 1 }];
  return daysFrom(from - 24 * 60, days + 2, zone).flatMap(({ day }) => [
    { from: minuteOf(day, wakes, zone), pace: 1 },
    { from: minuteOf(day, sleeps, zone), pace: night },
  ]);
}
