/// <reference lib="webworker" />
import { latestStart, WeekSearch, type WeekPlan, type WeekWish } from '@aurantia/core/week';
import type { WeekReply, WeekRequest } from './week-request';

const say = (reply: WeekReply) => postMessage(reply);
/** Tries between two looks at whether the plan got better. */
const AT_A_TIME = 20;
/** ms between two plans that are shown while it is searched on. */
const SHOWN_EVERY = 150;
/** ms after which the best so far is the plan: of hundreds of cups a better one is hardly found by waiting longer. */
const LONGEST = 20_000;

/** Plans weeks: at once in a plain way, then better and better. Whoever has had enough ends the worker; the last plan stands. */
addEventListener('message', ({ data }: MessageEvent<WeekRequest>) => {
  if (data.asks === 'room') return say(roomFor(data));
  const search = new WeekSearch(data.wish, data.before);
  const tell = (tries: number, done: boolean) =>
    say({ plan: search.best, bound: search.bound, lost: search.week.lost, tries, done });
  const start = performance.now();
  let [shown, told] = [start, search.best];
  let tries = 0;
  if (!search.proven) tell(0, false);
  while (tries < data.tries && !search.proven && performance.now() - start < LONGEST) {
    search.search(AT_A_TIME);
    tries += AT_A_TIME;
    if (search.best === told || performance.now() - shown < SHOWN_EVERY) continue;
    tell(tries, false);
    [shown, told] = [performance.now(), search.best];
  }
  tell(tries, true);
});

/** Tries that a question is worth before it is answered, and ms. */
const [ASKED, SOON] = [400, 3000];

function roomFor({ wish, before, jobs }: Extract<WeekRequest, { asks: 'room' }>): WeekReply {
  const without = searched(wish, before);
  const starts = jobs.map((job) => latestStart({ ...wish, jobs: [...wish.jobs, job] }, without, job));
  return { starts, without, plan: searched({ ...wish, jobs: [...wish.jobs, ...jobs] }, before) };
}

/** As it is planned, with as little moved as can be. */
function searched(wish: WeekWish, before: WeekRequest['before']): WeekPlan {
  const search = new WeekSearch(wish, before);
  const start = performance.now();
  for (let tries = 0; tries < ASKED && !search.proven && performance.now() - start < SOON; tries += AT_A_TIME)
    search.search(AT_A_TIME);
  return search.best;
}
