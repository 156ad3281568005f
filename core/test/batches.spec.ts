import fc from 'fast-check';
import {
  batchFor,
  cardOf,
  gramText,
  itemOf,
  mixOf,
  mixWeight,
  planOf,
  resinMix,
  volumeRatio,
  type ItemOf,
  type Workshop,
} from '../src';
import { cupsAtOnce, leftOverOf, MOST_CUPS, sharedBatches } from '../src/batches';
import { anyDesign, anyWorkshop } from './any-design';
import { coat, designWith, workshop } from './workshop';

const slow = itemOf(workshop.shelf, 'slow-1-1', 'resin') as ItemOf<'resin'>;
const onCups = (coats: readonly object[], cups: number, over: Workshop = workshop) => {
  const design = designWith(coats);
  return cupsAtOnce(planOf(design, over), design, over, cups);
};
const usual = [coat.base, coat.wipe, coat.glitter, coat.press, coat.resin, coat.sand, coat.ink, coat.sand, coat.resin, coat.rest];

describe('several cups at once', () => {
  test('one cup is what the plan says, for any design', () => {
    fc.assert(
      fc.property(anyDesign, anyWorkshop, (design, over) => {
        const plan = planOf(design, over);
        const { materials, saved, coats } = cupsAtOnce(plan, design, over, 1);
        const whole = coats.every(({ batch }) => batch === null || batch.pots === 1);
        if (!whole) return;
        const { glitters, resins, inks, others } = plan.totals;
        expect(materials).toEqual({ glitters, resins, inks, others });
        expect(saved).toBeCloseTo(0, 9);
      }),
      { numRuns: 100 },
    );
  });
  test('glitter, paint and film are so many times as much, to the spoon', () => {
    const [one, five] = [onCups(usual, 1), onCups(usual, 5)];
    five.materials.glitters.forEach(({ ml }, i) => expect(ml).toBeCloseTo(5 * one.materials.glitters[i].ml, 9));
    five.materials.others.forEach(({ amount }, i) => expect(amount).toBeCloseTo(5 * one.materials.others[i].amount, 9));
    expect(five.coats.map(({ planned }) => planned.area)).toEqual(
      one.coats.map(({ planned }) => (planned.area === null ? null : 5 * planned.area)),
    );
  });
  test('resin covers all of them, keeps its ratio, and is less than for one after the other', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: MOST_CUPS }), fc.constantFrom('slow-1-1', 'quick-2-1'), (cups, resin) => {
        const coats = usual.map((one) => ('resin' in one && one.resin !== null ? { ...one, resin } : one));
        const one = onCups(coats, 1);
        const { coats: laid, saved } = onCups(coats, cups);
        expect(saved).toBeGreaterThanOrEqual(-1e-9);
        laid.forEach(({ planned: { mix }, batch }, i) => {
          const alone = one.coats[i].planned.mix;
          if (!mix || !batch || !alone) return;
          const [a, b] = mix.ratio;
          expect(mix.a / mix.b).toBeCloseTo(a / b, 9);
          const onThem = (one.coats[i].batch?.pots ?? 1) * cups * (alone.film + alone.fill);
          expect(batch.pots * (mix.film + mix.fill)).toBeCloseTo(onThem, 6);
          expect(batch.pots * mix.mix).toBeGreaterThan(onThem);
        });
      }),
      { numRuns: 60 },
    );
  });
  test('a pot is on before it goes off, and one pot fewer wouldn’t be', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 4000, noNaN: true }),
        fc.integer({ min: 15, max: 35 }),
        fc.integer({ min: 8, max: 60 }),
        (area, celsius, potLife) => {
          const settings = { ...workshop.settings, celsius };
          const batch = batchFor({ area, thickness: 0.4, fill: 2 }, { ...slow, potLife }, settings);
          expect(batch.inTime).toBe(batch.lasts >= batch.takes);
          if (!batch.inTime) expect(batch.pots).toBe(1);
          else if (batch.pots > 1) {
            const larger = resinMix({ area: area / (batch.pots - 1), thickness: 0.4, ratio: slow.ratio });
            expect(larger.mix).toBeGreaterThan(batch.each.mix - 2);
            expect(batch.takes).toBeLessThanOrEqual(batch.lasts);
          }
        },
      ),
    );
    const hot = { ...workshop.settings, celsius: 30 };
    const [two, one] = [1400, 500].map((area) => batchFor({ area, thickness: 0.4, fill: 0 }, { ...slow, potLife: 30 }, hot).pots);
    expect(two).toBeGreaterThan(one);
  });
  test('ink is counted out for each pot by its own mix', () => {
    const [, { planned }] = onCups([coat.base, coat.ink], 3).coats;
    const [, single] = onCups([coat.base, coat.ink], 1).coats;
    expect(planned.drops[0].load).toBeCloseTo(1, 0);
    expect(planned.drops[0].count).toBeGreaterThan(2 * (single.planned.drops[0].count ?? 0));
  });
});

describe('what is left over', () => {
  const areas = [
    { name: 'Low', area: 200 },
    { name: 'Star', area: 20 },
    { name: 'Spot', area: 5 },
    { name: 'Gone', area: 0 },
  ];
  const over = (ml: number) => leftOverOf({ need: 10, mix: 10 + ml }, areas, workshop.settings.units);
  test('what it would do takes no more than there is', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 9, noNaN: true }), (ml) => {
        const left = over(ml);
        if (!left) return expect(ml).toBeLessThan(0.3 + 1e-9);
        const named = areas.find(({ name }) => left.would.includes(name));
        if (named) expect((named.area * 0.35) / 10).toBeLessThanOrEqual(ml + 1e-9);
        const dabs = Number(/(\d+) test dab/.exec(left.would)?.[1]);
        expect(dabs * 0.14).toBeLessThanOrEqual(ml + 1e-9);
        expect(dabs).toBeGreaterThan(0);
      }),
    );
  });
  test('it is the largest area that it covers', () => {
    expect(over(1)?.would).toBe('a tinted coat of 0.35 mm on Star (20.0 cm²), or 7 test dabs of 2 × 2 cm');
    expect(over(0.31)?.would).toBe('a tinted coat of 0.35 mm on Spot (5.0 cm²), or 2 test dabs of 2 × 2 cm');
    expect(over(0.1)).toBeNull();
  });
});

describe('one mix for several coats', () => {
  const ink = (on: string, more: object = {}) => ({ ...coat.ink, on: [on], ...more });
  const shared = (...coats: readonly object[]) => {
    const design = designWith(coats);
    return sharedBatches(planOf(design, workshop), design, workshop);
  };
  test('coats of one resin on different areas are measured together, for less', () => {
    const design = designWith([coat.base, ink('low'), ink('high', { ink: 'madder' })]);
    const plan = planOf(design, workshop);
    const [one, ...others] = sharedBatches(plan, design, workshop);
    expect(others).toEqual([]);
    expect(one.coats).toEqual([2, 3]);
    const apart = plan.coats.reduce((sum, { mix }) => sum + (mix?.mix ?? 0), 0);
    expect(one.mix + one.saved).toBeCloseTo(apart, 9);
    const onCup = plan.coats.reduce((sum, { mix }) => sum + (mix ? mix.film + mix.fill : 0), 0);
    expect(one.mix).toBeGreaterThan(onCup);
  });
  test('not over each other, not of two resins, and not with something between', () => {
    expect(shared(ink('low'), ink('low'))).toEqual([]);
    expect(shared(ink('low'), coat.ink)).toEqual([]);
    expect(shared(ink('low'), ink('high', { resin: 'quick-2-1' }))).toEqual([]);
    expect(shared(ink('low'), coat.sand, ink('high'))).toEqual([]);
  });
});

describe('a ratio by weight', () => {
  const heavy = {
    ...slow,
    ratio: [100, 83] as [number, number],
    ratioBy: 'weight' as const,
    density: [1.12, 0.98] as [number, number],
  };
  const over = { ...workshop, shelf: workshop.shelf.map((item) => (item.id === 'slow-1-1' ? heavy : item)) };
  test('is kept on the scale to the hair, for any coat, and never falls short', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 2000, noNaN: true }),
        fc.double({ min: 0.05, max: 0.8, noNaN: true }),
        (area, thickness) => {
          const mix = mixOf(heavy, { area, thickness, fill: 0 }, workshop.settings);
          expect((mix.a * 1.12) / (mix.b * 0.98)).toBeCloseTo(100 / 83, 9);
          expect(mix.mix).toBeGreaterThanOrEqual(mix.need - 1e-9);
          // The smaller part goes up by one step of the scale at most.
          expect((mix.mix - mix.need) * (83 / 183) * 1.05).toBeLessThan(0.5 + 0.1 * mix.need);
        },
      ),
    );
  });
  test('is measured in grams first, on the screen’s card as well', () => {
    const design = designWith([coat.resin]);
    const plan = planOf(design, over);
    const { mix } = plan.coats[0];
    expect(mix).toMatchObject({ ratio: [100, 83], ratioBy: 'weight' });
    const [line] = cardOf(plan, design, over.settings).coats[0].amounts.filter((text) => text.includes(heavy.name));
    expect(line).toContain('100:83 by weight');
    expect(line).toContain(`A ${gramText(mix?.aGrams ?? 0)} (`);
  });
  test('one to one by weight is one to one by volume only of equal densities', () => {
    const even = { ...heavy, ratio: [1, 1] as [number, number] };
    expect(volumeRatio(even)[1] / volumeRatio(even)[0]).toBeCloseTo(1.12 / 0.98, 9);
    expect(volumeRatio({ ...even, density: [1.1, 1.1] })[0]).toBeCloseTo(volumeRatio({ ...even, density: [1.1, 1.1] })[1], 9);
    expect(mixWeight(even)).toBeCloseTo(2 / (1 / 1.12 + 1 / 0.98), 9);
  });
  test('for several cups it is kept in each pot', () => {
    const design = designWith([coat.resin]);
    for (const { planned, batch } of cupsAtOnce(planOf(design, over), design, over, 7).coats)
      if (planned.mix && batch) expect(planned.mix.aGrams / planned.mix.bGrams).toBeCloseTo(100 / 83, 9);
  });
});
