import { WeekSearch } from '../src/week';
import { exactEnd, EXACT_NOW, smallWeek } from './exact-week';

/* What a plan ends at beside the proven optimum, on weeks that are small enough to prove it. */
it.each([1, 2, 3, 4])('ends within 2 %% of the earliest end there is, and never before it (week %i)', async (seed) => {
  const wish = smallWeek(seed);
  const search = new WeekSearch(wish);
  search.search(400);
  const best = await exactEnd(wish);
  expect(search.best.worth.end).toBeGreaterThanOrEqual(best);
  expect(search.best.worth.end - EXACT_NOW).toBeLessThanOrEqual(1.02 * (best - EXACT_NOW));
  expect(search.bound.end).toBeLessThanOrEqual(best);
});
