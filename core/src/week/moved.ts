import { countText, durationText } from '../units';
import type { Minute } from './job';
import type { Placed } from './means';
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
export const movedBetween = (before: WeekPlan, after: WeekPlan): readonly JobMoved[] =>
  movedFrom(new Map(before.jobs.map((one) => [one.job.id, standOf(one)])), after);

/** The same, of a plan that nothing but its places is known of any more: what was kept when the program was last looked at. */
export function movedSince(placed: readonly Placed[], after: WeekPlan): readonly JobMoved[] {
  const stands = after.jobs.flatMap((now): readonly (readonly [string, Stand])[] => {
    const own = new Map(placed.filter(({ job }) => job === now.job.id).map((one) => [one.work, one]));
    const last = now.works.at(-1);
    const stood = last && own.get(last.work.key);
    if (!last || !stood) return [];
    // What cures last takes as long as it takes now.
    const done = stood.at + (last.ready - last.at);
    return [[now.job.id, { done, late: now.job.due !== null && done > now.job.due, works: own }]];
  });
  return movedFrom(new Map(stands), after);
}

/** Where a job stood. */
interface Stand {
  readonly done: Minute | null;
  readonly late: boolean;
  readonly works: ReadonlyMap<string, { readonly at: Minute; readonly person: string | null }>;
}

const standOf = ({ done, late, whyNot, works }: PlannedJob): Stand => ({
  done,
  late: late > 0 || whyNot !== null,
  works: new Map(works.map((one) => [one.work.key, one])),
});

function movedFrom(was: ReadonlyMap<string, Stand>, { jobs }: WeekPlan): readonly JobMoved[] {
  const moved = jobs.flatMap((one): readonly JobMoved[] => {
    const then = was.get(one.job.id);
    if (!then) return [];
    const now = standOf(one);
    const later = now.done === null || then.done === null ? null : now.done - then.done;
    const steps = stepsMoved(then, one);
    if (steps === 0 && Math.abs(later ?? 0) < SAME && now.late === then.late) return [];
    const { id, name, who } = one.job;
    return [{ id, name, who, steps, later, late: now.late, wasLate: then.late }];
  });
  return moved.sort(
    (one, other) =>
      Number(other.late && !other.wasLate) - Number(one.late && !one.wasLate) ||
      Math.abs(other.later ?? 0) - Math.abs(one.later ?? 0),
  );
}

const stepsMoved = (then: Stand, now: PlannedJob): number =>
  now.works.filter(({ work, at, person }) => {
    const before = then.works.get(work.key);
    return before && work.hands > 0 && (Math.abs(before.at - at) >= SAME || before.person !== person);
  }).length;

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
