/** A stretch of time a maker looks back over, by when things were kept last. */
export const keptSpans = [
  { value: 'any', name: 'any time' },
  { value: 'today', name: 'today' },
  { value: 'week', name: 'the last 7 days' },
  { value: 'month', name: 'the last 30 days' },
  { value: 'earlier', name: 'longer ago' },
] as const;
export type KeptSpan = (typeof keptSpans)[number]['value'];

/** Days for which what was removed is shown at home with its way back; after them it is still under “Kept safe”. */
export const DAYS_TO_UNDO = 30;

/** The midnight that a day begins with, so many days before another; by the maker's own clock. */
const midnight = (day: Date, before = 0): Date => new Date(day.getFullYear(), day.getMonth(), day.getDate() - before);

/** From when on and until when, ISO 8601; null for no end. A day begins at the maker's own midnight. */
export function momentsOf(span: KeptSpan, now: Date): { readonly since: string | null; readonly before: string | null } {
  const daysAgo = (days: number) => midnight(now, days).toISOString();
  switch (span) {
    case 'any':
      return { since: null, before: null };
    case 'today':
      return { since: daysAgo(0), before: null };
    case 'week':
      return { since: daysAgo(6), before: null };
    case 'month':
      return { since: daysAgo(DAYS_TO_UNDO - 1), before: null };
    case 'earlier':
      return { since: null, before: daysAgo(DAYS_TO_UNDO - 1) };
  }
}

/** How long something that was removed stands at home yet, in words. */
export function daysLeftText(removedAt: string, now: Date): string {
  // By midnights, as `momentsOf` counts; a day of 23 or 25 hours is one too.
  const gone = Math.round((midnight(now).getTime() - midnight(new Date(removedAt)).getTime()) / 86_400_000);
  const left = Math.max(0, DAYS_TO_UNDO - gone);
  const ago = gone === 0 ? 'today' : gone === 1 ? 'yesterday' : `${gone} days ago`;
  return `removed ${ago}, here ${left} more ${left === 1 ? 'day' : 'days'}`;
}
