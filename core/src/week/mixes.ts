import { potLifeAt } from '../resin';
import { amountText, listText, type Units } from '../units';
import { jobText, type WorkMix } from './job';
import type { PlannedJob, PlannedWork } from './week-plan';

/** Works that take their resin from one pot: the same resin, the same hands, one right after the other. */
export interface SharedMix {
  readonly resin: string;
  readonly person: string | null;
  readonly works: readonly MixedWork[];
}

interface MixedWork {
  readonly job: string;
  readonly planned: PlannedWork;
  readonly mix: WorkMix;
}

/** Minutes that hands rest at most between two works that share a pot. */
const AT_ONCE = 5;
/** A small pot is relied on for no longer than 100 ml would last. */
const NO_SMALLER = 100;

/**
 * Each mix of a plan, in the order of time. A work shares the pot before where its hands are off before that pot, with its own
 * resin in it too, begins to set: more in a pot lasts less. What needs several pots of its own shares none.
 */
export function mixesOf(jobs: readonly Pick<PlannedJob, 'job' | 'works'>[]): readonly SharedMix[] {
  const all = jobs
    .flatMap(({ job, works }) =>
      works.flatMap((planned): readonly MixedWork[] => {
        const { mix } = planned.work;
        return mix ? [{ job: job.id, planned, mix }] : [];
      }),
    )
    .sort((one, other) => one.planned.at - other.planned.at);
  const last = new Map<string, { from: number; until: number; ml: number; works: MixedWork[] }>();
  const mixes: SharedMix[] = [];
  for (const one of all) {
    const { mix, planned } = one;
    const { at, laid, person } = planned;
    const key = `${person ?? ''}/${mix.resin}`;
    const ml = mix.ml[0] + mix.ml[1];
    const before = last.get(key);
    if (before && mix.pots === 1 && at - before.until < AT_ONCE && laid - before.from <= workable(mix, before.ml + ml)) {
      before.works.push(one);
      before.until = laid;
      before.ml += ml;
      continue;
    }
    const works = [one];
    // A pot that is one of several is used up by its own cups.
    if (mix.pots === 1) last.set(key, { from: at, until: laid, ml, works });
    else last.delete(key);
    mixes.push({ resin: mix.resin, person, works });
  }
  return mixes;
}

const workable = ({ lasts }: WorkMix, ml: number): number => potLifeAt(lasts, Math.max(NO_SMALLER, ml), 21);

export const workKey = (job: string, work: string): string => `${job}/${work}`;

/** Of each work that shares a mix, by {@link workKey}: what is stirred at once for it and others, and how much of it is for this one. */
export function sharedMixTexts(jobs: readonly Pick<PlannedJob, 'job' | 'works'>[], units: Units): ReadonlyMap<string, string> {
  const called = new Map(jobs.map(({ job }) => [job.id, jobText(job)]));
  const shared = mixesOf(jobs).filter(({ works }) => works.length > 1);
  return new Map(
    shared.flatMap(({ works }) => {
      const ml = ([0, 1] as const).map((part) => works.reduce((sum, { mix }) => sum + mix.ml[part], 0));
      return works.map((own) => {
        const { gramsPerMl } = own.mix;
        const [a, b] = ml.map((each, part) => amountText(each, units, gramsPerMl[part]));
        const mean = (ml[0] * gramsPerMl[0] + ml[1] * gramsPerMl[1]) / (ml[0] + ml[1]);
        const share = amountText(own.mix.ml[0] + own.mix.ml[1], units, mean);
        const others = works.filter(({ job }) => job !== own.job).map(({ job }) => called.get(job) ?? '');
        const text = `One mix with ${listText(others)}: ${a} of part A and ${b} of part B, ${share} of it for this.`;
        return [workKey(own.job, own.planned.work.key), text] as const;
      });
    }),
  );
}
