import { CureClock } from './cure-clock';
import { FreeTime } from './free-time';
import type { Job, Minute, Work } from './job';
import type { Block, Means, Placed } from './means';
import { RoomFor } from './room-for';
import { hoursOf, pacesOf, type Zone } from './working-hours';

/** All that a week is planned from. */
export interface WeekWish {
  readonly now: Minute;
  readonly zone: Zone;
  readonly jobs: readonly Job[];
  readonly means: Means;
  readonly blocks: readonly Block[];
  readonly pins: readonly Placed[];
  /** when everybody sleeps, and °C of the room the waits were planned for */
  readonly room: { readonly wakes: string; readonly sleeps: string; readonly celsius: number };
}

/** Minutes that begins are told in: 14:40 is kept, 14:37 isn't. */
export const STEP = 5;
/** The farthest that anything is planned ahead. */
export const MOST_DAYS = 400;

/** What there is to place work on, with nothing placed on it but what is fixed. */
export interface Ground {
  readonly people: readonly { readonly id: string; readonly free: FreeTime }[];
  readonly arms: RoomFor;
  readonly spraying: RoomFor;
  readonly hooks: RoomFor;
  readonly clock: CureClock;
  /** minutes of the longest stretch that anybody works in one go */
  readonly longest: number;
  readonly days: number;
  readonly ends: Minute;
}

export const copyOf = (ground: Ground): Ground => ({
  ...ground,
  people: ground.people.map(({ id, free }) => ({ id, free: free.copy() })),
  arms: ground.arms.copy(),
  spraying: ground.spraying.copy(),
  hooks: ground.hooks.copy(),
});

const DAY = 24 * 60;

/** Days that are surely enough to place everything one after the other. */
function daysFor({ jobs, means }: WeekWish): number {
  const week = means.people.reduce((sum, { hours }) => sum + hours.filter((day) => day !== null).length, 0);
  const hands = jobs.reduce((sum, { works }) => sum + works.reduce((all, work) => all + work.hands + 30, 0), 0);
  const waits = Math.max(0, ...jobs.map(({ works }) => works.reduce((all, work) => all + work.wait, 0)));
  const holds = jobs.reduce(
    (sum, { works }) => sum + works.reduce((all, { wait, turns, hangs }) => all + (turns + hangs > 0 ? wait : 0), 0),
    0,
  );
  const along = (hands / (3 * 60)) * (7 / Math.max(1, week)) + (3 * waits + (1.5 * holds) / Math.max(1, means.arms)) / DAY;
  return Math.min(MOST_DAYS, Math.ceil(28 + along));
}

/** From when on anything cures: what was laid before is still counted by its own nights. */
function cureSince({ now, jobs }: WeekWish, days: number) {
  const from = Math.min(now, ...jobs.flatMap(({ after, begun }) => [after?.laid ?? now, begun?.at ?? now]));
  return { from, days: days + Math.ceil((now - from) / DAY) };
}

export function groundOf(wish: WeekWish): Ground {
  const { now, zone, means, blocks, room } = wish;
  const stretch = { from: now, days: daysFor(wish), zone };
  const hours = means.people.map((person) => ({ id: person.id as string, spans: hoursOf(person, blocks, stretch) }));
  return {
    people: hours.map(({ id, spans }) => ({ id, free: FreeTime.of(spans) })),
    arms: RoomFor.of(means.arms),
    spraying: RoomFor.of(means.spraying),
    hooks: RoomFor.of(means.hooks),
    clock: new CureClock(pacesOf(means, room, { ...stretch, ...cureSince(wish, stretch.days) })),
    longest: Math.max(0, ...hours.flatMap(({ spans }) => spans.map(({ from, until }) => until - from))),
    days: stretch.days,
    ends: now + stretch.days * DAY,
  };
}

/** When the next work may follow one that hands left at a moment, and until when it has to; null where it needn't. */
export const readyAfter = ({ clock }: Pick<Ground, 'clock'>, work: Work, laid: Minute): Minute =>
  work.cures ? clock.after(laid, work.wait) : laid + work.wait;
export const closesAfter = ({ clock }: Pick<Ground, 'clock'>, work: Work, laid: Minute): Minute | null => {
  if (work.within === null) return null;
  // A window always holds the moment it opens, whatever rounding does.
  return work.cures ? Math.max(readyAfter({ clock }, work, laid), clock.until(laid, work.within)) : laid + work.within;
};

/** Until when its cups turn. */
export const turnedAt = ({ clock }: Pick<Ground, 'clock'>, work: Work, laid: Minute): Minute =>
  work.cures ? clock.after(laid, work.turning) : laid + work.turning;

/** Takes what a work holds off the ground. */
export function bookWork(
  ground: Ground,
  work: Work,
  { at, person }: { readonly at: Minute; readonly person: string | null },
): void {
  const laid = at + work.hands;
  const ready = readyAfter(ground, work, laid);
  ground.people.find(({ id }) => id === person)?.free.book(at, laid);
  ground.spraying.book(at, laid, work.sprays);
  ground.arms.book(at, turnedAt(ground, work, laid), work.turns);
  ground.hooks.book(laid, ready, work.hangs);
}
