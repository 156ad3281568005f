import { CureClock, hoursOf, dayOf, daysFrom, minuteOf, timeOf, WeekSearch, whyNotText, type WeekWish } from '../src/week';
import { mixed, MONDAY, person, plainJob, plainWeek as week, plainWork, randomWeek, ZONE } from './random-week';

const plan = (wish: WeekWish) => {
  const search = new WeekSearch(wish);
  search.search(50);
  return search;
};
const at = (day: string, time: string) => minuteOf(day, time, ZONE);
const whyOf = (wish: WeekWish): string => {
  const [{ whyNot }] = plan(wish).best.jobs;
  return whyNot ? whyNotText(whyNot) : '';
};

describe('hours', () => {
  it('are the wall clock’s, also on days of 23 and of 25 hours', () => {
    const shift = person('p', '00:00', '23:00');
    const on = (day: string) =>
      hoursOf(shift, [], { from: at(day, '00:00'), days: 1, zone: ZONE }).map(({ from, until }) => (until - from) / 60);
    expect(on('2026-10-25')).toEqual([24]);
    expect(on('2026-03-29')).toEqual([22]);
    expect(on('2026-11-30')).toEqual([23]);
    const days = daysFrom(at('2026-10-24', '07:00'), 4, ZONE).map(({ day }) => day);
    expect(days).toEqual(['2026-10-24', '2026-10-25', '2026-10-26', '2026-10-27']);
    expect([dayOf(at('2026-10-25', '07:30'), ZONE), timeOf(at('2026-10-25', '07:30'), ZONE)]).toEqual(['2026-10-25', '07:30']);
  });

  it('leave out days off, and what is blocked for this person or for all', () => {
    const own = person('p', '08:00', '12:00', [2]);
    const block = (who: 'p' | 'q' | null, from: string, until: string) => ({
      id: from,
      person: who as never,
      from: { day: '2026-12-01', time: from },
      until: { day: '2026-12-01', time: until },
      why: '',
    });
    const spans = hoursOf(own, [block('p', '09:00', '10:00'), block('q', '08:00', '12:00'), block(null, '11:30', '12:30')], {
      from: MONDAY,
      days: 3,
      zone: ZONE,
    });
    expect(spans.map(({ from, until }) => `${timeOf(from, ZONE)}–${timeOf(until, ZONE)}`)).toEqual([
      '08:00–12:00',
      '08:00–09:00',
      '10:00–11:30',
    ]);
  });
});

describe('curing in a room that is colder by night', () => {
  it('adds up minute by minute', () => {
    const paces = [0, 900, 1440, 2340, 2880].map((from, i) => ({ from, pace: i % 2 === 0 ? 1 : 0.7 }));
    const clock = new CureClock(paces);
    const paceAt = (minute: number) => paces.findLast(({ from }) => from <= minute)?.pace ?? 1;
    for (const from of [10, 850, 900, 1300, 2330]) {
      let cured = 0;
      let minute = from;
      for (; cured < 480 - 1e-9; minute += 1) cured += paceAt(minute);
      expect(clock.after(from, 480)).toBe(minute);
      // What reaches to a moment begins when it is due then, to the minute.
      expect(clock.after(clock.reaching(3000, 480), 480)).toBeGreaterThanOrEqual(3000);
      expect(clock.after(clock.reaching(3000, 480) - 1, 480)).toBeLessThanOrEqual(3000);
    }
  });

  it('makes a plan later than a room that stays warm does', () => {
    const wish = randomWeek(4, { jobs: 3, people: 1, arms: 3, days: 8 });
    const by = (nightCelsius: number | null) => plan({ ...wish, means: { ...wish.means, nightCelsius } }).best.worth.end;
    expect(by(14)).toBeGreaterThan(by(null));
  });
});

describe('windows', () => {
  const tacky = (wait: number, within: number) =>
    plainJob('cup', [{ ...plainWork('first', 30, wait, within) }, plainWork('second', 30)]);

  it('are never let close at night: what goes before is begun so that the next is laid by somebody who is up', () => {
    // Ready 8 h after, closed after 9: begun at 8:00 it would be 16:30. Begun at 10:30 nobody is there at the end.
    const late = { ...tacky(480, 540), from: at('2026-11-30', '10:00') };
    const [{ works }] = plan(week([late])).best.jobs;
    expect(dayOf(works[0].at, ZONE)).toBe('2026-12-01');
    expect(works[1].at).toBeLessThanOrEqual(works[0].laid + 540);
  });

  it('that nobody’s hours reach across are told, with a way out', () => {
    expect(whyOf(week([tacky(600, 700)]))).toMatch(
      /“second” has to follow “first” after 10 h and before 11 h 40.*Work a longer day/,
    );
  });

  it('that were open as it began are kept where that can be, and told where it can’t', () => {
    const open = (until: string) => ({
      ...plainJob('cup', [plainWork('second', 30)]),
      from: at('2026-11-30', '09:00'),
      before: at('2026-11-30', until),
    });
    const other = plainJob('other', [plainWork('long', 240)], at('2026-11-30', '12:00'));
    const kept = plan(week([other, open('10:00')]));
    expect(kept.best.worth.missed).toBe(0);
    const [, cup] = plan(week([other, open('08:59')])).best.jobs;
    expect(cup.missed).toBe(true);
  });
});

describe('what can’t be planned', () => {
  const turning = { ...plainWork('Clear resin', 20, 300), turns: 1, turning: 300 };

  it.each([
    [
      'no turner',
      week([plainJob('cup', [turning])], { means: { ...week([]).means, arms: 0 } }),
      /needs 1 turner arm, and there is none.*Hands and arms/,
    ],
    [
      'too many cups',
      week([plainJob('cups', [{ ...turning, turns: 3 }])]),
      /needs 3 turner arms, and there are 2.*fewer cups at once/,
    ],
    [
      'a work longer than any day',
      week([plainJob('cup', [plainWork('Sand', 700)])]),
      /takes 11 h 40 in one go, and the longest day has 10 h/,
    ],
    [
      'nobody’s hours',
      week([plainJob('cup', [plainWork('Sand', 5)])], {
        means: { ...week([]).means, people: [person('ada', '08:00', '18:00', [0, 1, 2, 3, 4, 5, 6])] },
      }),
      /Nobody has any hours/,
    ],
  ])('is told: %s', (_, wish, says) => {
    expect(whyOf(wish)).toMatch(says);
  });

  it('leaves all else planned', () => {
    const { best } = plan(week([plainJob('cups', [{ ...turning, turns: 3 }]), plainJob('cup', [turning])]));
    expect(best.jobs.map(({ whyNot, works }) => [whyNot === null, works.length])).toEqual([
      [false, 0],
      [true, 1],
    ]);
  });

  it('is what was due yesterday too: planned as soon as can be, and late', () => {
    const [{ late, works }] = plan(week([plainJob('cup', [turning], MONDAY - 600)])).best.jobs;
    expect(works).toHaveLength(1);
    expect(late).toBeGreaterThan(600);
  });

  it('five hundred orders are planned all the same', () => {
    const jobs = Array.from({ length: 500 }, (_, i) =>
      plainJob(`cup ${i}`, [plainWork('a', 20, 60), { ...turning, key: 'b' }, plainWork('c', 10)], MONDAY + 10_000 + i),
    );
    const { best } = new WeekSearch(week(jobs));
    expect(best.worth.unplanned).toBe(0);
  });
});

describe('pins', () => {
  const cup = plainJob('cup', [plainWork('a', 30, 60), plainWork('b', 30)]);
  const pin = (work: string, time: string) => ({ job: 'cup', work, at: at('2026-11-30', time), person: null });

  it('hold, and what comes before goes before', () => {
    const { best, week: prepared } = plan(week([cup], { pins: [pin('b', '14:00')] }));
    expect(prepared.lost).toEqual([]);
    expect(best.jobs[0].works.map((one) => timeOf(one.at, ZONE))).toEqual(['08:00', '14:00']);
  });

  it.each([
    ['before what it follows is ready', 'b', '08:30'],
    ['at night', 'a', '23:00'],
  ])('that can’t be kept are named and left out: %s', (_, work, time) => {
    const { best, week: prepared } = plan(week([cup], { pins: [pin(work, time)] }));
    expect(prepared.lost).toHaveLength(1);
    expect(best.worth.unplanned).toBe(0);
  });
});

it('two cups of one resin are laid from one mix where that makes nothing later', () => {
  const jobs = ['one', 'two'].map((id) =>
    plainJob(id, [
      { ...plainWork('a', 10, 60) },
      { ...plainWork('resin', 15, 400), turns: 1, turning: 300, mix: mixed('slow', 40) },
    ]),
  );
  expect(plan(week(jobs)).best.worth.mixes).toBe(1);
});
