import {
  faultsOfWeek,
  movedSince,
  placedIn,
  WeekSearch,
  type Job,
  type Minute,
  type PlannedJob,
  type WeekWish,
} from '../src/week';
import { MONDAY, plainJob, plainWeek, plainWork, randomWeek } from './random-week';

/* A week that is worked through: from some moment on, what is left of it is planned with what is under way. */

/** What is left of a job at a moment, done as it was planned but for what is under way, which was begun so much later. */
function leftAt({ job, works }: PlannedJob, now: Minute): Job {
  const first = works.findIndex(({ laid }) => laid > now);
  const left = first < 0 ? [] : works.slice(first);
  const before = works.at((first < 0 ? works.length : first) - 1);
  const done = first === 0 ? undefined : before;
  const under = left.at(0) && left[0].at <= now ? left[0] : null;
  return {
    ...job,
    from: now,
    before: null,
    works: left.map(({ work }) => work),
    begun: under && { at: under.at, person: under.person },
    after: done ? { work: done.work, laid: done.laid } : null,
  };
}

const weeks = Array.from({ length: 120 }, (_, at) => {
  const wish = randomWeek(at + 1, { jobs: 2 + (at % 5), people: 1 + (at % 2), arms: 4, days: 7 });
  const search = new WeekSearch(wish);
  search.search(12);
  const moments = placedIn(search.best).map(({ at: begins }) => begins);
  const now = moments.sort((one, other) => one - other)[Math.floor(moments.length / 3)] + (at % 3) * 7;
  const next: WeekWish = { ...wish, now, jobs: search.best.jobs.map((one) => leftAt(one, now)) };
  return { seed: at + 1, wish: next, before: placedIn(search.best), planned: search.best };
});

it('is planned on without a fault, whole, from the middle of 120 weeks', () => {
  for (const { seed, wish, before } of weeks) {
    const { best } = new WeekSearch(wish, before);
    expect([seed, faultsOfWeek(wish, best), best.worth.unplanned]).toEqual([seed, [], 0]);
  }
});

it('stays as it was where the bench kept to it', () => {
  let moved = 0;
  for (const { wish, before } of weeks) {
    const was = new Map(before.map(({ job, work, at }) => [`${job}/${work}`, at]));
    const after = placedIn(new WeekSearch(wish, before).best);
    moved += after.filter(({ job, work, at }) => was.get(`${job}/${work}`) !== at).length;
  }
  expect(moved).toBe(0);
});

it('that runs late by hours is planned on without a fault, whole, and moves less than a plan made anew', () => {
  const moves = { followed: 0, anew: 0 };
  for (const { seed, wish, before } of weeks) {
    // Nothing was done for five hours; what was under way still is.
    const now = wish.now + 300;
    const late: WeekWish = {
      ...wish,
      now,
      jobs: wish.jobs.map((job) => {
        const { begun, works } = job;
        const hands = begun ? Math.max(works[0].hands, now - begun.at + 1) : 0;
        return begun ? { ...job, works: works.map((work, at) => (at === 0 ? { ...work, hands } : work)) } : { ...job, from: now };
      }),
    };
    const [followed, anew] = [new WeekSearch(late, before), new WeekSearch(late)];
    expect([seed, faultsOfWeek(late, followed.best), followed.best.worth.unplanned]).toEqual([seed, [], 0]);
    moves.followed += movedSince(before, followed.best).reduce((sum, { steps }) => sum + steps, 0);
    moves.anew += movedSince(before, anew.best).reduce((sum, { steps }) => sum + steps, 0);
  }
  expect(moves.followed).toBeLessThan(moves.anew);
});

it('gives nobody alone two things at once: what is under way is in their hands', () => {
  const under: Job = { ...plainJob('cup', [plainWork('paint', 60)]), begun: { at: MONDAY + 60, person: null } };
  const wish = plainWeek([under, plainJob('other', [plainWork('paint', 20)])], { now: MONDAY + 70 });
  const [, other] = new WeekSearch(wish).best.jobs;
  expect(other.works[0].at).toBeGreaterThanOrEqual(MONDAY + 120);
});

it('has a coat that was forgotten at the bench done now, and plans what comes after it', () => {
  const now = MONDAY + 3 * 24 * 60 + 180;
  const forgotten: Job = {
    ...plainJob('cup', [plainWork('paint', now - MONDAY - 60 + 1, 120), plainWork('resin', 20, 600)]),
    begun: { at: MONDAY + 60, person: null },
  };
  const { best } = new WeekSearch(plainWeek([forgotten], { now }));
  expect(best.jobs[0].whyNot).toBeNull();
  expect(best.jobs[0].works.map(({ at }) => at)).toEqual([MONDAY + 60, now + 1 + 120 + 4]);
});
