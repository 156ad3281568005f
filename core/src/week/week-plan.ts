import type { Job, Minute, Work } from './job';
import type { PersonId, Placed } from './means';
import type { WhyNot } from './why-not';

/** A work in the plan. */
export interface PlannedWork {
  readonly work: Work;
  readonly at: Minute;
  /** hands off */
  readonly laid: Minute;
  /** from when on the next may follow, and until when it has to; null where it may for ever */
  readonly ready: Minute;
  readonly closes: Minute | null;
  /** who does it; null of what needs no hands */
  readonly person: string | null;
  readonly pinned: boolean;
}

export interface PlannedJob {
  readonly job: Job;
  /** empty where it can’t be planned */
  readonly works: readonly PlannedWork[];
  readonly whyNot: WhyNot | null;
  /** when the last has cured through; null where it isn't planned */
  readonly done: Minute | null;
  /** minutes after it was due; 0 where it is in time, or can’t be planned */
  readonly late: number;
  /** the window that was open as it began had closed before hands were free */
  readonly missed: boolean;
}

/** What a plan is judged by, what counts most first: less of each is better. */
export interface Worth {
  readonly unplanned: number;
  readonly missed: number;
  readonly late: number;
  readonly lateMinutes: number;
  /** works that stand elsewhere than before; 0 where nothing has to be followed */
  readonly moved: number;
  readonly end: Minute;
  /** of each work that follows within a window, how much of it had gone by: 0 at its opening, 1 as it closes */
  readonly hurry: number;
  readonly mixes: number;
  /** minutes of all ends together */
  readonly ends: number;
}

const ORDER = [
  'unplanned',
  'missed',
  'late',
  'lateMinutes',
  'moved',
  'end',
  'hurry',
  'mixes',
  'ends',
] as const satisfies readonly (keyof Worth)[];

/** Below this, two figures are one: hurry is a sum of shares. */
const SAME = 1e-9;

/** Less than nothing where the one is better. */
export function compareWorth(one: Worth, other: Worth): number {
  for (const by of ORDER) if (Math.abs(one[by] - other[by]) > SAME) return one[by] - other[by];
  return 0;
}

export interface WeekPlan {
  readonly jobs: readonly PlannedJob[];
  readonly worth: Worth;
}

/** Where all of a plan stands, to be kept. */
export const placedIn = ({ jobs }: WeekPlan): Placed[] =>
  jobs.flatMap(({ job, works }) =>
    works.map(({ work, at, person }) => ({ job: job.id, work: work.key, at, person: person as PersonId | null })),
  );
