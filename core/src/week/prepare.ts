import { chainsOf, inOneGo, type Chain } from './chains';
import { bookWork, closesAfter, copyOf, groundOf, readyAfter, turnedAt, type Ground, type WeekWish } from './ground';
import type { Job, Minute } from './job';
import type { Placed } from './means';
import { placeAll, type Kept } from './place-all';
import type { Spot } from './place-chain';
import type { WhyNot } from './why-not';

/** A week made ready to be planned: what is fixed is booked, what can't be done is set aside with its reason. */
export interface Prepared {
  readonly now: Minute;
  readonly ground: Ground;
  readonly jobs: readonly Job[];
  readonly chains: readonly (readonly Chain[])[];
  readonly pinned: Kept['pinned'];
  readonly cannot: readonly (WhyNot | null)[];
  /** when each would be done with all hands and arms to itself; null where it can't be */
  readonly alone: readonly (Minute | null)[];
  /** pins that can't be kept, which aren't */
  readonly lost: readonly Placed[];
}

export function prepare(wish: WeekWish): Prepared {
  const ground = groundOf(wish);
  const jobs = wish.jobs.map((job) => inReach(goingOn(job, wish, ground), wish));
  for (const { after, begun } of jobs)
    if (after && !begun) bookWork(ground, after.work, { at: after.laid - after.work.hands, person: null });
  const cannot = jobs.map((job) => impossible(job, wish.means, ground.longest));
  const pinned: (Spot | null)[][] = jobs.map(({ works, begun }) =>
    works.map((_, at) => (at === 0 && begun ? { at: begun.at, person: begun.person } : null)),
  );
  jobs.forEach(({ works, begun }) => begun && bookWork(ground, works[0], begun));
  const lost = bookPins(ground, jobs, pinned, wish.pins);
  const chains = chainsOf(jobs);
  const empty = groundOf(wish);
  const alone = jobs.map((job, at) => {
    const [own] = chainsOf([job]);
    return placeAll(empty, [job], own, { pinned: [pinned[at]], near: null }, [cannot[at]]).jobs[0];
  });
  alone.forEach(({ whyNot }, at) => (cannot[at] ??= whyNot));
  return { now: wish.now, ground, jobs, chains, pinned, cannot, alone: alone.map(({ done }) => done), lost };
}

/** A job as it can go on: what waits is ready when its room lets it be, what is under way was begun when it was. */
function goingOn(job: Job, { now, means }: WeekWish, ground: Ground): Job {
  const works = inOneGo(job.works, ground.longest);
  const { after, begun } = job;
  if (begun) {
    // Nobody says at the bench who is at it; where one alone works, it is they.
    const [only, ...others] = means.people;
    const person = begun.person ?? (only && others.length === 0 ? only.id : null);
    return { ...job, works, from: begun.at, before: null, begun: { ...begun, person } };
  }
  const ready = after ? readyAfter(ground, after.work, after.laid) : now;
  const closes = after && closesAfter(ground, after.work, after.laid);
  const from = Math.max(job.from, now, ready);
  const before = job.before === null || closes === null ? (job.before ?? closes) : Math.min(job.before, closes);
  return { ...job, works, from, before: before === null ? null : Math.max(before, ready) };
}

/** What is under way may end so that nobody is there while its window is open: then that is missed, and the rest goes on without it. */
function inReach(job: Job, wish: WeekWish): Job {
  const { begun, works } = job;
  const [first, ...rest] = works;
  if (!begun || first.within === null) return job;
  const ground = groundOf(wish);
  bookWork(ground, first, begun);
  const [own] = chainsOf([job]);
  const pinned = works.map((_, at) => (at === 0 ? begun : null));
  if (placeAll(ground, [job], own, { pinned: [pinned], near: null }, [null]).jobs[0].whyNot === null) return job;
  return {
    ...job,
    works: [{ ...first, within: null }, ...rest],
    before: closesAfter(ground, first, begun.at + first.hands),
  };
}

/** Books what is pinned; what can't be begun then isn't pinned, and told. */
function bookPins(ground: Ground, jobs: readonly Job[], pinned: (Spot | null)[][], pins: readonly Placed[]): readonly Placed[] {
  const lost: Placed[] = [];
  for (const pin of pins) {
    const job = jobs.findIndex(({ id }) => id === pin.job);
    const at = job < 0 ? -1 : jobs[job].works.findIndex(({ key }) => key === pin.work);
    // What is done or under way needs no pin any more.
    if (at < 0 || pinned[job][at]) continue;
    const work = jobs[job].works[at];
    const laid = pin.at + work.hands;
    const ready = readyAfter(ground, work, laid);
    const person =
      work.hands === 0
        ? null
        : (ground.people.find(({ id, free }) => (pin.person ?? id) === id && free.has(pin.at, laid))?.id ?? null);
    const taken =
      (work.hands > 0 && person === null) ||
      pin.at < jobs[job].from ||
      ground.arms.inTheWay(pin.at, turnedAt(ground, work, laid), work.turns) !== null ||
      ground.spraying.inTheWay(pin.at, laid, work.sprays) !== null ||
      ground.hooks.inTheWay(laid, ready, work.hangs) !== null;
    const tried = { ...copyOf(ground) };
    if (taken || !fitsAlone(tried, jobs, pinned, { job, at, spot: { at: pin.at, person } })) {
      lost.push(pin);
      continue;
    }
    const spot = { at: pin.at, person };
    pinned[job][at] = spot;
    bookWork(ground, work, spot);
  }
  return lost;
}

/** Whether a job keeps its pins, one more among them, with nothing else in its way but what is pinned of others. */
function fitsAlone(
  ground: Ground,
  jobs: readonly Job[],
  pinned: readonly (readonly (Spot | null)[])[],
  { job, at, spot }: { readonly job: number; readonly at: number; readonly spot: Spot },
): boolean {
  bookWork(ground, jobs[job].works[at], spot);
  const [own] = chainsOf([jobs[job]]);
  const pins = pinned[job].map((one, k) => (k === at ? spot : one));
  return placeAll(ground, [jobs[job]], own, { pinned: [pins], near: null }, [null]).jobs[0].whyNot === null;
}

/** What no plan can do, whatever else there is to do. */
function impossible({ works, begun }: Job, means: WeekWish['means'], longest: number): WhyNot | null {
  for (const [at, { titles, hands, turns, sprays, hangs }] of works.entries()) {
    const [work] = titles;
    if (turns > means.arms) return { kind: 'too few', what: 'turner arm', needs: turns, has: means.arms, work };
    if (sprays > means.spraying) return { kind: 'too few', what: 'place to spray', needs: sprays, has: means.spraying, work };
    if (hangs > means.hooks) return { kind: 'too few', what: 'hook', needs: hangs, has: means.hooks, work };
    // What is under way needs no day to hold it: forgotten at the bench overnight, it is still done once it is done.
    if (hands > longest && !(at === 0 && begun)) return { kind: 'too long', work, hands, longest };
  }
  return null;
}
