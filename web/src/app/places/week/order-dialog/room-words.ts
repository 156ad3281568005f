import { durationText } from '@aurantia/core';
import { orderOfJob, type Order } from '@aurantia/core/order';
import { jobText, whyNotText } from '@aurantia/core/week';
import { format } from 'date-fns';
import type { WeekRoom } from '../../../workers/week-request';

/** Whether there is time, in sentences: whether it is, when it is begun at the latest, and what becomes of the others. */
export interface RoomWords {
  readonly fits: boolean;
  readonly says: string;
  readonly begin: string;
  readonly others: readonly string[];
}

const moment = (minute: number): string => format(minute * 60_000, 'EEE d MMM, HH:mm');

export function roomWords({ starts, plan, without }: WeekRoom, order: Order): RoomWords {
  const own = plan.jobs.filter(({ job }) => orderOfJob(job.id)?.order === order.id);
  const never = own.find(({ whyNot }) => whyNot !== null)?.whyNot;
  const done = Math.max(0, ...own.map((one) => one.done ?? 0));
  const late = Math.max(0, ...own.map((one) => one.late));
  const due = own.at(0)?.job.due ?? null;
  const was = new Map(without.jobs.map((one) => [one.job.id, one]));
  const others = plan.jobs
    .filter(({ job, late: by }) => by > 0 && was.get(job.id)?.late === 0)
    .map((one) => `${jobText(one.job)} would be ${durationText(one.late)} late then.`);
  return {
    fits: never === undefined && late === 0 && others.length === 0,
    says: never ? whyNotText(never) : timeText(done, late, due, own.length),
    begin: never ? '' : beginText(starts, due),
    others,
  };
}

function timeText(done: number, late: number, due: number | null, batches: number): string {
  const after = batches > 1 ? `, in ${batches} goes` : '';
  if (late > 0) return `Not in time: done ${moment(done)}, ${durationText(late)} late${after}.`;
  if (due === null) return `Done ${moment(done)}${after}, if it is begun as soon as there is room.`;
  return `There is time: done ${moment(done)}, ${durationText(due - done)} before it is due${after}.`;
}

function beginText(starts: WeekRoom['starts'], due: number | null): string {
  if (due === null) return '';
  const safe = starts.filter(({ at }) => at !== null);
  const [first] = [...safe].sort((one, other) => (one.at ?? 0) - (other.at ?? 0));
  if (!first || safe.length < starts.length)
    return 'With everything else left where it is, there is no start that is soon enough.';
  return `Begin ${moment(first.at ?? 0)} at the latest, with everything else left where it is${tightText(first.tightest)}.`;
}

const tightText = (tightest: WeekRoom['starts'][number]['tightest']): string =>
  tightest === null || !Number.isFinite(tightest.slack)
    ? ''
    : `; tightest is then “${tightest.work.work.titles[0]}”, with ${durationText(tightest.slack)} to spare`;
