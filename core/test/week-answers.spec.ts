import type { Make } from '../src/make';
import {
  boardOf,
  daySheet,
  dayOf,
  faultsOfWeek,
  hoursText,
  inOneGo,
  jobOfMake,
  latestStart,
  leftOver,
  minuteOf,
  movedBetween,
  movedSince,
  movedText,
  placedIn,
  seenRoom,
  timeOf,
  typedHours,
  weekNeeds,
  workshopDay,
  WeekSearch,
  whyNotText,
  worksOf,
  type WeekWish,
} from '../src/week';
import { coatOf, entry, made, MINUTE, START, upTo } from './made';
import { mixed, MONDAY, person, plainJob, plainWeek as week, plainWork, randomWeek, usualCup, ZONE } from './random-week';
import { workshop } from './workshop';
import { metricUnits, randomStream } from '../src';

const { means, room } = week([]);
const planned = (wish: WeekWish, tries = 40) => {
  const search = new WeekSearch(wish);
  search.search(tries);
  return search.best;
};
const turning = (cups: number) => ({ ...plainWork('Clear resin', 20 * cups, 300), turns: cups, turning: 300 });

describe('each way out that is told helps', () => {
  const whyOf = (wish: WeekWish) => planned(wish).jobs[0].whyNot;

  it.each([
    ['fewer cups at once', week([plainJob('cup', [turning(3)])]), week([plainJob('cup', [turning(2)])])],
    [
      'say how many arms there are',
      week([plainJob('cup', [turning(3)])]),
      week([plainJob('cup', [turning(3)])], { means: { ...means, arms: 3 } }),
    ],
    [
      'work a longer day',
      week([plainJob('cup', [plainWork('Sand', 620)])]),
      week([plainJob('cup', [plainWork('Sand', 620)])], { means: { ...means, people: [person('ada', '07:00', '18:00')] } }),
    ],
    [
      'a longer day reaches across a window',
      week([plainJob('cup', [plainWork('one', 30, 600, 700), plainWork('two', 30)])]),
      week([plainJob('cup', [plainWork('one', 30, 600, 700), plainWork('two', 30)])], {
        means: { ...means, people: [person('ada', '08:00', '21:00')] },
      }),
    ],
    [
      'cure and sand instead of a window',
      week([plainJob('cup', [plainWork('one', 30, 600, 700), plainWork('two', 30)])]),
      week([plainJob('cup', [plainWork('one', 30, 720), plainWork('sand', 20, 10), plainWork('two', 30)])]),
    ],
    [
      'say when somebody works',
      week([plainJob('cup', [plainWork('one', 30)])], {
        means: { ...means, people: [person('ada', '08:00', '18:00', [0, 1, 2, 3, 4, 5, 6])] },
      }),
      week([plainJob('cup', [plainWork('one', 30)])]),
    ],
  ])('%s', (_, before, after) => {
    const why = whyOf(before);
    expect(why && whyNotText(why)).toBeTruthy();
    expect(whyOf(after)).toBeNull();
  });
});

describe('the latest safe start', () => {
  const cases = Array.from({ length: 40 }, (_, at) => at + 1);

  it.each(cases)('is in time, and no quarter of an hour later is (week %i)', (seed) => {
    const wish = randomWeek(seed, { jobs: 4, people: 1 + (seed % 2), arms: 3, days: 8 });
    const plan = planned(wish, 10);
    const fresh = usualCup('new', randomStream(seed + 500), MONDAY + (7 + (seed % 5)) * 24 * 60);
    const { at, planned: own, tightest } = latestStart(wish, plan, fresh);
    if (at === null) {
      expect(own.late).toBeGreaterThan(0);
      return;
    }
    expect([own.late, own.works[0].at]).toEqual([0, at]);
    // Nothing of the others is touched: both together are a sound week.
    const both = { ...plan, jobs: [...plan.jobs, own] };
    expect(faultsOfWeek({ ...wish, jobs: [...wish.jobs, fresh] }, both)).toEqual([]);
    const later = latestStart(wish, plan, { ...fresh, from: at + 15 });
    expect(later.at).toBeNull();
    expect(tightest?.slack).toBeGreaterThanOrEqual(0);
    expect(tightest?.slack).toBeLessThan(24 * 60);
  });

  it('of an order that is due before it can be done is none', () => {
    expect(latestStart(week([]), planned(week([])), plainJob('new', [turning(1)], MONDAY + 60)).at).toBeNull();
  });
});

describe('a make in the week', () => {
  const make = made('peat-fire', 2);
  const now = START / MINUTE;
  const names = { id: 'm', name: 'Peat Fire', who: '', due: null };
  const job = (of: Make, log: Parameters<typeof jobOfMake>[1], later = 0) =>
    jobOfMake(of, log, { celsius: of.settings.celsius, now: now + later }, names);

  it('holds arms for resin, the place to spray for paint and seal, hooks while that dries', () => {
    const works = worksOf(make, make.settings.celsius);
    make.steps.forEach(({ kind }, at) => {
      const { turns, sprays, hangs, turning: turned, wait, cures } = works[at];
      expect([kind, turns]).toEqual([kind, ['resin', 'ink', 'sprinkle'].includes(kind) ? 2 : 0]);
      expect([kind, sprays]).toEqual([kind, ['base', 'seal'].includes(kind) ? 1 : 0]);
      expect(hangs).toBe(sprays > 0 ? 2 : 0);
      expect(turned).toBeLessThanOrEqual(wait);
      expect([kind, cures]).toEqual([kind, kind !== 'rest']);
    });
    const warmer = worksOf(make, make.settings.celsius + 10).find(({ key }) => key === coatOf(make, 'resin').coat);
    expect(Math.abs(2 * (warmer?.wait ?? 0) - coatOf(make, 'resin').wait.minutes)).toBeLessThanOrEqual(1);
  });

  it('goes on where its log is: what waits is ready then, what was begun is under way, what turns holds its arms', () => {
    const resin = coatOf(make, 'resin');
    const log = [...upTo(make, resin.coat), entry(60, { what: 'done', coat: resin.coat })];
    const waiting = job(make, log, 70);
    expect(waiting.from).toBe(now + 60 + resin.wait.minutes);
    expect(waiting.after).toMatchObject({ laid: now + 60, work: { key: resin.coat, turns: 2 } });
    const next = make.steps[make.steps.indexOf(resin) + 1];
    expect(waiting.works[0].key).toBe(next.coat);
    const begun = job(make, [...log, entry(700, { what: 'begun', coat: next.coat })], 705);
    expect(begun.begun).toEqual({ at: now + 700, person: null });
    // Whoever is at it for longer than planned isn't done yet.
    expect(job(make, [...log, entry(700, { what: 'begun', coat: next.coat })], 1000).works[0].hands).toBeGreaterThan(300);
    for (const one of [waiting, begun]) {
      const wish = week([one], { now: now + 705 });
      expect([faultsOfWeek(wish, planned(wish)), planned(wish).jobs[0].whyNot]).toEqual([[], null]);
    }
  });

  it('is begun inside a window that is open already, where hands are free then', () => {
    const ink = coatOf(make, 'ink');
    const log = [...upTo(make, ink.coat), entry(60, { what: 'done', coat: ink.coat })];
    const open = job(make, log, 60);
    expect(open.before).toBe(now + 60 + (ink.wait.closes ?? 0));
  });

  it('with all coats on only cures', () => {
    const log = make.steps.map(({ coat }, at) => entry(at, { what: 'done', coat }));
    const { jobs } = planned(week([job(make, log, 20)], { now: now + 20 }));
    expect([jobs[0].works, jobs[0].done]).toEqual([[], now + make.steps.length - 1 + (make.steps.at(-1)?.wait.minutes ?? 0)]);
  });

  it('is done in one go where one thing follows at once, as long as a day is long enough', () => {
    const works = [plainWork('glue', 10, 0, 5), plainWork('glitter', 30, 60), plainWork('resin', 20, 300)];
    expect(inOneGo(works, 600).map(({ key, hands }) => [key, hands])).toEqual([
      ['glue', 40],
      ['resin', 20],
    ]);
    expect(inOneGo(works, 30)).toHaveLength(3);
  });
});

describe('what is read of a week', () => {
  const jobs = ['one', 'two'].map((id) =>
    plainJob(id, [
      { ...plainWork(`resin ${id}`, 20, 60, 180), turns: 1, turning: 60, mix: mixed('slow', 60) },
      plainWork(`then ${id}`, 10, 30),
    ]),
  );
  const wish = week(jobs);
  const plan = planned(wish);

  const read = { zone: ZONE, units: metricUnits, nameOf: (id: string) => `“${id}”` };

  it('is a line a step, with its window, who shares a mix, and when it is done', () => {
    const lines = daySheet(plan, { day: dayOf(MONDAY, ZONE), ...read });
    expect(lines.map(({ from }) => from)).toEqual([...lines.map(({ from }) => from)].sort());
    expect(lines.filter(({ does }) => /^resin/.test(does))).toEqual([
      expect.objectContaining({
        from: '08:00',
        until: '08:20',
        who: '“ada”',
        does: expect.stringMatching(
          /One mix with (one|two): 20\.0 ml of part A and 10\.0 ml of part B, 15\.0 ml of it for this\.$/,
        ) as string,
        then: expect.stringMatching(/^ready 09:20, next before 11:20$/) as string,
      }),
      expect.objectContaining({ from: '08:20', does: expect.stringMatching(/One mix with/) as string }),
    ]);
    expect(lines.filter(({ does }) => /^then/.test(does)).every(({ does }) => /Begin before \d\d:\d\d/.test(does))).toBe(true);
    expect(lines.filter(({ does }) => does === 'Cured through.')).toHaveLength(2);
    expect(daySheet(plan, { day: '2027-01-01', ...read })).toEqual([]);
  });

  it('is drawn to scale: each step where it is, windows as long as they are open, nights where nobody is there', () => {
    const from = minuteOf('2026-11-30', '00:00', ZONE);
    const board = boardOf(plan, { from, until: from + 24 * 60, now: MONDAY, zone: ZONE, means, blocks: [] });
    const share = (time: string) => (minuteOf('2026-11-30', time, ZONE) - from) / (24 * 60);
    expect(board.now).toBeCloseTo(share('07:00'), 9);
    expect(board.away).toEqual([
      { from: 0, to: share('08:00') },
      { from: share('18:00'), to: 1 },
    ]);
    const [{ hands, wait }] = board.rows[0].steps;
    expect([hands?.from, hands?.to]).toEqual([
      expect.closeTo(share(timeOf(plan.jobs[0].works[0].at, ZONE)), 9),
      expect.closeTo((hands?.from ?? 0) + 20 / 1440, 9),
    ]);
    expect((wait?.to ?? 0) - (wait?.from ?? 0)).toBeCloseTo(60 / 1440, 9);
    expect(board.days.map(({ day }) => day)).toEqual(['2026-11-30']);
    // A day is drawn as long as anybody is up, or works.
    const late = { ...means, people: [person('ada', '05:30', '18:00'), person('bo', '18:00', '23:30')] };
    const { from: first, until: last } = workshopDay(from, room, late, ZONE);
    expect([timeOf(first, ZONE), timeOf(last, ZONE)]).toEqual(['04:30', '00:30']);
    const usual = workshopDay(from, room, means, ZONE);
    expect([timeOf(usual.from, ZONE), timeOf(usual.until, ZONE)]).toEqual(['06:00', '23:30']);
  });

  it('is what moved, and by how much, once somebody is ill', () => {
    const blocks = [
      {
        id: 'ill',
        person: null,
        from: { day: '2026-11-30', time: '00:00' },
        until: { day: '2026-11-30', time: '23:59' },
        why: '',
      },
    ];
    const before = placedIn(plan);
    const after = new WeekSearch({ ...wish, blocks }, before).best;
    expect(movedBetween(plan, after).map(movedText)).toEqual([
      expect.stringMatching(/^(one|two): done 24 h later, 2 steps moved\.$/),
      expect.stringMatching(/^(one|two): done 24 h later, 2 steps moved\.$/),
    ]);
    expect(movedBetween(plan, plan)).toEqual([]);
    // Of a plan that only its places were kept of the same is told.
    expect(movedSince(before, after)).toEqual(movedBetween(plan, after));
    expect(movedSince(before, plan)).toEqual([]);
    expect(movedSince([], after)).toEqual([]);
  });

  it('is what each jar is taken for, in the order of the plan, and when it runs out', () => {
    const shelf = workshop.shelf.map((item) => (item.name === 'Penny Rain' ? { ...item, left: 15 } : item));
    const penny = shelf.find(({ name }) => name === 'Penny Rain');
    if (!penny) throw new Error('no Penny Rain');
    const takes = jobs.map(({ id }) => ({ job: id, coat: `then ${id}`, title: `then ${id}`, item: penny.id, amount: 10 }));
    const [need] = weekNeeds(plan, takes, shelf);
    const last = Math.max(...plan.jobs.map(({ works }) => works[1].at));
    expect(need).toMatchObject({ name: 'Penny Rain', takes: 20, short: 5, out: { due: last * MINUTE } });
    expect(leftOver(plan, takes, penny).map(({ left }) => left)).toEqual([5, -5]);
  });
});

it('hours are read as they are typed, and read back', () => {
  for (const [typed, reads] of [
    ['8-18', '8–18'],
    ['08:30 – 17.15', '8:30–17:15'],
    ['', ''],
    ['off', ''],
  ]) {
    const read = typedHours(typed);
    expect(read.ok ? hoursText(read.hours) : read.sentence).toBe(reads);
    const again = typedHours(read.ok ? hoursText(read.hours) : '');
    expect(again).toEqual(read);
  }
  for (const typed of ['18–8', '25–26', 'morning']) expect(typedHours(typed).ok).toBe(false);
});

it('a room is what its sensor saw by day and by night, once it saw enough of either', () => {
  const moments = Array.from({ length: 48 }, (_, hour) => ({
    at: (minuteOf('2026-11-28', '00:00', ZONE) + hour * 60) * MINUTE,
    celsius: hour % 24 >= 7 && hour % 24 < 23 ? 22 : 17,
    humidity: null,
  }));
  expect(seenRoom(moments, { wakes: '07:00', sleeps: '23:00' }, ZONE)).toEqual({ day: 22, night: 17 });
  expect(seenRoom(moments.slice(8, 20), { wakes: '07:00', sleeps: '23:00' }, ZONE)).toBeNull();
});
