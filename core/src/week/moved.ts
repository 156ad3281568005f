import { countText, durationText } from '../units';
import type { PlannedJob, WeekPlan } from './week-plan';

/** What became of a job from one plan to another. */
export interface JobMoved {
  readonly id: string;
  readonly name: string;
  readonly who: string;
  /** steps that begin at another time, or with other hands */
  readonly steps: number;
  /** minutes that it is done later; less than nothing where sooner, null where it wasn’t or isn’t planned */
  readonly later: number | null;
  readonly late: boolean;
  readonly wasLate: boolean;
}

/** A quarter of an hour either way is the same plan to whoever works by it. */
const SAME = 15;

/** What moved, job by job: what is late first, then by how far it moved. Jobs that stay as they were are left out. */
export function movedBetween(before: WeekPlan, after: WeekPlan): readonly JobMoved[] {
  const was = new Map(before.jobs.map((one) => [one.job.id, one]));
  const moved = after.jobs.flatMap((now): readonly JobMoved[] => {
    const then = was.get(now.job.id);
    if (!then) return [];
    const later = now.done === null || then.done === null ? null : now.done - then.done;
    const one = {
      id: now.job.id,
      name: now.job.name,
      who: now.job.who,
      steps: stepsMoved(then, now),
      later,
      late: isLate(now),
      wasLate: isLate(then),
    };
    return one.steps === 0 && Math.abs(later ?? 0) < SAME && one.late === one.wasLate ? [] : [one];
  });
  return moved.sort(
    (one, other) =>
      Number(other.late && !other.wasLate) - Number(one.late && !one.wasLate) ||
      Math.abs(other.later ?? 0) - Math.abs(one.later ?? 0),
  );
}

const isLate = ({ late, whyNot }: PlannedJob): boolean => late > 0 || whyNot !== null;

function stepsMoved(then: PlannedJob, now: PlannedJob): number {
  const was = new Map(then.works.map((one) => [one.work.key, one]));
  return now.works.filter(({ work, at, person }) => {
    const before = was.get(work.key);
    return before && work.hands > 0 && (Math.abs(before.at - at) >= SAME || before.person !== person);
  }).length;
}

/** The same as a sentence. */
export function movedText({ name, who, steps, later, late, wasLate }: JobMoved): string {
  const job = who === '' ? name : `${name} for ${who}`;
  const ends =
    later === null || Math.abs(later) < SAME
      ? 'done when it was to be'
      : `done ${durationText(Math.abs(later))} ${later > 0 ? 'later' : 'sooner'}`;
  const due = late && !wasLate ? ', too late now' : !late && wasLate ? ', in time now' : '';
  return `${job}: ${ends}${due}${steps > 0 ? `, ${countText(steps, 'step')} moved` : ''}.`;
}
