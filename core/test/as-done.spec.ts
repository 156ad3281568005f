import fc from 'fast-check';
import { designSchema, tidy } from '../src';
import { asDone, makeOf, recipeWith, type LogEntry, type Make, type MakeId } from '../src/make';
import { AT, coatOf, entry, made } from './made';
import { demoNames, workshop } from './workshop';

describe('as it was really done', () => {
  const anyLosses = fc.option(
    fc.record({ pot: fc.double({ min: 0.5, max: 2.5, noNaN: true }), glove: fc.double({ min: 0.01, max: 0.07, noNaN: true }) }),
    { nil: undefined },
  );
  const done = (make: Make, pouredBy: (step: Make['steps'][number]) => Record<string, number>): LogEntry[] =>
    make.steps.map((step, i) => entry(i * 1000, { what: 'done', coat: step.coat, poured: pouredBy(step) }));

  test.each(demoNames)('%s: made as planned there is nothing to change', (name) => {
    const make = made(name);
    expect(
      asDone(
        make,
        done(make, () => ({})),
        workshop.settings,
      ),
    ).toEqual([]);
  });
  test('with all that was other, the recipe’s every amount is what was measured, but where other glitter soaks up other resin', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...demoNames),
        fc.array(fc.nat(6), { minLength: 40, maxLength: 40 }),
        anyLosses,
        (name, more, losses) => {
          // What pots and gloves keep may have been learnt since it was made.
          const settings = { ...workshop.settings, losses };
          const make = made(name);
          const step = workshop.settings.resinStep;
          let at = 0;
          const next = () => more[(at += 1) % more.length];
          const poured = (one: Make['steps'][number]): Record<string, number> => {
            const { mix, amounts, kind } = one;
            const really: Record<string, number> = {};
            const a = amounts.find(({ key }) => key === 'a');
            if (mix && a && (kind === 'resin' || kind === 'ink')) {
              const [whole, part] = mix.ratio;
              really['a'] = tidy(a.amount + next() * step * whole);
              really['b'] = tidy((really['a'] * part) / whole);
            }
            for (const { key, amount, unit } of amounts)
              if (key.startsWith('pour/')) really[key] = tidy(amount + next() * 0.5);
              else if (unit === 'drop') really[key] = amount + next();
            return really;
          };
          // A blend that is poured twice takes the mean of both: here both are alike.
          const first = new Map<string, number>();
          const log = done(make, (one) =>
            Object.fromEntries(
              Object.entries(poured(one)).map(([key, amount]) => {
                if (!key.startsWith('pour/')) return [key, amount];
                first.set(key, first.get(key) ?? amount);
                return [key, first.get(key) ?? amount];
              }),
            ),
          );
          const changes = asDone(make, log, settings);
          const again = makeOf(
            { id: 'n' as MakeId, cups: 1, label: '' },
            { design: recipeWith(make, changes), revision: 1, workshop: { ...workshop, settings }, number: 2, at: AT },
          );
          make.steps.forEach((_, i) => {
            const written = log[i];
            if (written.what !== 'done') return;
            for (const { key, amount, where } of again.steps[i].amounts) {
              const really = written.poured[key];
              if (really === undefined || (make.steps[i].mix?.fill ?? 0) > 0) continue;
              expect([key, where, amount]).toEqual([key, where, expect.closeTo(really, 6)]);
            }
          });
        },
      ),
      { numRuns: 40 },
    );
  });
  test('a slip of the pen is no change to the recipe: nine litres of everything leave it as it was planned', () => {
    for (const name of demoNames) {
      const make = made(name);
      const slipped = done(make, ({ amounts }) => Object.fromEntries(amounts.map(({ key }) => [key, 9_000])));
      const changes = asDone(make, slipped, workshop.settings);
      for (const change of changes) expect(designSchema.safeParse(recipeWith(make, [change])).error).toBeUndefined();
      expect(recipeWith(make, changes).blends).toEqual(make.design.blends);
    }
  });

  test('each change can be taken by itself, the frozen recipe stays, and what was left out is gone', () => {
    const make = made('peat-fire');
    const ink = coatOf(make, 'ink');
    const seal = make.steps.find(({ kind }) => kind === 'sand') ?? make.steps[0];
    const log = make.steps.map((step, i) =>
      step === seal
        ? entry(i, { what: 'skipped', coat: step.coat, why: 'smooth already' })
        : entry(i, { what: 'done', coat: step.coat, poured: step === ink ? { a: ink.amounts[0].amount + 4 } : {} }),
    );
    const changes = asDone(make, log, workshop.settings);
    expect(changes.map(({ of, planned, really }) => [of, planned, really])).toEqual([
      [seal.title, 'laid', 'left out'],
      [`${ink.title}, film`, expect.stringMatching(/mm$/), expect.stringMatching(/mm$/)],
    ]);
    expect(recipeWith(make, [])).toEqual(make.design);
    expect(recipeWith(make, [changes[0]]).coats).toHaveLength(make.steps.length - 1);
    const thicker = recipeWith(make, [changes[1]]).coats.find(({ id }) => id === ink.coat);
    const before = make.design.coats.find(({ id }) => id === ink.coat);
    if (thicker?.kind !== 'ink' || before?.kind !== 'ink') throw new Error('no ink');
    expect(thicker.thickness).toBeGreaterThan(before.thickness);
  });
});

test('words for next time can be taken into the recipe, each with its coat', () => {
  const make = made('copper-eaves');
  const resin = coatOf(make, 'resin');
  const log = [
    entry(1, { what: 'note', coat: resin.coat, text: 'Warm the bottle first', next: true }),
    entry(2, { what: 'note', coat: resin.coat, text: 'It was raining', next: false }),
    entry(3, { what: 'note', coat: null, text: 'Of the whole cup', next: true }),
  ];
  const changes = asDone(make, log, workshop.settings);
  expect(changes.map(({ of, really }) => [of, really])).toEqual([[`${resin.title}, note`, '“Warm the bottle first”']]);
  const noted = recipeWith(make, changes).coats.find(({ id }) => id === resin.coat)?.note;
  expect(noted).toMatch(/Warm the bottle first$/);
});
