import type { Job, Work } from './job';

/** Works of a job that hang together by windows: a stretch of its works, from one to another, both in it. */
export interface Chain {
  readonly job: number;
  readonly first: number;
  readonly last: number;
}

/** A job's works in chains, in their order: what follows within a window is in one with what it follows. */
export function chainsOf(jobs: readonly Job[]): readonly (readonly Chain[])[] {
  return jobs.map(({ works }, job) => {
    const chains: Chain[] = [];
    works.forEach((_, at) => {
      const last = chains.at(-1);
      if (last && at > 0 && works[at - 1].within !== null) chains[chains.length - 1] = { ...last, last: at };
      else chains.push({ job, first: at, last: at });
    });
    return chains;
  });
}

/** Minutes below which nobody begins anything else: what follows so soon is done in the same go. */
const AT_ONCE = 60;

/** Works that follow each other at once are one, as long as a day has room for it. @param longest minutes of the longest day */
export function inOneGo(works: readonly Work[], longest: number): readonly Work[] {
  const all: Work[] = [];
  for (const work of works) {
    const before = all.at(-1);
    const atOnce = before !== undefined && before.wait === 0 && (before.within === null || before.within < AT_ONCE);
    if (!before || !atOnce || before.hands === 0 || work.hands === 0 || before.hands + work.hands > longest) all.push(work);
    else
      all[all.length - 1] = {
        ...work,
        key: before.key,
        titles: [...before.titles, ...work.titles],
        hands: before.hands + work.hands,
        sprays: Math.max(before.sprays, work.sprays),
        turns: Math.max(before.turns, work.turns),
        turning: work.turns > 0 ? work.turning : 0,
        hangs: Math.max(before.hangs, work.hangs),
        mix: work.mix ?? before.mix,
      };
  }
  return all;
}
