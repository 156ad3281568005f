import type { Person } from './means';

type DayHours = Person['hours'][number];

const HOURS = /^([01]?\d|2[0-3])(?:[:.]([0-5]\d))?\s*[–—-]\s*([01]?\d|2[0-3])(?:[:.]([0-5]\d))?$/;
const two = (text: string | undefined): string => (text ?? '0').padStart(2, '0');

/** A day’s hours as they are typed: `8–18`, `08:30-17:00`; nothing is a day off. */
export function typedHours(
  text: string,
): { readonly ok: true; readonly hours: DayHours } | { readonly ok: false; readonly sentence: string } {
  const typed = text.trim();
  if (typed === '' || /^(off|free|–|-)$/i.test(typed)) return { ok: true, hours: null };
  const found = HOURS.exec(typed);
  if (!found) return { ok: false, sentence: 'Write hours as 08:00–18:00, or nothing on a day off.' };
  const hours = { from: `${two(found[1])}:${two(found[2])}`, until: `${two(found[3])}:${two(found[4])}` };
  return hours.from < hours.until
    ? { ok: true, hours }
    : { ok: false, sentence: 'A day ends after it began: nobody works past midnight.' };
}

/** The same to read. */
export const hoursText = (hours: DayHours): string =>
  hours === null ? '' : `${shortTime(hours.from)}–${shortTime(hours.until)}`;

/** `8` for 08:00, `21:30` for half past nine. */
const shortTime = (time: string): string => time.replace(/^0/, '').replace(/:00$/, '');
