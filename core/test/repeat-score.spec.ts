import fc from 'fast-check';
import { metricUnits, tidy } from '../src';
import { repeatScore, type LogEntry, type Make, type RoomMoment } from '../src/make';
import { asPlanned, coatOf, entry, made, START, MINUTE } from './made';
import { demoNames } from './workshop';

const roomOf = (celsius: number): RoomMoment[] =>
  Array.from({ length: 20 }, (_, i) => ({ at: START + i * 10 * MINUTE, celsius, humidity: null }));
const scoreOf = (make: Make, log: readonly LogEntry[], room: readonly RoomMoment[] = []) => {
  const score = repeatScore(make, log, room, metricUnits);
  if (!score) throw new Error('no score');
  return score;
};

test.each(demoNames)('%s made as planned is the same to the hand', (name) => {
  const make = made(name);
  expect(scoreOf(make, asPlanned(make), roomOf(make.settings.celsius))).toMatchObject({
    score: 100,
    words: 'the same to the hand',
  });
});

test('the farther an amount is off, the lower; the farthest is named, and which way', () => {
  const make = made();
  const resin = coatOf(make, 'resin');
  const off = (share: number) =>
    scoreOf(make, asPlanned(make, { [resin.coat]: { a: tidy(resin.amounts[0].amount * (1 + share)) } }));
  const scores = [0, 0.1, 0.3, 0.8].map((share) => off(share).score);
  expect(scores).toEqual([...scores].sort((one, other) => other - one));
  expect(scores[3]).toBeLessThan(scores[0]);
  expect(off(0.3).distances[0].says).toBe('Part A of First resin over the glitter: 30 % more than planned.');
  expect(off(-0.3).distances[0].says).toBe('Part A of First resin over the glitter: 30 % less than planned.');
  // Far more is told as far as it is, though it costs no more than all.
  expect(off(1.5).distances[0].says).toBe('Part A of First resin over the glitter: 2.5 times as much as planned.');
  expect(off(27).distances[0].says).toBe('Part A of First resin over the glitter: 28 times as much as planned.');
  expect(off(27).score).toBe(off(1.5).score);
  expect(off(-0.3).distances[0].says).toContain('30 % less');
});

test('a coat left out, a wait cut short, a window missed and a cold room each cost their own, and say so', () => {
  const make = made();
  const planned = asPlanned(make);
  const glue = coatOf(make, 'glue');
  const without = planned.flatMap((one): LogEntry[] => {
    if (!('coat' in one) || one.coat !== glue.coat) return [one];
    return one.what === 'done' ? [entry(0, { what: 'skipped', coat: glue.coat, why: 'tried' })] : [];
  });
  const skipped = scoreOf(make, without);
  expect(skipped.distances[0]).toMatchObject({ kind: 'coats', says: `1 coat left out: ${glue.title}.` });
  const late = scoreOf(make, asPlanned(make, {}, 600));
  expect(late.distances.find(({ kind }) => kind === 'waits')?.says).toMatch(/came .* after its window had closed\.$/);
  const rushed = scoreOf(make, asPlanned(make, {}, -20));
  expect(rushed.distances.find(({ kind }) => kind === 'waits')?.says).toMatch(/came .* too soon\.$/);
  const cold = scoreOf(make, planned, roomOf(make.settings.celsius - 6));
  expect(cold.distances[0]).toMatchObject({ kind: 'room', says: expect.stringMatching(/resin cured 5\d % slower\.$/) as string });
  for (const { score } of [skipped, late, rushed, cold]) expect(score).toBeLessThan(100);
});

test('is between nothing and a hundred for any hand, and none before a coat is over', () => {
  const make = made('thistle-weave');
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: 30, maxLength: 30 }), (amounts) => {
      let at = 0;
      const poured = Object.fromEntries(
        make.steps.map((step) => [step.coat, Object.fromEntries(step.amounts.map(({ key }) => [key, amounts[(at += 1) % 30]]))]),
      );
      const { score } = scoreOf(make, asPlanned(make, poured));
      expect(score).toBeGreaterThanOrEqual(0);
      expect(score).toBeLessThanOrEqual(100);
    }),
  );
  expect(repeatScore(make, [], [], metricUnits)).toBeNull();
});
