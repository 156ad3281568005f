import fc from 'fast-check';
import { planOf } from '../src';
import { benchOf, filmOf, fromHere, halfDone, makeOf, type LogEntry, type Make } from '../src/make';
import { coatOf, entry, made, upTo } from './made';
import { demoNames, workshop } from './workshop';

const { settings } = workshop;
/** Everything before a coat done, the glitter with so many times what was planned. */
const glitterTimes = (make: Make, coat: Make['steps'][number], times: number): LogEntry[] =>
  upTo(make, coat.coat).map((one, i) => {
    const { kind, amounts } = make.steps[i];
    const poured = kind === 'glitter' ? Object.fromEntries(amounts.map(({ key, amount }) => [key, amount * times])) : {};
    return { ...one, poured } as LogEntry;
  });

test.each(demoNames)('%s: done as planned, nothing is planned anew, however far it has come', (name) => {
  const make = made(name);
  for (const step of [make.steps[0], make.steps[Math.floor(make.steps.length / 2)], make.steps[make.steps.length - 1]])
    expect(fromHere(make, upTo(make, step.coat), {}, settings)).toEqual({ amounts: [], places: [], findings: [] });
});

test('with less glitter under it the first resin is less, and mixing that leaves the film that was planned', () => {
  const make = made('copper-eaves');
  const resin = coatOf(make, 'resin');
  const planned = planOf(make.design, { settings: make.settings, shelf: make.shelf }).coats.find(({ id }) => id === resin.coat);
  fc.assert(
    fc.property(fc.double({ min: 0.1, max: 0.6, noNaN: true }), (times) => {
      const log = glitterTimes(make, resin, times);
      const { amounts } = fromHere(make, log, {}, settings);
      const ml = (of: typeof resin.amounts) =>
        of.filter(({ key }) => key === 'a' || key === 'b').reduce((sum, { amount }) => sum + amount, 0);
      const told = amounts.filter(({ coat }) => coat === resin.coat);
      const taken = resin.amounts.map((one) => told.find(({ key }) => key === one.key) ?? one) as typeof resin.amounts;
      expect(ml(taken)).toBeLessThanOrEqual(ml(resin.amounts));
      // What soaks resin up now is what really lies there.
      const design = halfDone(make, benchOf(make, log, 0).coats, settings);
      const anew = makeOf(make, { ...make, design, workshop: { settings: make.settings, shelf: make.shelf } });
      const mix = anew.steps.find(({ coat }) => coat === resin.coat)?.mix;
      expect(mix).not.toBeNull();
      if (!mix || planned?.thickness == null) return;
      const [took, asPlanned] = [filmOf(mix, ml(taken)), filmOf(mix, ml(resin.amounts))];
      expect(took).toBeGreaterThanOrEqual(planned.thickness - 1e-9);
      expect(Math.abs(took - planned.thickness)).toBeLessThanOrEqual(Math.abs(asPlanned - planned.thickness) + 1e-9);
    }),
    { numRuns: 20 },
  );
});

test('too much or too little glitter says what share stays bare then, and how far its colour is from the plan', () => {
  const make = made('copper-eaves');
  const glitter = coatOf(make, 'glitter');
  const log = upTo(make, glitter.coat);
  const laying = (times: number) => Object.fromEntries(glitter.amounts.map(({ key, amount }) => [key, amount * times]));
  const [little, much] = [fromHere(make, log, laying(0.2), settings).places, fromHere(make, log, laying(4), settings).places];
  expect(little.length).toBeGreaterThan(0);
  for (const { bare, bareBefore, says, name } of little.filter((place) => place.bare !== null)) {
    expect(Number(bare)).toBeGreaterThan(Number(bareBefore));
    expect(says).toContain(`${name}: `);
    expect(says).toMatch(/stays bare, \d+ % planned; .*\(ΔE \d+\.\d\)/);
  }
  for (const { bare, bareBefore } of much.filter((place) => place.bare !== null))
    expect(Number(bare)).toBeLessThan(Number(bareBefore));
});

test('what is being laid counts as poured: typed now or written a moment later, the same is said', () => {
  const make = made('peat-fire');
  const glitter = coatOf(make, 'glitter');
  const log = upTo(make, glitter.coat);
  const poured = Object.fromEntries(glitter.amounts.map(({ key, amount }) => [key, amount * 0.3]));
  const written = [...log, entry(900, { what: 'done', coat: glitter.coat, poured })];
  expect(fromHere(make, log, poured, settings)).toEqual(fromHere(make, written, {}, settings));
});

test('a coat that was left out brings what is wrong without it, and glitter still to be poured stays as planned', () => {
  const make = made('orchard-frost');
  const glitter = coatOf(make, 'glitter');
  const glue = make.steps[make.steps.indexOf(glitter) - 1];
  const log = [...upTo(make, glue.coat), entry(900, { what: 'skipped', coat: glue.coat, why: 'forgotten' })];
  const { findings, amounts } = fromHere(make, log, {}, settings);
  expect(findings.map(({ says }) => says).join(' ')).toContain('Nothing holds the glitter');
  expect(amounts.filter(({ key }) => key.startsWith('pour/'))).toEqual([]);
});

test.each(demoNames)('%s: whatever was poured or left out, a plan from there can be had', (name) => {
  const make = made(name, 2);
  fc.assert(
    fc.property(
      fc.array(fc.constantFrom(0, 0.5, 1, 1, 1, 3, 'out'), { minLength: make.steps.length, maxLength: make.steps.length }),
      fc.nat(make.steps.length),
      (how, far) => {
        const log = make.steps.slice(0, far).map(({ coat, amounts }, i) => {
          const times = how[i];
          if (times === 'out') return entry(i, { what: 'skipped', coat, why: 'so' });
          const poured = times === 1 ? {} : Object.fromEntries(amounts.map(({ key, amount }) => [key, Number(times) * amount]));
          return entry(i, { what: 'done', coat, poured });
        });
        const { amounts, places } = fromHere(make, log, {}, settings);
        const over = new Set(make.steps.slice(0, far).map(({ coat }) => coat));
        expect(amounts.filter(({ coat }) => over.has(coat))).toEqual([]);
        for (const { deltaE } of places) expect(Number.isFinite(deltaE)).toBe(true);
      },
    ),
    { numRuns: 6 },
  );
});
