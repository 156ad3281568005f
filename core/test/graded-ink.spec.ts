import fc from 'fast-check';
import {
  amountLines,
  cupField,
  deltaE2000,
  designSchema,
  dropsFor,
  fieldPlanOf,
  gradedHeights,
  hexOf,
  itemOf,
  labOf,
  layOver,
  lookSpectrum,
  mixSpectra,
  planOf,
  potFilm,
  reflectanceOf,
  regionArea,
  startGrading,
  ungraded,
  type Coat,
  type CoatOf,
  type Design,
  type Plan,
} from '../src';
import { cupsAtOnce } from '../src/batches';
import { afterCoats } from '../src/ink-depth';
import { coat, designWith, workshop } from './workshop';

const tinted = (more: Partial<CoatOf<'ink'>> = {}): CoatOf<'ink'> => ({ ...coat.ink, id: 'coat-1', ...more }) as CoatOf<'ink'>;
const over = (ink: Coat, paint = 'limewash'): Design => designWith([{ ...coat.base, paint }, ink, coat.rest]);
const gradeOf = (plan: Plan) => {
  const { graded, mix } = plan.coats[1];
  if (!graded || !mix) throw new Error('no pots');
  return { ...graded, mix };
};
const apart = (one: string, other: string) => deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));
const lightness = (hex: string) => labOf(reflectanceOf(hex))[0];
/** what is seen of each pot, from the foot up */
const climb = (plan: Plan) => gradeOf(plan).pots.map(({ on }) => plan.coats[1].seen[on[0]]);

describe('a coat whose load changes on the way up', () => {
  test('is measured out of a tinted and a clear pot to 0.1 ml, all of what is mixed and no more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.integer({ min: 2, max: 12 }),
        fc.constantFrom('tarn', 'chalk-white', 'fog-lamp'),
        (load, upper, pots, ink) => {
          const {
            stirred,
            pots: laid,
            mix,
          } = gradeOf(planOf(over(tinted({ load, upper, pots, ink } as Partial<CoatOf<'ink'>>)), workshop));
          const measured = laid.flatMap(({ of }) => of);
          for (const ml of measured) expect(ml * 10).toBeCloseTo(Math.round(ml * 10), 6);
          expect(Math.abs(measured.reduce((sum, ml) => sum + ml, 0) - mix.mix)).toBeLessThanOrEqual(0.1 + 1e-9);
          const dropMl = itemOf(workshop.shelf, ink, 'ink')?.dropMl ?? 0;
          stirred.forEach((pot, i) => {
            expect(pot.ml).toBeCloseTo(
              laid.reduce((sum, { of }) => sum + of[i], 0),
              6,
            );
            expect(pot.drops[0].count).toBe(
              pot.name === 'tinted' && pot.ml > 0 ? dropsFor(Math.max(load, upper), pot.ml, dropMl).drops : 0,
            );
          });
          // What is stirred in is all in the pots.
          const inPots = laid.reduce((sum, { of, loads }) => sum + (of[0] + of[1]) * loads[0], 0);
          expect(inPots).toBeCloseTo(stirred[0].ml * stirred[0].drops[0].load, 6);
        },
      ),
      { numRuns: 30 },
    );
  });
  test('gets lighter pot by pot, in steps that look alike', () => {
    const plan = planOf(over(tinted({ load: 3, upper: 0, pots: 6, thickness: 0.8 })), workshop);
    const colours = climb(plan);
    expect(colours).toHaveLength(6);
    const steps = colours.slice(1).map((colour, i) => apart(colours[i], colour));
    colours.slice(1).forEach((colour, i) => {
      expect(lightness(colour)).toBeGreaterThan(lightness(colours[i]));
    });
    const unevenness = (of: readonly number[]) => Math.max(...of) / Math.min(...of);
    // A tenth of a millilitre is what is left of it; equal steps of load would be far from even.
    expect(unevenness(steps)).toBeLessThan(1.6);
    const ink = itemOf(workshop.shelf, 'tarn', 'ink');
    if (!ink) throw new Error('no Tarn');
    const load = gradeOf(plan).stirred[0].drops[0].load;
    const wall = planOf(over(tinted({ load: 0 })), workshop).coats[0].seen['low'];
    const equal = [1, 0.8, 0.6, 0.4, 0.2, 0].map((part) =>
      hexOf(layOver(potFilm([{ ink, load: part * load }], 0.8), reflectanceOf(wall))),
    );
    expect(unevenness(equal.slice(1).map((colour, i) => apart(equal[i], colour)))).toBeGreaterThan(2);
  });
  test('from one ink to another ends in each of them', () => {
    const two = tinted({ load: 2, upper: 0, pots: 5, also: [{ ink: 'madder', load: 0, upper: 2 }] } as Partial<CoatOf<'ink'>>);
    const { pots, stirred } = gradeOf(planOf(over(two), workshop));
    expect(stirred.map(({ name }) => name)).toEqual(['lower', 'upper']);
    expect(pots[0].loads[1]).toBe(0);
    expect(pots[4].loads[0]).toBe(0);
    expect(pots[0].loads[0]).toBeGreaterThan(1);
    expect(pots[4].loads[1]).toBeGreaterThan(1);
    pots.slice(1).forEach(({ loads }, i) => {
      expect(loads[0]).toBeLessThanOrEqual(pots[i].loads[0]);
      expect(loads[1]).toBeGreaterThanOrEqual(pots[i].loads[1]);
    });
  });
  test('thins out as far as it was to, however few drops there are: they are all in one pot', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 4, noNaN: true }), fc.double({ min: 0.1, max: 0.9, noNaN: true }), (load, left) => {
        const { pots, mix } = gradeOf(planOf(over(tinted({ load, upper: load * left, pots: 4 })), workshop));
        const rim = pots[3];
        // Both parts of the uppermost pot are measured to 0.1 ml.
        expect(Math.abs(rim.loads[0] / pots[0].loads[0] - left)).toBeLessThan(0.1 / (rim.of[0] + rim.of[1]) + 1e-9);
        expect(pots[0].loads[0]).toBeLessThan(load + (0.05 * 100) / mix.mix);
      }),
      { numRuns: 20 },
    );
  });
  test('goes from the lowest to the highest spot of the areas it lies on, and parts no other', () => {
    const plan = planOf(over(tinted({ on: ['high'], load: 2, upper: 0, pots: 4 } as Partial<CoatOf<'ink'>>)), workshop);
    const { pots } = gradeOf(plan);
    const high = plan.areas.areas.find(({ id }) => id === 'high');
    expect(pots[0].heights.from).toBe(Math.floor(high?.from ?? 0));
    expect(pots[3].heights.to).toBe(Math.ceil(high?.to ?? 0));
    expect(pots.every(({ on }) => on.length > 0)).toBe(true);
    expect(plan.places.filter(({ area }) => area === 'low')).toHaveLength(1);
    // One line round all of them: they run into each other.
    const edges = plan.places.flatMap(({ area, edge }) =>
      edge ? [[area, regionArea(over(coat.rest as Coat).cup.stations, edge)]] : [],
    );
    expect(edges).toEqual([
      ['low', expect.closeTo(plan.areas.areas[0].area, 3)],
      ['high', expect.closeTo(high?.area ?? 0, 3)],
    ]);
  });
  test('whose pots look nearly alike is told so', () => {
    const found = (upper: number) =>
      planOf(over(tinted({ load: 2, upper, pots: 3 })), workshop).findings.filter(({ rule }) => rule === 'pots that look alike');
    expect(found(1.95)).toHaveLength(1);
    expect(found(0.2)).toEqual([]);
  });
  test('goes between two heights where it ends there, and to the mm', () => {
    const between = { from: 40, to: 71 };
    const coated = tinted({ load: 2, upper: 0.5, pots: 4, between });
    expect(gradedHeights(coated, between)).toEqual([
      { from: 40, to: 48 },
      { from: 48, to: 56 },
      { from: 56, to: 63 },
      { from: 63, to: 71 },
    ]);
    const plan = planOf(over(coated), workshop);
    const laid = gradeOf(plan).pots.flatMap(({ on }) => on);
    const bare = planOf(over(ungraded(coated)), workshop);
    expect(new Set(laid).size).toBe(laid.length);
    expect(plan.coats[1].area).toBeCloseTo(bare.coats[1].area ?? 0, 6);
  });
  test('lower than its pots are many has as many as there are millimetres; off the cup it is one pot', () => {
    expect(gradedHeights(tinted({ pots: 12 }), { from: 10, to: 14 })).toHaveLength(4);
    const off = tinted({ load: 2, upper: 0, pots: 4, between: { from: 400, to: 440 } });
    expect(planOf(over(off), workshop).coats[1].graded).toBeNull();
    const short = tinted({ load: 2, upper: 0, pots: 4, between: { from: 168, to: 300 } });
    expect(() => planOf(over(short), workshop)).not.toThrow();
  });
  test('takes more resin than one pot would, for what small pots keep', () => {
    const graded = tinted({ load: 2, upper: 0.5, pots: 8 });
    const [parted, whole] = [graded, ungraded(graded)].map((one) => planOf(over(one), workshop).coats[1].mix?.mix ?? 0);
    expect(parted).toBeGreaterThan(whole + 2);
    expect(parted).toBeLessThan(whole + 4);
  });
  test('begins at a quarter of its load at the rim, and is what it was once it is one pot again', () => {
    const plain = tinted({ load: 2, also: [{ ink: 'madder', load: 1 }] } as Partial<CoatOf<'ink'>>);
    const graded = startGrading(plain);
    expect(graded).toMatchObject({ pots: 6, upper: 0.5, load: 2 });
    expect(designSchema.parse(over(graded)).coats[1]).toMatchObject(graded);
    expect(ungraded(graded)).toEqual(plain);
  });
  test('is judged by its fuller end, and brought down as a whole', () => {
    const loaded = tinted({ load: 1, upper: 8, pots: 4 });
    const finding = (one: Coat) => planOf(over(one), workshop).findings.find(({ says }) => says.includes('A load of'));
    const found = finding(loaded);
    expect(found?.fix).toMatchObject({ does: 'set coat', coat: { load: 0.375, upper: 3 } });
    if (found?.fix?.does === 'set coat') expect(finding(found.fix.coat)).toBeUndefined();
  });
  test('is written out on the card, its drops in its ends and its pots by their heights', () => {
    const plan = planOf(over(tinted({ load: 2, upper: 0, pots: 3 })), workshop);
    const lines = amountLines(plan.coats[1], workshop.settings.units, []);
    expect(lines.filter((line) => line.includes(' pot: '))).toEqual([
      expect.stringMatching(/^Tinted pot: [\d.]+ ml, \d+ drops of Tarn$/),
      expect.stringMatching(/^Clear pot: [\d.]+ ml, no ink$/),
    ]);
    expect(lines).toContainEqual(expect.stringMatching(/^0 mm to 57 mm: [\d.]+ ml tinted$/));
    expect(lines).toContainEqual(expect.stringMatching(/^57 mm to 113 mm: [\d.]+ ml tinted \+ [\d.]+ ml clear$/));
    expect(lines.filter((line) => /^\d+ mm to \d+ mm: /.test(line))).toHaveLength(3);
  });
  test('for several cups has as many pots with more in each, and their loads still', () => {
    const design = over(tinted({ load: 2, upper: 0.5, pots: 4 }));
    const plan = planOf(design, workshop);
    const once = gradeOf(plan);
    const { planned, batch } = cupsAtOnce(plan, design, workshop, 3).coats[1];
    const { graded, mix } = planned;
    if (!graded || !mix || !batch) throw new Error('no pots');
    const cups = 3 / batch.pots;
    expect(graded.stirred[0].ml + graded.stirred[1].ml).toBeCloseTo(mix.mix, 0);
    graded.pots.forEach(({ of, loads }, i) => {
      expect((of[0] + of[1]) / (once.pots[i].of[0] + once.pots[i].of[1]) / cups).toBeGreaterThan(0.7);
      expect(Math.abs(loads[0] - once.pots[i].loads[0])).toBeLessThan(0.25);
    });
  });
  test('is pictured as it is told, pot by pot, each drawn into the next without a line', () => {
    const design = over(tinted({ load: 3, upper: 0, pots: 5, thickness: 0.7 }));
    const plan = planOf(design, workshop);
    const request = cupField(fieldPlanOf(plan), design.cup, 2);
    const looks = request.regions.map(({ look }) => lookSpectrum(look, plan.bareWall));
    const plain = cupField({ ...fieldPlanOf(plan), patterns: [] }, design.cup, 2).regions;
    for (const [at, { id }] of plan.places.entries()) {
      // The wall that nothing covers comes first.
      const pixels = new Set(plain[1 + at].pixels);
      const shares = request.regions.map(({ pixels: own }) => own.filter((pixel) => pixels.has(pixel)).length / pixels.size);
      expect(apart(hexOf(mixSpectra(looks, shares)), plan.finished[id])).toBeLessThan(1.5);
    }
    // Up the front, no step is as high as one from pot to pot.
    const hexes = looks.map((look) => hexOf(look));
    const column = Array.from({ length: request.height }, (_, row) => row * request.width + (request.width >> 1));
    const owners = column.map((pixel) => request.regions.findIndex(({ pixels }) => pixels.includes(pixel)));
    const up = owners.filter((own) => own >= 0).map((own) => hexes[own]);
    const potSteps = climb(plan)
      .slice(1)
      .map((colour, i) => apart(climb(plan)[i], colour));
    expect(up.length).toBeGreaterThan(50);
    expect(Math.max(...up.slice(1, -10).map((colour, i) => apart(up[i], colour)))).toBeLessThan(Math.min(...potSteps) / 2);
  });
  test('comes out pot by pot in how deep it is, thinner lighter and thicker darker', () => {
    const rows = afterCoats(over(tinted({ load: 3, upper: 0.5, pots: 3 })), workshop, tinted().id);
    expect(rows.length).toBeGreaterThanOrEqual(3);
    for (const { colours, thin, thick } of rows) {
      expect(lightness(thin)).toBeGreaterThan(lightness(colours[0]));
      expect(lightness(thick)).toBeLessThan(lightness(colours[0]));
    }
  });
});
