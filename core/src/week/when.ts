import { chainsOf, inOneGo } from './chains';
import { bookWork, copyOf, type Ground, type WeekWish } from './ground';
import type { Job, Minute } from './job';
import { placeAll } from './place-all';
import { prepare } from './prepare';
import type { PlannedJob, PlannedWork, WeekPlan } from './week-plan';

/** When one job has to be begun, all others staying where they are planned. */
export interface LatestStart {
  /** the last moment to begin it at; null where it is late already, however soon it is begun */
  readonly at: Minute | null;
  /** how it goes if it is begun then, or as soon as can be where it is late */
  readonly planned: PlannedJob;
  /** the step that has the least room: minutes it can slip before the job is late or a window closes; null of a job of no work */
  readonly tightest: { readonly work: PlannedWork; readonly slack: number } | null;
}

/** Nothing is looked for closer than a quarter of an hour. */
const QUARTER = 15;

/**
 * The latest safe start of a job that has to be done by a day. Put off, a job is never done sooner, so the last start that is in
 * time is found by halving.
 * @param plan of all other jobs; the job's own part of it is left out
 */
export function latestStart(wish: WeekWish, plan: WeekPlan, wished: Job): LatestStart {
  const ground = groundBeside(wish, plan, wished.id);
  const job = { ...wished, works: inOneGo(wished.works, ground.longest) };
  const from = (at: Minute, held: Held | null = null) => placedAlone(ground, job, Math.max(wish.now, at), held);
  const soonest = from(job.from);
  const { due } = job;
  const inTime = ({ done }: PlannedJob) => done !== null && due !== null && done <= due;
  if (due === null || !inTime(soonest)) return { at: null, planned: soonest, tightest: null };
  let [low, high] = [0, Math.max(0, Math.floor((due - wish.now) / QUARTER))];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (inTime(from(wish.now + middle * QUARTER))) low = middle;
    else high = middle - 1;
  }
  const planned = low === 0 ? soonest : from(wish.now + low * QUARTER);
  const slackOf = (one: PlannedWork, at: number): number => {
    const before = planned.works.at(at - 1);
    const window = at > 0 && before?.closes != null ? before.closes - one.at : Infinity;
    let [least, most] = [0, Math.max(0, Math.floor((due - one.at) / STEP_OF_SLACK))];
    while (least < most) {
      const middle = Math.ceil((least + most) / 2);
      if (inTime(from(planned.works[0].at, { work: at, from: one.at + middle * STEP_OF_SLACK }))) least = middle;
      else most = middle - 1;
    }
    return Math.min(window, least * STEP_OF_SLACK);
  };
  const slacks = planned.works.map((work, at) => ({ work, slack: work.work.hands > 0 ? slackOf(work, at) : Infinity }));
  const tightest = slacks.length === 0 ? null : slacks.reduce((one, other) => (other.slack < one.slack ? other : one));
  return { at: planned.works.at(0)?.at ?? null, planned, tightest };
}

const STEP_OF_SLACK = 5;

/** A work that is held back until a moment. */
interface Held {
  readonly work: number;
  readonly from: Minute;
}

/** What there is once all other jobs are done as planned. */
function groundBeside(wish: WeekWish, { jobs }: WeekPlan, id: string): Ground {
  const others = wish.jobs.filter((job) => job.id !== id);
  const pins = wish.pins.filter(({ job }) => job !== id);
  const { ground: fixed, pinned, jobs: prepared } = prepare({ ...wish, jobs: others, pins });
  const ground = copyOf(fixed);
  for (const { job, works } of jobs) {
    const at = prepared.findIndex((one) => one.id === job.id);
    works.forEach(({ work, at: begins, person }, k) => {
      // What is fixed is booked already.
      if (at >= 0 && !pinned[at][k]) bookWork(ground, work, { at: begins, person });
    });
  }
  return ground;
}

/** A job by itself on what is left, in one piece up to what is held back and from there on. */
function placedAlone(ground: Ground, job: Job, from: Minute, held: Held | null): PlannedJob {
  const [chains] = chainsOf([job]);
  if (held === null || held.work === 0) {
    const begins = held ? Math.max(from, held.from) : from;
    return placeAll(ground, [{ ...job, from: begins }], chains, { pinned: [job.works.map(() => null)], near: null }, [null])
      .jobs[0];
  }
  // Held back is what comes after a wait that is so much longer.
  const before = placedAlone(ground, { ...job, works: job.works.slice(0, held.work) }, from, null);
  const ready = before.works.at(-1)?.ready ?? from;
  const rest = { ...job, from: Math.max(ready, held.from), works: job.works.slice(held.work) };
  return before.whyNot ? before : placedAlone(ground, rest, rest.from, null);
}
