import { randomStream } from '../src';
import {
  minuteOf,
  type Block,
  type Job,
  type Means,
  type Person,
  type PersonId,
  type WeekWish,
  type Work,
  type WorkMix,
} from '../src/week';

/* Weeks by a seed: cups of a usual run of coats, with other waits each, on other means. */

export const ZONE = 'Europe/Berlin';
export const MONDAY = minuteOf('2026-11-30', '07:00', ZONE);

export const person = (id: string, from: string, until: string, off: readonly number[] = []): Person => {
  const hours = [0, 1, 2, 3, 4, 5, 6].map((day) => (off.includes(day) ? null : { from, until }));
  return { id: id as PersonId, name: id, hours: hours as unknown as Person['hours'] };
};

/** A mix of a resin that sets within so many minutes, 15 ml of it. */
export const mixed = (resin: string, lasts = 25, ml: readonly [number, number] = [10, 5]): WorkMix => ({
  resin,
  name: resin,
  ml,
  gramsPerMl: [1.1, 1],
  pots: 1,
  lasts,
});

export const plainWork = (key: string, hands: number, wait = 0, within: number | null = null): Work => ({
  key,
  titles: [key],
  hands,
  wait,
  within,
  cures: false,
  sprays: 0,
  turns: 0,
  turning: 0,
  hangs: 0,
  mix: null,
});

export const plainJob = (id: string, works: readonly Work[], due: number | null = null): Job => ({
  id,
  name: id,
  who: '',
  cups: 1,
  due,
  from: MONDAY,
  before: null,
  works,
  begun: null,
  after: null,
});

/** A week of some jobs from Monday morning on: one pair of hands, two arms. */
export const plainWeek = (jobs: readonly Job[], rest: Partial<WeekWish> = {}): WeekWish => ({
  now: MONDAY,
  zone: ZONE,
  jobs,
  means: { people: [person('ada', '08:00', '18:00')], arms: 2, spraying: 1, hooks: 4, nightCelsius: null },
  blocks: [],
  pins: [],
  room: { wakes: '07:00', sleeps: '22:30', celsius: 21 },
  ...rest,
});

/** A cup as makers lay it: paint, glue and glitter, seal, resin with or without a window, sand, resin, rest. */
export function usualCup(id: string, chance: () => number, due: number | null): Job {
  const between = (least: number, most: number) => Math.round((least + chance() * (most - least)) / 5) * 5;
  const coat = (at: number, rest: Partial<Work>): Work => ({ ...plainWork(`${id}-${at}`, 10), ...rest });
  const cups = chance() < 0.8 ? 1 : 2;
  const tacky = chance() < 0.4;
  const resin = (rest: Partial<Work>): Partial<Work> => ({
    hands: between(15, 30) * cups,
    cures: true,
    turns: cups,
    mix: chance() < 0.7 ? mixed('slow', 75) : mixed('quick'),
    turning: Math.min(rest.wait ?? 0, 300),
    ...rest,
  });
  const wait = between(180, 300);
  const works = [
    coat(0, { hands: between(10, 20) * cups, wait: 5 }),
    coat(1, { hands: between(10, 20) * cups, wait: between(45, 120), sprays: cups > 1 ? 1 : 1, hangs: cups }),
    coat(2, { hands: between(15, 60) * cups, wait: between(30, 120), hangs: cups }),
    coat(3, { hands: between(5, 10) * cups, wait: 30, sprays: 1, hangs: cups }),
    coat(4, resin(tacky ? { wait, within: wait + between(60, 240) } : { wait: between(480, 720) })),
    ...(tacky ? [coat(5, resin({ wait: between(480, 720) }))] : []),
    coat(6, { hands: between(15, 30) * cups, wait: 10 }),
    coat(7, resin({ wait: between(480, 720) })),
    ...(chance() < 0.5
      ? [coat(8, { hands: between(10, 20) * cups, wait: 10 }), coat(9, resin({ wait: between(480, 720) }))]
      : []),
    coat(10, { hands: 0, wait: 60 * between(24, 72) }),
  ];
  return { ...plainJob(id, works, due), cups };
}

export interface Sized {
  readonly jobs: number;
  readonly people: number;
  readonly arms: number;
  /** days until what is due is due, at most */
  readonly days: number;
}

export function randomWeek(seed: number, { jobs, people, arms, days }: Sized): WeekWish {
  const chance = randomStream(seed);
  const all = Array.from({ length: jobs }, (_, at) =>
    usualCup(`cup ${at + 1}`, chance, chance() < 0.8 ? MONDAY + Math.round((3 + chance() * (days - 3)) * 24 * 60) : null),
  );
  const means: Means = {
    people: Array.from({ length: people }, (_, at) =>
      person(`p${at}`, `0${7 + (at % 2)}:00`, at % 2 ? '17:30' : '21:00', chance() < 0.3 ? [6] : []),
    ),
    arms,
    spraying: 1,
    hooks: 4 + Math.floor(chance() * 4),
    nightCelsius: chance() < 0.4 ? 16 : null,
  };
  const blocks: Block[] =
    chance() < 0.3
      ? [
          {
            id: 'ill',
            person: null,
            from: { day: '2026-12-03', time: '00:00' },
            until: { day: '2026-12-03', time: '23:59' },
            why: 'ill',
          },
        ]
      : [];
  return { now: MONDAY, zone: ZONE, jobs: all, means, blocks, pins: [], room: { wakes: '07:00', sleeps: '22:30', celsius: 21 } };
}
