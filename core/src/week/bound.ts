import type { Ground } from './ground';
import type { Minute } from './job';
import type { Prepared } from './prepare';

/** A moment before which no plan can end, and why. */
export interface Bound {
  readonly end: Minute;
  readonly why:
    | { readonly kind: 'one job'; readonly name: string }
    | { readonly kind: 'hands'; readonly minutes: number }
    | { readonly kind: 'arms'; readonly minutes: number; readonly arms: number };
}

/** A piece of work that has to be over so long before the end. */
interface Load {
  readonly minutes: number;
  readonly tail: number;
}

/**
 * Before when no plan can end: each job by itself, with all hands and arms free, takes so long; hands, and arms, have so much
 * to do in the time there is of them, and what comes after it still has to wait out its own chain (the energetic bound of
 * scheduling with heads and tails, J. Carlier and E. Pinson, Annals of Operations Research 26, 1990, over calendars).
 */
export function boundOf({ now, ground, jobs, alone, cannot, pinned }: Prepared): Bound {
  let best: Bound = { end: now, why: { kind: 'hands', minutes: 0 } };
  alone.forEach((end, at) => {
    if (end !== null && cannot[at] === null && end > best.end) best = { end, why: { kind: 'one job', name: jobs[at].name } };
  });
  const quickest = ground.clock.quickest;
  const hands: Load[] = [];
  const arms: Load[] = [];
  jobs.forEach(({ works, begun }, at) => {
    if (cannot[at] !== null) return;
    let tail = 0;
    for (let k = works.length - 1; k >= 0; k -= 1) {
      const work = works[k];
      const waits = work.cures ? work.wait / quickest : work.wait;
      const turning = work.cures ? work.turning / quickest : work.turning;
      // What is under way may be over at any moment: it weighs nothing here.
      const under = k === 0 && begun !== null;
      // What is pinned has its hands' time booked already: it is no longer in what is free.
      if (!under && pinned[at][k] === null) hands.push({ minutes: work.hands, tail: tail + waits });
      if (!under && work.turns > 0) arms.push({ minutes: work.turns * (work.hands + turning), tail: tail + waits - turning });
      tail += waits + work.hands;
    }
  });
  const byHands = latest(hands, whenWorked(ground));
  if (byHands && byHands.end > best.end) best = { end: byHands.end, why: { kind: 'hands', minutes: byHands.minutes } };
  const most = ground.arms.all;
  const byArms = most > 0 ? latest(arms, (minutes) => now + minutes / most) : null;
  if (byArms && byArms.end > best.end) best = { end: byArms.end, why: { kind: 'arms', minutes: byArms.minutes, arms: most } };
  return { ...best, end: Math.floor(best.end) };
}

/** Of all lengths of tail: when the work that has at least so long a tail can be over, and its tail after that. */
function latest(
  loads: readonly Load[],
  over: (minutes: number) => number,
): { readonly end: number; readonly minutes: number } | null {
  let sum = 0;
  let best: { end: number; minutes: number } | null = null;
  for (const { minutes, tail } of [...loads].sort((one, other) => other.tail - one.tail)) {
    sum += minutes;
    const end = over(sum) + tail;
    if (best === null || end > best.end) best = { end, minutes: sum };
  }
  return best;
}

/** When so many minutes of hands can be over, everybody working through all their hours; asked of many, worked out once. */
function whenWorked({ people, ends }: Ground): (minutes: number) => number {
  const changes = people
    .flatMap(({ free }) =>
      free.spans.flatMap(({ from, until }) => [
        { at: from, by: 1 },
        { at: until, by: -1 },
      ]),
    )
    .sort((one, other) => one.at - other.at);
  /** Stretches in which as many hands are there, with what was worked before each and by its end. */
  const stretches: { readonly from: number; readonly hands: number; readonly before: number; readonly by: number }[] = [];
  let [worked, hands, last] = [0, 0, 0];
  for (const { at, by } of changes) {
    const before = worked;
    worked += hands * (at - last);
    if (hands > 0) stretches.push({ from: last, hands, before, by: worked });
    hands += by;
    last = at;
  }
  return (minutes) => {
    const within = stretches.find(({ by }) => by >= minutes);
    return within ? within.from + (minutes - within.before) / within.hands : ends;
  };
}
