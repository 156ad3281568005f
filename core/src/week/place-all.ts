import type { Chain } from './chains';
import { bookWork, closesAfter, copyOf, readyAfter, type Ground } from './ground';
import type { Job, Minute } from './job';
import { placeChain, type Spot } from './place-chain';
import { mixesOf } from './mixes';
import type { PlannedJob, PlannedWork, WeekPlan } from './week-plan';
import type { WhyNot } from './why-not';

/** What a plan has to keep to, work by work of each job. */
export interface Kept {
  readonly pinned: readonly (readonly (Spot | null)[])[];
  /** where each stood before; null where nothing has to be followed */
  readonly near: readonly (readonly (Spot | null)[])[] | null;
}

/** A work that begins so much later or earlier was moved, minutes. */
const MOVED = 15;

/**
 * Places all works, chain after chain in an order, each as early as what was placed before it leaves room for.
 * @param ground with what is pinned booked already; it stays as it is
 * @param cannot of each job, why it isn't planned at all
 */
export function placeAll(
  ground: Ground,
  jobs: readonly Job[],
  order: readonly Chain[],
  { pinned, near }: Kept,
  cannot: readonly (WhyNot | null)[],
): WeekPlan {
  const taken = copyOf(ground);
  const spots: Spot[][] = jobs.map(() => []);
  const failed: (WhyNot | null)[] = [...cannot];
  for (const { job, first, last } of order) {
    if (failed[job]) continue;
    const { works, from } = jobs[job];
    const before = first > 0 ? works[first - 1] : undefined;
    const earliest = before ? readyAfter(taken, before, spots[job][first - 1].at + before.hands) : from;
    const chain = works.slice(first, last + 1);
    const slice = (all: readonly (Spot | null)[]) => all.slice(first, last + 1);
    const fixed = slice(pinned[job]);
    const placed = placeChain(taken, chain, earliest, fixed, near && slice(near[job]));
    if ('fails' in placed) {
      failed[job] = whyFailed(
        placed.fails,
        chain.map(({ titles }) => titles[0]),
        placed.at,
        ground.days,
        chain[placed.at],
      );
      continue;
    }
    placed.spots.forEach((spot, at) => {
      spots[job].push(spot);
      if (!fixed[at]) bookWork(taken, chain[at], spot);
    });
  }
  return judged(
    jobs.map((job, at) => plannedJob(ground, job, spots[at], pinned[at], failed[at])),
    jobs.map((_, at) => near?.[at] ?? null),
  );
}

function whyFailed(
  fails: 'pin' | 'window' | 'too far',
  titles: readonly string[],
  at: number,
  days: number,
  { wait, within }: { readonly wait: number; readonly within: number | null },
): WhyNot {
  if (fails === 'pin') return { kind: 'pin', work: titles[at] };
  if (fails === 'too far') return { kind: 'too far', days };
  return { kind: 'window', work: titles[at], next: titles.at(at + 1) ?? titles[at], wait, within: within ?? wait };
}

function plannedJob(
  ground: Ground,
  job: Job,
  spots: readonly Spot[],
  pinned: readonly (Spot | null)[],
  whyNot: WhyNot | null,
): PlannedJob {
  if (whyNot) return { job, works: [], whyNot, done: null, late: 0, missed: false };
  const works = job.works.map((work, at): PlannedWork => {
    const { at: begins, person } = spots[at];
    const laid = begins + work.hands;
    return {
      work,
      at: begins,
      laid,
      ready: readyAfter(ground, work, laid),
      closes: closesAfter(ground, work, laid),
      person,
      pinned: pinned[at] !== null && !(at === 0 && job.begun !== null),
    };
  });
  const done = works.at(-1)?.ready ?? job.from;
  const next = works.at(job.begun ? 1 : 0)?.at ?? job.from;
  return {
    job,
    works,
    whyNot: null,
    done,
    late: job.due === null ? 0 : Math.max(0, done - job.due),
    missed: job.before !== null && next > job.before,
  };
}

function judged(jobs: readonly PlannedJob[], near: readonly (readonly (Spot | null)[] | null)[]): WeekPlan {
  const ends = jobs.flatMap(({ done }): readonly Minute[] => (done === null ? [] : [done]));
  const sum = (of: (job: PlannedJob, at: number) => number) => jobs.reduce((all, job, at) => all + of(job, at), 0);
  return {
    jobs,
    worth: {
      unplanned: sum(({ whyNot }) => (whyNot ? 1 : 0)),
      missed: sum(({ missed }) => (missed ? 1 : 0)),
      late: sum(({ late }) => (late > 0 ? 1 : 0)),
      lateMinutes: sum(({ late }) => late),
      moved: sum(({ works }, at) => works.filter((one, k) => movedFrom(one, near[at]?.[k] ?? null)).length),
      end: Math.max(0, ...ends),
      hurry: sum(({ works }) => hurryOf(works)),
      mixes: mixesOf(jobs).length,
      ends: ends.reduce((all, end) => all + end, 0),
    },
  };
}

const movedFrom = ({ at, person }: PlannedWork, before: Spot | null): boolean =>
  before !== null && (Math.abs(at - before.at) >= MOVED || (person !== null && person !== before.person));

const hurryOf = (works: readonly PlannedWork[]): number =>
  works.reduce((all, { ready, closes }, at) => {
    const next = works.at(at + 1);
    return closes === null || !next || closes <= ready ? all : all + (next.at - ready) / (closes - ready);
  }, 0);
