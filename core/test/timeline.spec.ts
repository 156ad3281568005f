import fc from 'fast-check';
import { planOf, type PlannedCoat } from '../src';
import { bestBegin, nextAwake, timelineOf, tracksOf } from '../src/timeline';
import { coat, demoFile, designWith, workshop } from './workshop';

const hours = { wakes: '07:00', sleeps: '22:00' };
const day = (text: string) => new Date(`2026-11-27T${text}:00`);
const clock = (date: Date) =>
  `${date.getDate()} ${String(date.getHours()).padStart(2, '0')}:${String(date.getMinutes()).padStart(2, '0')}`;
const coats = (...given: readonly object[]): readonly PlannedCoat[] => planOf(designWith(given), workshop).coats;
const resins = coats(coat.resin, coat.resin, coat.resin);
const minutes = (from: Date, to: Date) => (to.getTime() - from.getTime()) / 60000;

describe('when somebody is up', () => {
  test.each([
    ['06:10', 30, '27 07:00'],
    ['12:00', 30, '27 12:00'],
    ['21:50', 30, '28 07:00'],
    ['21:30', 30, '27 21:30'],
    ['23:15', 0, '28 07:00'],
    // More work than a day holds is begun in the morning, not put off for ever.
    ['09:00', 1000, '28 07:00'],
    ['07:00', 1000, '27 07:00'],
  ])('from %s, %i min of work begin %s', (from, work, begins) => expect(clock(nextAwake(day(from), work, hours))).toBe(begins));
  test('who is up at all hours is never held back', () =>
    expect(nextAwake(day('03:00'), 60, { wakes: '00:00', sleeps: '00:00' })).toEqual(day('03:00')));
});

describe('coats by the clock', () => {
  test('follow each other: hands, then the wait, then the next', () => {
    const { coats: timed, done } = timelineOf(resins, day('07:00'), hours);
    expect(minutes(timed[0].begins, timed[0].laid)).toBe(resins[0].handsOn);
    expect(minutes(timed[0].laid, timed[0].ready)).toBe(resins[0].wait.minutes);
    expect(timed[1].begins).toEqual(timed[0].ready);
    expect(done).toEqual(timed[2].ready);
  });
  test('what goes on at once is begun only when all of it can be done before bed', () => {
    const chain = coats(coat.wipe, coat.glitter, coat.press);
    const work = chain.reduce((sum, { handsOn }) => sum + handsOn, 0);
    const late = timelineOf(chain, new Date(day('22:00').getTime() - (work - 1) * 60000), hours);
    expect(clock(late.begins)).toBe('28 07:00');
    const just = timelineOf(chain, new Date(day('22:00').getTime() - work * 60000), hours);
    expect(clock(just.coats[2].laid)).toBe('27 22:00');
  });
  test('a window that closes in the night is told; one that doesn’t isn’t', () => {
    const evening = timelineOf(resins, day('20:00'), hours);
    expect(evening.coats[0]).toMatchObject({ missed: true });
    expect(evening.coats[0].idle).toBeGreaterThan(0);
    expect(evening.missed).toBe(1);
    expect(timelineOf(resins, day('07:00'), hours).missed).toBe(0);
  });
  test('the best begin misses no more windows than any other, and is done as soon as those that miss as few', () => {
    const best = bestBegin(resins, day('20:00'), hours);
    expect(best.missed).toBe(0);
    for (let i = 0; i < 48; i += 1) {
      const other = timelineOf(resins, new Date(day('20:00').getTime() + i * 1800000), hours);
      expect(other.missed).toBeGreaterThanOrEqual(best.missed);
      if (other.missed === best.missed) expect(other.done.getTime()).toBeGreaterThanOrEqual(best.done.getTime());
    }
  });
  test('of no coats is over as it begins', () => expect(timelineOf([], day('10:00'), hours).done).toEqual(day('10:00')));
  test('whenever it begins, nobody works in the night but on what can’t wait, and no wait is cut short', () => {
    const { design, shelf, settings } = demoFile('copper-eaves');
    const plan = planOf(design, { shelf, settings });
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 60 * 24 * 20 }), (offset) => {
        const { coats: timed } = timelineOf(plan.coats, new Date(day('00:00').getTime() + offset * 60000), hours);
        timed.forEach((one, i) => {
          const next = timed.at(i + 1);
          if (next) expect(next.begins.getTime()).toBeGreaterThanOrEqual(one.ready.getTime());
          if (one.coat.handsOn > 0) {
            expect(one.begins.getHours()).toBeGreaterThanOrEqual(7);
            expect(one.laid.getHours() * 60 + one.laid.getMinutes()).toBeLessThanOrEqual(22 * 60);
          }
        });
      }),
      { numRuns: 60 },
    );
  });
});

describe('drawn', () => {
  const plan = planOf(demoFile('copper-eaves').design, workshop);
  const timeline = timelineOf(plan.coats, day('09:00'), hours);
  const tracks = tracksOf(timeline, hours);
  test('every stretch lies in what is shown, in order, and the rest at the end is cut off', () => {
    let before = 0;
    for (const { hands, wait } of tracks.rows) {
      expect(hands.from).toBeGreaterThanOrEqual(before);
      expect(hands.to).toBeGreaterThanOrEqual(hands.from);
      expect(wait.to).toBeGreaterThanOrEqual(wait.from);
      before = hands.from;
    }
    expect(tracks.rows.at(-1)?.wait.from).toBeCloseTo(1 / 1.08, 9);
    expect(tracks.rows.at(-1)?.wait.to).toBe(1);
  });
  test('nobody’s hands are in a night', () => {
    expect(tracks.nights.length).toBeGreaterThan(1);
    for (const { hands } of tracks.rows)
      for (const { from, to } of tracks.nights) expect(hands.from >= to - 1e-9 || hands.to <= from + 1e-9).toBe(true);
  });
  test('each day that begins is marked', () => {
    const begun = tracks.days.map(({ day: one }) => one.getDate());
    expect(begun[0]).toBe(28);
    expect(new Set(begun).size).toBe(begun.length);
  });
});
