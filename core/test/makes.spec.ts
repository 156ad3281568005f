import fc from 'fast-check';
import { planOf, resinMix, tidy } from '../src';
import {
  answerPour,
  benchOf,
  filmOf,
  makeOf,
  makeSchema,
  mishapAnswer,
  standingText,
  takenFrom,
  type LogEntry,
  type MakeId,
  type MakeMix,
  type Mishap,
} from '../src/make';
import { anyDesign, anyWorkshop } from './any-design';
import { AT, coatOf, entry, made, MINUTE, START, upTo } from './made';
import { demoNames, workshop } from './workshop';

describe('a make', () => {
  test.each(demoNames)('of %s is kept as it is', (name) => {
    const make = made(name, 2);
    expect(makeSchema.parse(JSON.parse(JSON.stringify(make)))).toEqual(make);
  });
  test('keeps its plan as numbers that its schema takes back bit by bit, for any design', () => {
    fc.assert(
      fc.property(anyDesign, anyWorkshop, fc.integer({ min: 1, max: 24 }), (design, own, cups) => {
        const make = makeOf({ id: 'm' as MakeId, cups, label: '' }, { design, revision: 1, workshop: own, number: 1, at: AT });
        const read = makeSchema.safeParse(JSON.parse(JSON.stringify(make)));
        expect(read.success).toBe(design.coats.length > 0);
        if (read.success) expect(read.data).toEqual(JSON.parse(JSON.stringify(make)));
      }),
      { numRuns: 25 },
    );
  });
  test.each(demoNames)('%s: each coat takes what the plan says, and all of them from the shelf what its totals say', (name) => {
    const make = made(name);
    const { coats, totals } = planOf(make.design, workshop);
    expect(make.steps.map(({ title }) => title)).toEqual(coats.map(({ title }) => title));
    const taken = new Map<string, number>();
    for (const step of make.steps)
      for (const { item, amount } of takenFrom(step, {})) taken.set(item, (taken.get(item) ?? 0) + amount);
    for (const { item, ml } of totals.glitters) expect(taken.get(item)).toBeCloseTo(ml, 6);
    for (const { item, mix } of totals.resins) expect(taken.get(item)).toBeCloseTo(mix, 6);
    for (const { item, amount } of totals.others) expect(taken.get(item)).toBeCloseTo(amount, 6);
    expect(make.shelf.map(({ id }) => id as string)).toEqual(expect.arrayContaining([...taken.keys()]));
  });
  test('of several cups takes as many times the glitter', () => {
    const pour = (cups: number) => coatOf(made('copper-eaves', cups), 'glitter').amounts[0].amount;
    expect(pour(3)).toBeCloseTo(3 * pour(1), 6);
  });
});

describe('how it stands', () => {
  const make = made();
  const resin = coatOf(make, 'resin');
  const next = make.steps[make.steps.indexOf(resin) + 1];
  const before = upTo(make, resin.coat);
  const minutes = before.length;
  const bench = (entries: readonly LogEntry[], at: number) => benchOf(make, entries, START + at * MINUTE);
  const says = (entries: readonly LogEntry[], at: number) => standingText(bench(entries, at).standing, START + at * MINUTE);

  test('before anything, while a coat is laid, while it waits, when it is ready, once all is done', () => {
    expect(bench([], 0)).toMatchObject({ state: 'planned', standing: { at: 0, begun: null } });
    expect(says([], 0)).toBe(`Not begun. First: ${make.steps[0].title}`);
    const begun = [...before, entry(minutes, { what: 'begun', coat: resin.coat })];
    expect(bench(begun, minutes + 1).state).toBe('at the bench');
    const done = [...begun, entry(minutes + 10, { what: 'done', coat: resin.coat })];
    const opens = minutes + 10 + resin.wait.minutes;
    expect(bench(done, opens - 1).state).toBe('waiting');
    expect(bench(done, opens).state).toBe('ready');
    expect(says(done, opens - 90)).toBe(`${next.title} in 1 h 30`);
    const all = [...done, ...make.steps.slice(make.steps.indexOf(next)).map(({ coat }) => entry(5000, { what: 'done', coat }))];
    const rest = make.steps[make.steps.length - 1].wait.minutes;
    expect(bench(all, 5001).state).toBe(rest > 1 ? 'waiting' : 'done');
    expect(bench(all, 5000 + rest)).toMatchObject({ state: 'done', standing: { at: null, of: make.steps.length } });
    expect(says(all, 5000 + rest)).toBe('Done');
  });
  test('timers run from when it was begun and done, whoever looks at them when', () => {
    const begun = [...before, entry(minutes, { what: 'begun', coat: resin.coat })];
    const from = START + minutes * MINUTE;
    expect(bench(begun, minutes + 300).timers).toEqual([
      expect.objectContaining({ name: 'Stir', from, until: from + (resin.stir ?? 0) * MINUTE }),
      expect.objectContaining({ name: 'On the cup within', from, until: from + (resin.within ?? 0) * MINUTE }),
    ]);
    const done = [...begun, entry(minutes + 9, { what: 'done', coat: resin.coat })];
    expect(bench(done, minutes + 400).timers.slice(0, 2)).toEqual([
      expect.objectContaining({ name: 'Look again in', until: from + 21 * MINUTE }),
      expect.objectContaining({ name: 'Ready in', until: from + (9 + resin.wait.minutes) * MINUTE }),
    ]);
  });
  test('a window that has closed is missed; laid in time it isn’t, whenever it is looked at', () => {
    const step = make.steps.find(({ wait }) => wait.closes !== null) ?? { ...resin, wait: { ...resin.wait, closes: 300 } };
    const open = make.steps.includes(step) ? make : { ...make, steps: make.steps.map((one) => (one === resin ? step : one)) };
    const after = open.steps[open.steps.indexOf(step) + 1];
    const done = [...upTo(open, step.coat), entry(20, { what: 'done', coat: step.coat })];
    const closes = 20 + (step.wait.closes ?? 0);
    const at = (entries: readonly LogEntry[], minute: number) => benchOf(open, entries, START + minute * MINUTE).missed;
    expect(at(done, closes - 1)).toBe(false);
    expect(at(done, closes + 1)).toBe(true);
    expect(at([...done, entry(closes - 1, { what: 'begun', coat: after.coat })], closes + 500)).toBe(false);
    expect(at([...done, entry(closes + 1, { what: 'begun', coat: after.coat })], closes + 500)).toBe(true);
  });
  test('what is undone doesn’t count, what is skipped leaves nothing to wait for, what is given up is off the bench', () => {
    const done = [...before, entry(minutes, { what: 'done', coat: resin.coat })];
    const undone = [...done, entry(minutes + 1, { what: 'undone', coat: resin.coat })];
    expect(bench(undone, minutes + 2).standing.at).toBe(make.steps.indexOf(resin));
    const skipped = [...before, entry(minutes, { what: 'skipped', coat: resin.coat, why: 'a trial' })];
    expect(bench(skipped, minutes).standing).toMatchObject({ at: make.steps.indexOf(next), opens: expect.any(Number) as number });
    expect(bench(skipped, minutes).standing.opens).toBe(bench(before, minutes).standing.opens);
    const given = [...done, entry(minutes + 1, { what: 'given up', why: 'it fell' })];
    expect(bench(given, minutes + 2)).toMatchObject({ state: 'given up', timers: [] });
    expect(bench([...given, entry(minutes + 2, { what: 'taken up' })], minutes + 3).state).not.toBe('given up');
  });
  test('for any log: coats are done in their order, moments never go back, and the same log stands the same', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ what: fc.constantFrom('begun', 'done', 'undone'), coat: fc.nat(make.steps.length - 1), gap: fc.nat(600) }),
        ),
        (acts) => {
          let clock = 0;
          const log = acts.map(({ what, coat, gap }) => entry((clock += gap), { what, coat: make.steps[coat].coat }));
          const { coats, standing, state } = bench(log, clock);
          expect(coats.filter(({ state: one }) => one === 'next' || one === 'begun')).toHaveLength(standing.at === null ? 0 : 1);
          expect(coats.every(({ begun, ended }) => begun === null || ended === null || begun <= ended)).toBe(true);
          const dues = coats.flatMap(({ due }) => due ?? []);
          expect(dues).toEqual([...dues].sort((one, other) => one - other));
          expect(bench(JSON.parse(JSON.stringify(log)) as LogEntry[], clock).state).toBe(state);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('another amount than planned', () => {
  test('of A: so much B keeps the ratio, and the film is what that mix leaves; as planned it is the planned film', () => {
    fc.assert(
      fc.property(
        fc.record({
          area: fc.double({ min: 20, max: 900, noNaN: true }),
          thickness: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
          fill: fc.double({ min: 0, max: 10, noNaN: true }),
        }),
        fc.constantFrom<readonly [number, number]>([1, 1], [2, 1], [3, 2]),
        (cover, ratio) => {
          const mix = resinMix({ ...cover, ratio, step: 0.001 });
          const step = {
            mix: {
              ...cover,
              ratio: [...ratio],
              ratioBy: 'volume',
              density: [1.1, 1],
              held: 0,
              kept: 1.5,
              glove: 0.04,
              times: 1,
            } as MakeMix,
          };
          const as = answerPour(step, 'a', mix.a);
          expect(as?.other).toBeCloseTo(mix.b, 2);
          expect(as?.film).toBeCloseTo(cover.thickness, 2);
          const more = answerPour(step, 'a', mix.a + 5);
          expect(more?.other).toBeCloseTo(((mix.a + 5) * ratio[1]) / ratio[0], 6);
          expect(more?.film).toBeGreaterThan(as?.film ?? Infinity);
          const back = answerPour(step, 'b', more?.other ?? 0);
          expect(back?.other).toBeCloseTo(mix.a + 5, 6);
        },
      ),
    );
  });
  test('so much that it would run: what is left in the pot keeps it from running', () => {
    const { mix } = coatOf(made(), 'resin');
    if (!mix) throw new Error('no mix');
    const answer = answerPour({ mix }, 'a', 80);
    expect(answer?.film).toBeGreaterThan(0.8);
    expect(filmOf(mix, (answer?.mix ?? 0) - (answer?.leave ?? 0))).toBeCloseTo(0.8, 6);
    expect(answerPour({ mix }, 'a', 1)?.leave).toBe(0);
  });
  test('by weight the other part follows on the scale', () => {
    const mix: MakeMix = {
      ratio: [100, 40],
      ratioBy: 'weight',
      density: [1.1, 0.95],
      area: 300,
      thickness: 0.4,
      fill: 0,
      held: 0,
      kept: 1.5,
      glove: 0.04,
      times: 1,
    };
    const answer = answerPour({ mix }, 'a', 20);
    expect(answer?.otherGrams).toBeCloseTo(20 * 1.1 * 0.4, 6);
    expect(answerPour({ mix: null }, 'a', 20)).toBeNull();
  });
  test('is what is taken from the shelf, and of drops and mixes as often as they were made', () => {
    const make = made('peat-fire', 12);
    const ink = coatOf(make, 'ink');
    const times = ink.mix?.times ?? 1;
    const [a, b] = ink.amounts;
    const drops = ink.amounts.find(({ unit }) => unit === 'drop');
    const taken = takenFrom(ink, { a: a.amount + 2 });
    expect(taken.find(({ item }) => item === a.item)?.amount).toBeCloseTo(times * (a.amount + 2 + b.amount), 6);
    expect(taken.find(({ item }) => item === drops?.item)?.amount).toBeCloseTo(
      tidy(times * (drops?.amount ?? 0) * (drops?.each ?? 0)),
      6,
    );
  });
});

describe('what is answered when something goes wrong', () => {
  const make = made();
  const resin = coatOf(make, 'resin');
  const clock = (moment: number) => new Date(moment).toISOString().slice(0, 16);
  const answer = (kind: Mishap, entries: readonly LogEntry[], minute: number, of = make, at = resin) => {
    const bench = benchOf(of, entries, START + minute * MINUTE);
    const coat = bench.coats.find(({ step }) => step === at);
    if (!coat) throw new Error('no coat');
    return mishapAnswer(kind, coat, { make: of, bench, shelf: workshop.shelf, units: workshop.settings.units, clock });
  };
  test('spilt resin is mixed anew by its amounts, in gloves', () => {
    expect(answer('spilt', [], 0)).toMatch(/in gloves.*mix anew, for all of it: [\d.]+ ml of Part A and [\d.]+ ml of Part B\.$/);
  });
  test('a window that closed: it cures, is sanded and washed first, from when that can be', () => {
    const open = {
      ...make,
      steps: make.steps.map((one) => (one === resin ? { ...one, wait: { ...one.wait, closes: 300 } } : one)),
    };
    const [laid, next] = open.steps.slice(make.steps.indexOf(resin));
    const done = [...upTo(open, laid.coat), entry(20, { what: 'done', coat: laid.coat })];
    expect(answer('too late', done, 400, open, next)).toMatch(/bonds no more.*cure until 2026-11-2.*sand it dull, wash/);
    expect(answer('too late', done, 200, open, next)).toBe('Its window is still open: go on now.');
    expect(answer('too late', [], 5)).toMatch(/Nothing lies under it/);
  });
  test('a missing jar gets the nearest of its kind that aren’t empty', () => {
    const pour = coatOf(make, 'glitter');
    const said = answer('jar missing', [], 0, make, pour);
    const [first] = pour.amounts;
    expect(said).toContain(`For ${first.name} take `);
    const [, nearest] = /^For .*? take (.*?) \(ΔE/.exec(said) ?? [];
    const empty = workshop.shelf.map((one) => (one.name === nearest ? { ...one, left: 0 } : one));
    const bench = benchOf(make, [], START);
    const coat = bench.coats.find(({ step }) => step === pour);
    expect(
      coat && mishapAnswer('jar missing', coat, { make, bench, shelf: empty, units: workshop.settings.units, clock }),
    ).not.toContain(`${nearest} (`);
  });
});
