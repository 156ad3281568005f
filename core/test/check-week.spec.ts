import { faultsOfWeek, placedIn, WeekSearch, type PlannedWork, type WeekPlan, type WeekWish } from '../src/week';
import { randomWeek } from './random-week';

/* The checker of weeks is what a thousand plans are held to: each thing that can be wrong with one is seen by it. */

const weeks = Array.from({ length: 40 }, (_, at) => {
  const wish = randomWeek(at + 1, { jobs: 3 + (at % 4), people: 2, arms: 4, days: 7 });
  const search = new WeekSearch(wish);
  search.search(6);
  return { wish, plan: search.best };
});

type Spoiling = (work: PlannedWork, at: { readonly job: number; readonly work: number }, plan: WeekPlan) => PlannedWork | null;

/** The plan with the first work changed that can be; null where none can. */
function spoilt(plan: WeekPlan, spoil: Spoiling): WeekPlan | null {
  for (const [job, planned] of plan.jobs.entries())
    for (const [work, one] of planned.works.entries()) {
      const other = spoil(one, { job, work }, plan);
      if (!other) continue;
      const works = planned.works.map((same, at) => (at === work ? other : same));
      return { ...plan, jobs: plan.jobs.map((same, at) => (at === job ? { ...planned, works } : same)) };
    }
  return null;
}

const moved = (work: PlannedWork, by: number): PlannedWork => ({
  ...work,
  at: work.at + by,
  laid: work.laid + by,
  ready: work.ready + by,
  closes: work.closes === null ? null : work.closes + by,
});
const seen = (wish: WeekWish, plan: WeekPlan) => faultsOfWeek(wish, plan).join('; ');

it.each<readonly [string, Spoiling, RegExp]>([
  [
    'begun before what comes before is ready',
    (one, { job, work }, { jobs }) => (work > 0 ? moved(one, jobs[job].works[work - 1].ready - 1 - one.at) : null),
    /waits too short/,
  ],
  [
    'begun after the window has closed',
    (one, { job, work }, { jobs }) => {
      const closes = work > 0 ? jobs[job].works[work - 1].closes : null;
      return closes === null ? null : moved(one, closes + 1 - one.at);
    },
    /waits too long/,
  ],
  ['begun before today', (one, { work }) => (work === 0 ? moved(one, -30 * 24 * 60) : null), /begun too early/],
  [
    'worked at in the middle of the night',
    (one) => (one.work.hands > 0 ? moved(one, nightAfter(one.at) - one.at) : null),
    /nobody is there/,
  ],
  [
    'given to hands that are at something else',
    (one, { job }, { jobs }) => {
      const other = jobs.find((_, at) => at !== job)?.works.find(({ work }) => work.hands > 0);
      return one.work.hands > 0 && other ? { ...moved(one, other.at - one.at), person: other.person } : null;
    },
    /share hands/,
  ],
  ['nobody’s', (one) => (one.work.hands > 0 ? { ...one, person: null } : null), /no hands/],
  ['said to be ready sooner than it is', (one) => (one.work.wait > 0 ? { ...one, ready: one.ready - 1 } : null), /wrong waits/],
])('a work that is %s is a fault', (_, spoil, says) => {
  let tried = 0;
  for (const { wish, plan } of weeks) {
    const wrong = spoilt(plan, spoil);
    if (!wrong) continue;
    tried += 1;
    expect(seen(wish, plan)).toBe('');
    expect(seen(wish, wrong)).toMatch(says);
  }
  expect(tried).toBeGreaterThan(3);
});

/** 03:00 of the next day, or so: nobody of these weeks is up then. */
const nightAfter = (minute: number): number => (Math.floor(minute / (24 * 60)) + 1) * 24 * 60 + 2 * 60;

it.each(['arms', 'hooks', 'spraying'] as const)('more %s held than there are is a fault', (what) => {
  let caught = 0;
  for (const { wish, plan } of weeks) {
    const needs = Math.max(0, ...plan.jobs.flatMap(({ works }) => works.map(({ work }) => heldBy(work)[what])));
    if (needs < 1) continue;
    caught += 1;
    expect(seen({ ...wish, means: { ...wish.means, [what]: needs - 1 } }, plan)).toMatch(/than there are/);
  }
  expect(caught).toBeGreaterThan(20);
});

const heldBy = ({ turns, hangs, sprays }: PlannedWork['work']) => ({ arms: turns, hooks: hangs, spraying: sprays });

it('what a plan says it keeps is all of it: each work once, where it stands', () => {
  for (const { plan } of weeks) {
    const placed = placedIn(plan);
    expect(new Set(placed.map(({ job, work }) => `${job}/${work}`)).size).toBe(placed.length);
    expect(placed).toHaveLength(plan.jobs.reduce((sum, { works }) => sum + works.length, 0));
  }
});
