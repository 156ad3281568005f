import type { PlannedJob, PlannedWork } from './week-plan';

/** Works that take their resin from one pot: the same resin, the same hands, one right after the other. */
export interface SharedMix {
  readonly resin: string;
  readonly person: string | null;
  readonly works: readonly { readonly job: string; readonly planned: PlannedWork }[];
}

/** Minutes from the first stir in which a pot is used up: what pots of resin are good for in a usual room. */
const ONE_POT = 25;

/** Each mix of a plan, in the order of time. A work whose hands begin while the pot before is still good shares it. */
export function mixesOf(jobs: readonly Pick<PlannedJob, 'job' | 'works'>[]): readonly SharedMix[] {
  const all = jobs
    .flatMap(({ job, works }) => works.filter(({ work }) => work.resin !== null).map((planned) => ({ job: job.id, planned })))
    .sort((one, other) => one.planned.at - other.planned.at);
  const last = new Map<string, { from: number; until: number; works: { job: string; planned: PlannedWork }[] }>();
  const mixes: SharedMix[] = [];
  for (const one of all) {
    const { work, at, laid, person } = one.planned;
    const key = `${person ?? ''}/${work.resin ?? ''}`;
    const before = last.get(key);
    if (before && at - before.until < 5 && at - before.from <= ONE_POT) {
      before.works.push(one);
      before.until = laid;
      continue;
    }
    const works = [one];
    last.set(key, { from: at, until: laid, works });
    mixes.push({ resin: work.resin ?? '', person, works });
  }
  return mixes;
}
