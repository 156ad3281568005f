import type { Chain } from './chains';
import type { Minute } from './job';
import type { Prepared } from './prepare';

/** When what isn't due comes: after all that is. */
const NEVER = Number.MAX_SAFE_INTEGER;

/** Orders to place chains in that are worth a try before any search: by when jobs are due, how long they take, and how they interleave. */
export function ordersToTry(week: Prepared): readonly (readonly Chain[])[] {
  const { jobs, chains, alone } = week;
  const dueOf = (job: number) => jobs[job].due ?? NEVER;
  const doneOf = (job: number) => alone[job] ?? NEVER;
  const all = jobs.map((_, at) => at);
  const byDue = [...all].sort((one, other) => dueOf(one) - dueOf(other) || doneOf(other) - doneOf(one));
  const bySlack = [...all].sort((one, other) => dueOf(one) - doneOf(one) - (dueOf(other) - doneOf(other)));
  const longest = [...all].sort((one, other) => doneOf(other) - doneOf(one));
  const withPins = (order: readonly number[]): readonly number[] => [
    ...order.filter((job) => week.pinned[job].some((pin) => pin !== null)),
    ...order.filter((job) => week.pinned[job].every((pin) => pin === null)),
  ];
  const usual = [byDue, bySlack, longest].flatMap((order) => [
    jobByJob(withPins(order), chains),
    inTurns(withPins(order), chains),
  ]);
  return week.pinned.flat().some((pin) => pin !== null) ? [...usual, byPins(week, byDue)] : usual;
}

/** What has to be over before a pin comes first, the earliest pin first; then all else. */
function byPins({ chains, pinned }: Prepared, order: readonly number[]): readonly Chain[] {
  const all = jobByJob(order, chains).map((chain) => ({
    chain,
    until: pinned[chain.job].slice(chain.first).find((pin) => pin !== null)?.at ?? NEVER,
  }));
  return all.sort((one, other) => one.until - other.until).map(({ chain }) => chain);
}

/** Earliest due first, each job placed whole: what one does with a pencil, and what any other plan has to beat. */
export const earliestDueFirst = ({ jobs, chains }: Pick<Prepared, 'jobs' | 'chains'>): readonly Chain[] =>
  jobByJob(
    jobs.map((_, at) => at).sort((one, other) => (jobs[one].due ?? NEVER) - (jobs[other].due ?? NEVER)),
    chains,
  );

/** Chains in the order in which their first works begin; what stands nowhere yet comes last, each job's in its own order. */
export function inOrderOf(
  jobs: readonly { readonly works: readonly { readonly at: Minute }[] }[],
  chains: Prepared['chains'],
): readonly Chain[] {
  const begun = chains.flatMap((own) => {
    let latest = 0;
    return own.map((chain) => {
      latest = Math.max(latest, jobs[chain.job].works.at(chain.first)?.at ?? NEVER);
      return { chain, begins: latest };
    });
  });
  // A sort that keeps what is equal in its order keeps a job's chains in theirs.
  return begun.sort((one, other) => one.begins - other.begins).map(({ chain }) => chain);
}

const jobByJob = (order: readonly number[], chains: Prepared['chains']): readonly Chain[] => order.flatMap((job) => chains[job]);

/** The first chain of each, then the second of each, counted from the end: who has most to do begins first. */
function inTurns(order: readonly number[], chains: Prepared['chains']): readonly Chain[] {
  const most = Math.max(0, ...chains.map(({ length }) => length));
  return Array.from({ length: most }, (_, turn) =>
    order.flatMap((job) => {
      const chain = chains[job].at(chains[job].length - most + turn);
      return chain && turn >= most - chains[job].length ? [chain] : [];
    }),
  ).flat();
}
