import {
  before,
  keptDepth,
  learn,
  learnFrom,
  learnHold,
  learning,
  learntOf,
  measured,
  randomStream,
  readingSchema,
  usable,
  usualLosses,
  usualSpread,
  type About,
  type KeptReading,
  type Learning,
  type Reading,
} from '../src';
import cases from './data/reference-cases.json';
import { cureFactor } from '../src/resin';

/** What is usual of each unknown, which is all that the program knows of a maker before anything is weighed. */
const usual: Readonly<Record<About, number>> = { hold: 2.4, drop: 0.04, cure: 1, ...usualLosses };
const abouts = Object.keys(usual) as About[];

test('what a glue holds is learnt as the worked case has it', () => {
  const { prior, weighings, hold, spread } = cases.learnHold;
  const learnt = learnHold(prior, weighings);
  expect(learnt.hold).toBeCloseTo(hold, 4);
  expect(learnt.spread).toBeCloseTo(spread, 4);
  expect(learnHold(prior, [])).toEqual({
    hold: expect.closeTo(prior.hold, 9) as number,
    spread: expect.closeTo(0.25, 9) as number,
  });
});

/** A maker whose hands, jars and room are their own: never told to the program, but by what a scale of 0.1 g shows. */
function maker(seed: number) {
  const random = randomStream(seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const shown = (grams: number) => Math.round((grams + 0.04 * normal()) * 10) / 10;
  const weighed = (on: number, grams: number) => Math.max(0, shown(on + grams) - shown(on));
  const truth = Object.fromEntries(
    abouts.map((about) => [about, usual[about] * Math.exp(usualSpread[about] * normal())]),
  ) as Record<About, number>;
  const once = (about: About): Reading => {
    if (about === 'hold') {
      const [deep, grams] = [1 + 3 * random(), 2 + 4 * random()];
      const held = truth.hold * (1 + 0.05 * normal());
      return { about, item: 'g', pours: [{ deep, grams }], kept: weighed(220, (grams * keptDepth(deep, held)) / deep) };
    }
    if (about === 'drop') {
      const drops = 10 + Math.floor(20 * random());
      return { about, item: 'i', drops, ml: weighed(10, drops * truth.drop * (1 + 0.04 * normal())) };
    }
    if (about === 'cure') {
      const celsius = 17 + 8 * random();
      return { about, item: 'r', minutes: 600 * cureFactor(celsius) * truth.cure * (1 + 0.1 * normal()), celsius, label: 600 };
    }
    const pot = truth.pot * (1 + 0.1 * normal());
    if (about === 'pot') return { about, left: weighed(8, pot) };
    const mixed = 15 + 25 * random();
    const glove = mixed * (truth.glove + 0.005 * normal());
    return { about, mixed, lost: mixed - weighed(8, pot) - weighed(250, mixed - pot - glove) };
  };
  return { truth, once };
}
/** What was read of it, so many times as much. */
function slipped(reading: Reading, times: number): Reading {
  switch (reading.about) {
    case 'hold':
      return { ...reading, kept: reading.kept * times };
    case 'pot':
      return { ...reading, left: reading.left * times };
    case 'glove':
      return { ...reading, lost: reading.lost * times };
    case 'drop':
      return { ...reading, ml: reading.ml * times };
    case 'cure':
      return { ...reading, minutes: reading.minutes * times };
  }
}
/** Two coats of a kind in each of eight makes. */
const eightMakes = (one: ReturnType<typeof maker>, about: About) => Array.from({ length: 16 }, () => measured(one.once(about)));

test.each(abouts)(
  'of 500 makers, %s is learnt within 5 % after eight makes, and its ± covers the truth in 90 to 99 of 100',
  (about) => {
    const off: number[] = [];
    let covered = 0;
    for (let seed = 1; seed <= 500; seed += 1) {
      const one = maker(seed);
      const { value, spread } = learnFrom(before(about, usual[about]), eightMakes(one, about)).belief;
      off.push(Math.abs(value / one.truth[about] - 1));
      if (Math.abs(Math.log(value / one.truth[about])) <= 2 * spread) covered += 1;
      expect(spread).toBeLessThan(usualSpread[about] / 3);
    }
    off.sort((less, more) => less - more);
    expect(off[250]).toBeLessThan(0.05);
    expect(covered / 500).toBeGreaterThanOrEqual(0.9);
    expect(covered / 500).toBeLessThanOrEqual(0.99);
  },
);

/** What readings teach, learnt from scratch. */
function learntFrom(readings: readonly KeptReading[], value: number) {
  const all = learning(readings, value);
  return all && learntOf(all);
}

const kept = (readings: readonly Reading[], said: KeptReading['said'][] = []): KeptReading[] =>
  readings.map((reading, i) => ({ id: `r${i}`, at: '2026-11-29T10:00:00.000Z', reading, said: said[i] ?? 'nothing' }));

test.each(abouts)('one wild reading of %s is named and asked about, and changes nothing until its maker says so', (about) => {
  const one = maker(7);
  const sound = Array.from({ length: 8 }, () => one.once(about));
  const wild = { ...sound[3] };
  if (wild.about === 'hold') wild.kept *= 3;
  if (wild.about === 'pot') wild.left *= 4;
  if (wild.about === 'glove') wild.lost += 6;
  if (wild.about === 'drop') wild.ml *= 3;
  if (wild.about === 'cure') wild.minutes *= 4;
  const without = learntFrom(kept(sound), usual[about]);
  const asked = learntFrom(kept([...sound, wild]), usual[about]);
  expect(asked?.readings.map(({ state }) => state)).toEqual([...sound.map(() => 'counts'), 'asked']);
  expect(asked?.now.value).toBeCloseTo(without?.now.value ?? 0, 9);
  const slip = learntFrom(kept([...sound, wild], [...sound.map(() => 'nothing' as const), 'slip']), usual[about]);
  expect(slip?.now).toEqual(asked?.now);
  const stands = learntFrom(kept([...sound, wild], [...sound.map(() => 'nothing' as const), 'stands']), usual[about]);
  expect(stands?.readings.at(-1)?.state).toBe('counts');
});

test('the course of what is known ends where all readings at once do, and never grows less sure', () => {
  for (const about of abouts) {
    const one = maker(11);
    const learnt = learntFrom(kept(Array.from({ length: 12 }, () => one.once(about))), usual[about]);
    if (!learnt) throw new Error('nothing learnt');
    const last = learnt.course[learnt.course.length - 1];
    expect(Math.abs(last.value / learnt.now.value - 1)).toBeLessThan(0.01);
    for (let i = 1; i < learnt.course.length; i += 1) expect(learnt.course[i].spread).toBeLessThan(learnt.course[i - 1].spread);
  }
});

test('readings taken in one by one teach the same as all of them at once, slips among them', () => {
  const differing: string[] = [];
  for (const about of abouts)
    for (let seed = 1; seed <= 4; seed += 1) {
      const one = maker(seed);
      const random = randomStream(seed);
      const all = kept(
        Array.from({ length: 90 }, () => slipped(one.once(about), random() < 0.12 ? 2.5 : 1)),
        Array.from({ length: 90 }, () => (random() < 0.05 ? 'slip' : random() < 0.03 ? 'stands' : 'nothing')),
      );
      let soFar: Learning | null = null;
      for (let count = 1; count <= all.length; count += 1) {
        soFar = learning(all.slice(0, count), usual[about], soFar);
        if (count % 15 > 0) continue;
        const anew = learning(all.slice(0, count), usual[about]);
        if (JSON.stringify(soFar && learntOf(soFar)) !== JSON.stringify(anew && learntOf(anew)))
          differing.push(`${about}, maker ${seed}, ${count} readings`);
      }
      expect(soFar?.from.aside.length).toBeGreaterThan(0);
    }
  expect(differing).toEqual([]);
});

test('what was learnt so far is gone on from only where it still holds', () => {
  const one = maker(5);
  const all = kept(Array.from({ length: 60 }, () => one.once('pot')));
  const soFar = learning(all.slice(0, 59), usual.pot);
  const changed: [string, readonly KeptReading[], number][] = [
    ['one is gone', all.slice(1), usual.pot],
    ['one was a slip', all.map((of, i) => (i === 3 ? { ...of, said: 'slip' } : of)), usual.pot],
    ['more was known before', all, 3],
    ['only some are left', all.slice(0, 20), usual.pot],
  ];
  for (const [what, readings, value] of changed)
    expect([what, learning(readings, value, soFar)?.from.belief]).toEqual([what, learning(readings, value)?.from.belief]);
});

test('a reading of nothing, and one that no hold could make, leave a sound belief', () => {
  for (const kept of [0, 1e-9, 50, 10_000]) {
    const { value, spread } = learn(before('hold', 2.4), [
      measured({ about: 'hold', item: 'g', pours: [{ deep: 2, grams: 4 }], kept }),
    ]);
    expect(Number.isFinite(value) && value > 0).toBe(true);
    expect(spread).toBeLessThanOrEqual(0.25 + 1e-9);
  }
  expect(learn(before('pot', 1.5), [measured({ about: 'pot', left: 0 })]).value).toBeGreaterThan(0);
  expect(learntFrom([], 1)).toBeNull();
});

test('what a plan goes by is within what can be, whatever somebody stands by', () => {
  for (const about of abouts)
    for (const value of [1e-9, 1e9]) expect(usable(about, value)).toBe(usable(about, usable(about, value)));
  expect([usable('hold', 80), usable('drop', 0.0001), usable('cure', 80), usable('glove', 3)]).toEqual([6, 0.005, 5, 0.5]);
  expect(readingSchema.safeParse({ about: 'cure', item: 'r', minutes: 60, celsius: 21, label: 0 }).success).toBe(false);
});
