import { at, nextMidnight, type Timeline, type WakingHours } from './timeline';

/** From and to, as shares of the time that is shown. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** A timeline to be drawn: everything as a share of the time shown, 0 to 1. */
export interface Tracks {
  readonly rows: readonly {
    readonly hands: Stretch;
    readonly wait: Stretch;
    /** while the next coat bonds by itself; null where there is no such window */
    readonly window: Stretch | null;
  }[];
  readonly nights: readonly Stretch[];
  /** midnights, each with the day that begins */
  readonly days: readonly { readonly share: number; readonly day: Date }[];
}

/** A long rest at the end would press all work into a corner: so much of it is shown, of the time before it. */
const REST_SHOWN = 0.08;

export function tracksOf({ coats, begins, done }: Timeline, hours: WakingHours): Tracks {
  const last = coats.at(-1);
  const start = begins.getTime();
  const work = Math.max(1, (last?.coat.kind === 'rest' ? last.begins : done).getTime() - start);
  const whole = work * (last?.coat.kind === 'rest' ? 1 + REST_SHOWN : 1);
  const share = (moment: Date) => Math.min(1, Math.max(0, (moment.getTime() - start) / whole));
  const nights: Stretch[] = [];
  const days: { share: number; day: Date }[] = [];
  const end = start + whole;
  for (let day = at(begins, '00:00'); day.getTime() < end; day = nextMidnight(day)) {
    if (day.getTime() > start) days.push({ share: share(day), day });
    for (const [from, to] of [
      [day, at(day, hours.wakes)],
      [at(day, hours.sleeps), nextMidnight(day)],
    ] as const)
      if (share(to) > share(from)) nights.push({ from: share(from), to: share(to) });
  }
  return {
    rows: coats.map(({ begins: from, laid, ready, closes }) => ({
      hands: { from: share(from), to: share(laid) },
      wait: { from: share(laid), to: share(ready) },
      window: closes === null ? null : { from: share(ready), to: share(closes) },
    })),
    nights: at(begins, hours.sleeps) > at(begins, hours.wakes) ? nights : [],
    days,
  };
}
