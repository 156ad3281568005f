import loadHighs from 'highs';
import { randomStream } from '../src';
import { minuteOf, type Job, type Minute, type WeekWish } from '../src/week';
import { person, plainJob, plainWork, ZONE } from './random-week';

/* Weeks small enough for a proven optimum, and that optimum: a mixed-integer program over slots of half an hour. */

const SLOT = 30;
const DAYS = 4;
const [OPENS, CLOSES] = ['08:00', '18:00'];
export const EXACT_NOW = minuteOf('2026-11-30', OPENS, ZONE);

/** A few cups of a few works, all in half hours, one pair of hands, two arms. */
export function smallWeek(seed: number): WeekWish {
  const chance = randomStream(seed);
  const slots = (least: number, most: number) => SLOT * (least + Math.floor(chance() * (most - least + 1)));
  const jobs = Array.from({ length: 3 + (seed % 2) }, (_, at): Job => {
    const wait = slots(6, 10);
    const tacky = chance() < 0.5;
    return {
      ...plainJob(`cup ${at}`, [
        plainWork(`a${at}`, slots(1, 3), slots(2, 4)),
        { ...plainWork(`b${at}`, slots(1, 2), wait, tacky ? wait + slots(2, 6) : null), turns: 1, turning: wait },
        { ...plainWork(`c${at}`, slots(1, 2), slots(8, 16)), turns: 1, turning: SLOT * 6 },
      ]),
      from: EXACT_NOW,
    };
  });
  return {
    now: EXACT_NOW,
    zone: ZONE,
    jobs,
    means: { people: [person('ada', OPENS, CLOSES)], arms: 2, spraying: 1, hooks: 4, nightCelsius: null },
    blocks: [],
    pins: [],
    room: { wakes: '07:00', sleeps: '22:30', celsius: 21 },
  };
}

/** The earliest that a small week can end, proven; minutes since 1970. */
export async function exactEnd({ jobs }: WeekWish): Promise<Minute> {
  const day = (24 * 60) / SLOT;
  const open = ((18 - 8) * 60) / SLOT;
  const all = jobs.flatMap(({ works }, job) =>
    works.map((work, at) => ({ work, job, at, hands: work.hands / SLOT, wait: work.wait / SLOT })),
  );
  const starts = all.map(({ hands }) =>
    Array.from({ length: DAYS * day }, (_, slot) => slot).filter((slot) => slot % day >= 0 && (slot % day) + hands <= open),
  );
  const x = (k: number, slot: number) => `x${k}_${slot}`;
  const when = (k: number, sign: 1 | -1) => starts[k].map((slot) => `${sign < 0 ? '-' : '+'} ${slot} ${x(k, slot)}`).join(' ');
  const rows: string[] = all.map((_, k) => `${starts[k].map((slot) => x(k, slot)).join(' + ')} = 1`);
  all.forEach(({ job, at, hands, wait, work }, k) => {
    const next = all.findIndex((one) => one.job === job && one.at === at + 1);
    if (next < 0) rows.push(`last ${when(k, -1)} >= ${hands + wait}`);
    else {
      rows.push(`${when(next, 1)} ${when(k, -1)} >= ${hands + wait}`);
      if (work.within !== null) rows.push(`${when(next, 1)} ${when(k, -1)} <= ${hands + work.within / SLOT}`);
    }
  });
  for (let slot = 0; slot < DAYS * day + day; slot += 1) {
    const held = (length: (k: number) => number) =>
      all.flatMap((_, k) =>
        starts[k].filter((begins) => begins <= slot && slot < begins + length(k)).map((begins) => x(k, begins)),
      );
    const hands = held((k) => all[k].hands);
    if (hands.length > 1) rows.push(`${hands.join(' + ')} <= 1`);
    const arms = held((k) => (all[k].work.turns > 0 ? all[k].hands + all[k].work.turning / SLOT : 0));
    if (arms.length > 2) rows.push(`${arms.join(' + ')} <= 2`);
  }
  const binaries = all.flatMap((_, k) => starts[k].map((slot) => x(k, slot)));
  const problem = `Minimize\n obj: last\nSubject To\n${rows.map((row, i) => ` r${i}: ${row}`).join('\n')}\nBounds\n last >= 0\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
  const highs = await loadHighs();
  const solved = highs.solve(problem, { mip_rel_gap: 0, time_limit: 120 });
  if (solved.Status !== 'Optimal') throw new Error(`The optimum isn’t proven: ${solved.Status}`);
  return EXACT_NOW + SLOT * Math.round(solved.ObjectiveValue);
}
