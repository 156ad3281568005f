import { countText, durationText } from '@aurantia/core';
import type { Bound, WeekPlan } from '@aurantia/core/week';
import { format } from 'date-fns';

const moment = (minute: number): string => format(minute * 60_000, 'EEEE d MMMM, HH:mm');

/** How a week goes, in a sentence. */
export function planText({ jobs, worth }: WeekPlan): string {
  const planned = jobs.filter(({ whyNot }) => whyNot === null);
  if (planned.length === 0) return jobs.length === 0 ? 'Nothing is to be made.' : 'Nothing of it can be planned.';
  const all = countText(
    planned.reduce((sum, { job }) => sum + job.cups, 0),
    'cup',
  );
  const due = planned.filter(({ job }) => job.due !== null).length;
  const inTime = worth.late > 0 ? `${worth.late} of ${countText(due, 'order')} late` : due > 0 ? 'all in time' : 'none is due';
  return `${all}, ${inTime}; the last is cured through ${moment(worth.end)}.`;
}

/** Before when no plan can end, and why. */
export function boundText({ end, why }: Bound, { worth }: WeekPlan): string {
  if (worth.end <= end) return `No plan can end sooner: ${because(why)}.`;
  return `No plan can end before ${format(end * 60_000, 'EEE d MMM, HH:mm')} (${because(why)}): this one is within ${durationText(worth.end - end)} of that.`;
}

/** Hours of work: days would be read as days of work. */
const hoursOf = (minutes: number): string => `${Math.round(minutes / 60).toLocaleString('en')} h`;

function because(why: Bound['why']): string {
  switch (why.kind) {
    case 'one job':
      return `${why.name} takes so long by itself, with its waits and nights`;
    case 'hands':
      return `hands have ${hoursOf(why.minutes)} of work till then`;
    case 'arms':
      return `${countText(why.arms, 'turner arm')} have ${hoursOf(why.minutes)} of turning till then`;
  }
}
