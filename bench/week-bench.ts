import { earliestDueFirst, placeAll, placedIn, WeekSearch, type WeekPlan, type WeekWish } from '@aurantia/core/week';
import { exactEnd, EXACT_NOW, smallWeek } from '../core/test/exact-week';
import { randomWeek } from '../core/test/random-week';
import { ratioOf, share, type Row } from './measure';

const WEEKS = Array.from({ length: 10 }, (_, at) => at + 1);
const SMALL = Array.from({ length: 10 }, (_, at) => at + 1);
const TRIES = 1500;

/** 20 cups, three turners of two arms, one pair of hands. */
const weekOf = (seed: number): WeekWish => randomWeek(seed, { jobs: 20, people: 1, arms: 6, days: 9 });

/** Earliest due first, each cup placed whole where it fits first. */
function listed({ week }: WeekSearch): WeekPlan {
  const { ground, jobs, pinned, cannot } = week;
  return placeAll(ground, jobs, earliestDueFirst(week), { pinned, near: null }, cannot);
}

const percent = (part: number): string => `${(100 * part).toFixed(1)} %`;

/** Plans of weeks beside a plain list, beside the proven optimum, and beside how long they take. */
export async function weekRows(): Promise<readonly Row[]> {
  const weeks = WEEKS.map((seed) => {
    const wish = weekOf(seed);
    const search = new WeekSearch(wish);
    const plain = listed(search).worth;
    search.search(TRIES);
    const { worth } = search.best;
    const length = (end: number) => end - wish.now;
    return {
      fewer: plain.late - worth.late,
      never: worth.late > plain.late || (worth.late === plain.late && worth.lateMinutes > plain.lateMinutes),
      hours: (plain.lateMinutes - worth.lateMinutes) / 60,
      shorter: 1 - length(worth.end) / length(plain.end),
      gap: length(worth.end) / length(search.bound.end) - 1,
    };
  });
  const better = weeks.filter(({ fewer, shorter }) => fewer > 0 || shorter >= 0.1).length;
  const gaps: number[] = [];
  for (const seed of SMALL) {
    const wish = smallWeek(seed);
    const search = new WeekSearch(wish);
    search.search(400);
    gaps.push((search.best.worth.end - EXACT_NOW) / ((await exactEnd(wish)) - EXACT_NOW) - 1);
  }
  const wish = weekOf(1);
  const search = new WeekSearch(wish);
  const before = placedIn(search.best);
  const first = await ratioOf(
    () => new WeekSearch(wish),
    () => listed(search),
    5,
  );
  const step = await ratioOf(
    () => new WeekSearch(wish, before),
    () => listed(search),
    5,
  );
  const start = performance.now();
  new WeekSearch(wish);
  const took = performance.now() - start;
  return [
    {
      what: '20 cups, 6 arms, 1 pair of hands: weeks of ten with fewer late, or 10 % shorter, than earliest due first; never later',
      figure: `${better} of 10; ${weeks.reduce((sum, { fewer }) => sum + fewer, 0)} fewer late, ${share(
        weeks.map(({ hours }) => hours),
        0.5,
      ).toFixed(0)} h less late (median)${weeks.some(({ never }) => never) ? ', worse in some' : ', worse in none'}`,
      aim: '10 of 10',
    },
    {
      what: 'The same: end beyond the bound that no plan can end before, median and worst (dates kept count before an early end)',
      figure: `${percent(
        share(
          weeks.map(({ gap }) => gap),
          0.5,
        ),
      )}, ${percent(Math.max(...weeks.map(({ gap }) => gap)))}`,
      aim: '—',
    },
    {
      what: 'Small weeks: end beyond the proven optimum (HiGHS), median and worst of ten',
      figure: `${percent(share(gaps, 0.5))}, ${percent(Math.max(...gaps))}`,
      aim: '≤ 2 %',
    },
    {
      what: 'The same 20 cups: a first plan, against placing the list once',
      figure: `${first.text}; ${took.toFixed(0)} ms here`,
      aim: '< 300 ms',
    },
    { what: 'The same: following a plan that is there, against placing the list once', figure: step.text, aim: '—' },
  ];
}
