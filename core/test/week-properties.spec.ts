import { compareWorth, faultsOfWeek, placedIn, WeekSearch, type Placed, type WeekPlan, type WeekWish } from '../src/week';
import { randomWeek } from './random-week';

/* A thousand weeks by their seeds: some of one cup, some of seven; one or two pairs of hands; few arms. */

const weekOf = (seed: number): WeekWish =>
  randomWeek(seed, { jobs: 1 + (seed % 7), people: 1 + (seed % 2), arms: 2 + (seed % 4), days: 4 + (seed % 6) });
const SEEDS = Array.from({ length: 1000 }, (_, at) => at + 1);
describe('a thousand random weeks', () => {
  const searched = SEEDS.map((seed) => {
    const wish = weekOf(seed);
    const search = new WeekSearch(wish);
    const first = search.best;
    search.search(12);
    return { seed, wish, search, first };
  });

  it('share no hands, arm, hook or place; wait neither too short nor too long; work in nobody’s night', () => {
    for (const { seed, wish, search } of searched) expect([seed, faultsOfWeek(wish, search.best)]).toEqual([seed, []]);
  });

  it('are planned whole, and end no sooner than the bound', () => {
    for (const { seed, search } of searched) {
      expect([seed, search.best.worth.unplanned]).toEqual([seed, 0]);
      expect(search.bound.end).toBeLessThanOrEqual(search.best.worth.end);
    }
  });

  it('get no worse by being searched on, and are the same again', () => {
    for (const { wish, search, first } of searched.slice(0, 100)) {
      expect(compareWorth(search.best.worth, first.worth)).toBeLessThanOrEqual(0);
      const again = new WeekSearch(wish);
      again.search(12);
      expect(placedIn(again.best)).toEqual(placedIn(search.best));
    }
  });

  it('keep what is pinned, whatever else is moved', () => {
    for (const { seed, wish, search } of searched) {
      const all = placedIn(search.best);
      const pins = [all[seed % all.length], all[(7 * seed) % all.length]];
      const pinned = new WeekSearch({ ...wish, pins }, null, seed);
      pinned.search(6);
      expect([seed, pinned.week.lost]).toEqual([seed, []]);
      const now = new Map(placedIn(pinned.best).map((one) => [`${one.job}/${one.work}`, one.at]));
      for (const { job, work, at } of pins) expect([seed, now.get(`${job}/${work}`)]).toEqual([seed, at]);
      expect([seed, faultsOfWeek({ ...wish, pins }, pinned.best)]).toEqual([seed, []]);
    }
  });

  it('are followed to the minute where nothing changed, and with fewer moves than planned anew where something did', () => {
    const moves = { followed: 0, anew: 0 };
    for (const { seed, wish, search } of searched.slice(0, 300)) {
      const before = placedIn(search.best);
      const same = new WeekSearch(wish, before);
      expect([seed, placedIn(same.best)]).toEqual([seed, before]);
      const blocks = [
        {
          id: 'away',
          person: null,
          from: { day: '2026-12-01', time: '09:00' },
          until: { day: '2026-12-01', time: '13:00' },
          why: '',
        },
      ];
      const changed = { ...wish, blocks: [...wish.blocks, ...blocks] };
      const followed = new WeekSearch(changed, before);
      followed.search(10);
      const anew = new WeekSearch(changed, null, 2);
      anew.search(10);
      expect([seed, faultsOfWeek(changed, followed.best)]).toEqual([seed, []]);
      moves.followed += movedFrom(before, followed.best);
      moves.anew += movedFrom(before, anew.best);
    }
    expect(moves.followed).toBeLessThan(0.6 * moves.anew);
  });
});

const movedFrom = (before: readonly Placed[], plan: WeekPlan): number => {
  const was = new Map(before.map((one) => [`${one.job}/${one.work}`, one.at]));
  return placedIn(plan).filter((one) => Math.abs(one.at - (was.get(`${one.job}/${one.work}`) ?? one.at)) >= 15).length;
};
