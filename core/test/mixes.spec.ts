import { metricUnits } from '../src';
import { mixesOf, sharedMixTexts, worksOf, WeekSearch, workKey, type PlannedWork, type Work } from '../src/week';
import { potLifeAt } from '../src/resin';
import { made } from './made';
import { mixed, MONDAY, plainJob, plainWork, randomWeek } from './random-week';

/* What is stirred at once for several cups. */

/** Works of one pair of hands, each begun some minutes after Monday’s first. */
const laid = (...works: readonly (readonly [job: string, after: number, work: Work, person?: string])[]) =>
  works.map(([job, after, work, person = 'ada']) => {
    const at = MONDAY + after;
    const off = at + work.hands;
    const planned: PlannedWork = { work, at, laid: off, ready: off, closes: null, person, pinned: false };
    return { job: { ...plainJob(job, [work]), name: `cup ${job}` }, works: [planned] };
  });
const resin = (minutes: number, mix = mixed('slow', 60)): Work => ({ ...plainWork('resin', minutes), mix });
const cupsOf = (jobs: ReturnType<typeof laid>) => mixesOf(jobs).map(({ works }) => works.map(({ job }) => job));

describe('one pot for several cups', () => {
  it('is stirred where the same hands go on at once, with the same resin, while it can be worked', () => {
    expect(cupsOf(laid(['one', 0, resin(20)], ['two', 20, resin(20)], ['three', 42, resin(10)]))).toEqual([
      ['one', 'two', 'three'],
    ]);
  });

  it.each([
    ['hands rest in between', laid(['one', 0, resin(20)], ['two', 26, resin(20)])],
    ['it sets before the second cup is laid', laid(['one', 0, resin(35)], ['two', 35, resin(30)])],
    ['it is another resin', laid(['one', 0, resin(20)], ['two', 20, resin(20, mixed('quick', 60))])],
    ['others lay it', laid(['one', 0, resin(20)], ['two', 20, resin(20), 'ben'])],
    ['it needs several pots of its own', laid(['one', 0, resin(20)], ['two', 20, resin(20, { ...mixed('slow', 60), pots: 2 })])],
    [
      'the one before needed several pots of its own',
      laid(['one', 0, resin(20, { ...mixed('slow', 60), pots: 2 })], ['two', 20, resin(20)]),
    ],
  ])('isn’t where %s', (_, jobs) => {
    expect(cupsOf(jobs)).toEqual([['one'], ['two']]);
  });

  it('of much lasts less than of little: 400 ml of what 100 ml last 60 minutes are too hot after 42', () => {
    const big = mixed('slow', 60, [100, 100]);
    expect(cupsOf(laid(['one', 0, resin(20, big)], ['two', 20, resin(22, big)]))).toEqual([['one', 'two']]);
    expect(cupsOf(laid(['one', 0, resin(20, big)], ['two', 20, resin(23, big)]))).toEqual([['one'], ['two']]);
  });

  it('is told with what is stirred in all, and how much of that is for whom', () => {
    const jobs = laid(['one', 0, resin(20, mixed('slow', 60, [10, 5]))], ['two', 20, resin(20, mixed('slow', 60, [12.5, 6.25]))]);
    const told = (amount: 'ml' | 'gram') => sharedMixTexts(jobs, { ...metricUnits, amount }).get(workKey('two', 'resin'));
    expect(told('ml')).toBe('One mix with cup one: 22.5 ml of part A and 11.25 ml of part B, 18.75 ml of it for this.');
    // 22.5 ml of 1.1 g and 11.25 ml of 1 g; of a mix of two to one a ml weighs 1.067 g.
    expect(told('gram')).toBe('One mix with cup one: 24.8 g of part A and 11.3 g of part B, 20.0 g of it for this.');
  });

  it('is what the makes themselves would pour, together', () => {
    const [wide, small] = [made('copper-eaves', 2), made('copper-eaves')];
    const worksIn = [wide, small].map((make) => worksOf(make, make.settings.celsius).filter(({ mix }) => mix !== null));
    for (const [at, make] of [wide, small].entries())
      for (const { key, mix } of worksIn[at]) {
        const step = make.steps.find(({ coat }) => coat === key);
        const poured = (part: string) => step?.amounts.find((amount) => amount.key === part)?.amount;
        expect(mix?.ml).toEqual([poured('a'), poured('b')]);
        expect(mix?.pots).toBe(step?.mix?.times);
        expect(mix?.name).toBe(make.shelf.find(({ id }) => id === mix?.resin)?.name);
      }
    expect(worksIn[1].length).toBeGreaterThan(0);
  });

  it('is never worked for longer than it lasts, in forty weeks', () => {
    let shared = 0;
    for (let seed = 1; seed <= 40; seed += 1) {
      const { best } = new WeekSearch(randomWeek(seed, { jobs: 8, people: 1, arms: 6, days: 7 }));
      for (const { works } of mixesOf(best.jobs)) {
        if (works.length < 2) continue;
        shared += 1;
        const ml = works.reduce((sum, { mix }) => sum + mix.ml[0] + mix.ml[1], 0);
        const worked =
          Math.max(...works.map(({ planned }) => planned.laid)) - Math.min(...works.map(({ planned }) => planned.at));
        expect(worked).toBeLessThanOrEqual(potLifeAt(works[0].mix.lasts, Math.max(100, ml), 21));
      }
    }
    expect(shared).toBeGreaterThan(10);
  });
});
