import { closesAfter, readyAfter, STEP, turnedAt, type Ground } from './ground';
import type { Minute, Work } from './job';

/** Where a work goes. */
export interface Spot {
  readonly at: Minute;
  readonly person: string | null;
}

/** Where works that hang together by their windows go, or why they go nowhere. */
export type Chained = { readonly spots: readonly Spot[] } | { readonly fails: 'pin' | 'window' | 'too far'; readonly at: number };

/** A window that nobody's hours reach across for so many days is reached on no day. */
const GIVE_UP = 21 * 24 * 60;

/**
 * The earliest spots for works of which each has to follow the one before within its window. What comes too late for its
 * window pushes the one before it on, so that the least that holds for all is found; nothing is booked.
 * @param from when the first may begin
 * @param pinned of each work, where it is pinned to; its own time is booked already
 * @param near of each work, where it stood before: it stays there where it can
 */
export function placeChain(
  ground: Ground,
  works: readonly Work[],
  from: Minute,
  pinned: readonly (Spot | null)[],
  near: readonly (Spot | null)[] | null,
): Chained {
  const earliest = works.map(() => from);
  const spots: Spot[] = [];
  for (let k = 0; k < works.length;) {
    const fixed = pinned[k];
    const spot = fixed
      ? fixed.at >= earliest[k]
        ? fixed
        : null
      : spotFor(ground, works[k], earliest[k], near?.[k] ?? null, stepAfter(works[k - 1]));
    if (spot === null) return { fails: fixed ? 'pin' : 'too far', at: k };
    const closes = k > 0 ? closesAfter(ground, works[k - 1], spots[k - 1].at + works[k - 1].hands) : null;
    if (closes !== null && spot.at > closes) {
      if (pinned[k - 1]) return { fails: 'pin', at: k };
      const before = works[k - 1];
      const within = before.within ?? 0;
      const reaching = before.cures ? ground.clock.reaching(spot.at, within) : spot.at - within;
      earliest[k - 1] = Math.max(spots[k - 1].at + 1, reaching - before.hands);
      if (earliest[k - 1] - from > GIVE_UP) return { fails: 'window', at: k - 1 };
      k -= 1;
      spots.length = k;
      continue;
    }
    spots[k] = spot;
    if (k + 1 < works.length) earliest[k + 1] = Math.max(earliest[k + 1], readyAfter(ground, works[k], spot.at + works[k].hands));
    k += 1;
  }
  return { spots };
}

/** Begins are on whole steps, but where a window is so short that none may fall into it. */
const stepAfter = (before: Work | undefined): number =>
  before && before.within !== null && before.within - before.wait < STEP ? 1 : STEP;

/** The first spot from a moment on at which everything a work needs is free; where it stood before, if that still does. */
export function spotFor(ground: Ground, work: Work, from: Minute, near: Spot | null, step = STEP): Spot | null {
  if (near && near.at > from) {
    const there = work.hands === 0 ? { at: near.at, person: null } : whoIsFree(ground, work, near.at, near.person, step);
    if (there?.at === near.at && inTheWay(ground, work, near.at) === null) return there;
  }
  for (let at = from; at <= ground.ends;) {
    const spot = work.hands === 0 ? { at, person: null } : whoIsFree(ground, work, at, near?.person ?? null, step);
    if (spot === null) return null;
    const later = inTheWay(ground, work, spot.at);
    if (later === null) return spot;
    at = later;
  }
  return null;
}

/** Whose hands are free first; those that had it before, where others aren't free earlier. */
function whoIsFree(ground: Ground, { hands }: Work, from: Minute, before: string | null, step: number): Spot | null {
  let best: Spot | null = null;
  for (const { id, free } of ground.people) {
    const at = free.first(from, hands, step);
    if (at !== null && (best === null || at < best.at || (at === best.at && id === before))) best = { at, person: id };
  }
  return best;
}

/** From when on a work could begin, where arms, hooks or the place to spray are taken; null where nothing is. */
function inTheWay(ground: Ground, work: Work, at: Minute): Minute | null {
  const laid = at + work.hands;
  const ready = readyAfter(ground, work, laid);
  const arms = ground.arms.inTheWay(at, turnedAt(ground, work, laid), work.turns);
  const spraying = ground.spraying.inTheWay(at, laid, work.sprays);
  const hooks = ground.hooks.inTheWay(laid, ready, work.hangs);
  if (arms === null && spraying === null && hooks === null) return null;
  return Math.max(arms ?? 0, spraying ?? 0, hooks === null ? 0 : hooks - work.hands);
}
