import fc from 'fast-check';
import { hoursOf, minuteOf, type WeekBook } from '../src/week';
import { person } from './random-week';

/** Zones whose summer time begins by an hour, by half of one, on another day, or never. */
const zones = ['Europe/Paris', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'] as const;
/** Days around which some of these change their clocks, and one where none does. */
const firsts = ['2026-03-28', '2026-10-24', '2026-03-07', '2026-10-31', '2026-10-03', '2026-06-10'] as const;
const DAYS = 4;

/** Of the day only: by night, when clocks change, a time may be twice or never. */
const time = fc.integer({ min: 5 * 12, max: 23 * 12 }).map((fives) => timeText(fives * 5));
const timeText = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
const stretch = fc.tuple(time, time).filter(([from, until]) => from < until);

/** What a wall clock shows, by the platform's own formatter. */
function wallClock(zone: string): (minute: number) => { day: string; time: string } {
  const parts = { year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit' } as const;
  const shows = new Intl.DateTimeFormat('sv-SE', { timeZone: zone, ...parts });
  return (minute) => {
    const [day, at] = shows.format(minute * 60_000).split(' ');
    return { day, time: at };
  };
}
const nextDay = (day: string, on: number) => new Date(Date.parse(day) + on * 86_400_000).toISOString().slice(0, 10);

test('hands are there just when a wall clock says so, minute by minute, in any zone and over any change of clocks', () => {
  const block = fc.record({
    everybody: fc.boolean(),
    mine: fc.boolean(),
    on: fc.nat({ max: DAYS - 1 }),
    many: fc.nat({ max: 1 }),
    at: stretch,
  });
  fc.assert(
    fc.property(
      fc.constantFrom(...zones),
      fc.constantFrom(...firsts),
      stretch,
      fc.array(fc.nat({ max: 6 }), { maxLength: 3 }),
      fc.array(block, { maxLength: 4 }),
      (zone, first, [from, until], off, blocked) => {
        const blocks: WeekBook['blocks'] = blocked.map(({ everybody, mine, on, many, at }, i) => ({
          id: `b${i}`,
          person: everybody ? null : ((mine ? 'p' : 'q') as never),
          from: { day: nextDay(first, on), time: at[0] },
          until: { day: nextDay(first, on + many), time: at[1] },
          why: '',
        }));
        const begins = minuteOf(first, '00:00', zone);
        const spans = hoursOf(person('p', from, until, off), blocks, { from: begins, days: DAYS, zone });
        const wall = wallClock(zone);
        const wrong: unknown[] = [];
        for (let minute = begins; minute < begins + (DAYS - 1) * 1440; minute += 5) {
          const shown = wall(minute);
          const now = `${shown.day} ${shown.time}`;
          const works = !off.includes((new Date(shown.day).getUTCDay() + 6) % 7) && shown.time >= from && shown.time < until;
          const away = blocks.some(
            (one) =>
              one.person !== ('q' as never) &&
              now >= `${one.from.day} ${one.from.time}` &&
              now < `${one.until.day} ${one.until.time}`,
          );
          const there = spans.some((span) => span.from <= minute && minute < span.until);
          if (there !== (works && !away)) wrong.push([zone, now, there]);
        }
        expect(wrong).toEqual([]);
      },
    ),
    { numRuns: 30 },
  );
});

test('hands are never there before the moment that is asked from', () => {
  const from = minuteOf('2026-11-30', '10:20', 'UTC');
  const [first] = hoursOf(person('p', '08:00', '12:00'), [], { from, days: 1, zone: 'UTC' });
  expect(first).toEqual({ from, until: minuteOf('2026-11-30', '12:00', 'UTC') });
});
