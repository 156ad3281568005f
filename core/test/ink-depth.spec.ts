import fc from 'fast-check';
import { deltaE2000, itemOf, labOf, planOf, reflectanceOf, type CoatId, type Design, type Workshop } from '../src';
import { afterCoats, dropsForColour, withInkDepth } from '../src/ink-depth';
import { coat, designWith, workshop } from './workshop';

const id = 'coat-1' as CoatId;
const inked = (more: object = {}, paint = 'limewash'): Design =>
  designWith([{ ...coat.base, paint }, { ...coat.ink, ...more }, coat.rest]);
const lightness = (hex: string) => labOf(reflectanceOf(hex))[0];
const apart = (one: string, other: string) => deltaE2000(labOf(reflectanceOf(one)), labOf(reflectanceOf(other)));
const dyes = workshop.shelf.flatMap((item) => (item.kind === 'ink' && item.type === 'dye' ? [item.id] : []));
const paints = workshop.shelf.flatMap((item) => (item.kind === 'paint' ? [item.id] : []));
let made = 0;
const newId = () => `new-${(made += 1)}`;

describe('one, two and three coats', () => {
  test('are what the plan says of a coat that is laid so often', () => {
    const [low, high] = afterCoats(inked(), workshop, id);
    expect([low.name, high.name]).toEqual(['Low', 'High']);
    for (const times of [1, 2, 3]) {
      const ink = { ...coat.ink };
      const plan = planOf(
        designWith([{ ...coat.base, paint: 'limewash' }, ...Array.from({ length: times }, () => ink)]),
        workshop,
      );
      expect(low.colours[times - 1]).toBe(plan.finished['low']);
    }
  });
  test('where the film is thinner a dye is lighter, where it is thicker darker, and as it should be in between', () => {
    for (const ink of dyes) {
      const [{ colours, thin, thick }] = afterCoats(inked({ ink, load: 1 }), workshop, id);
      expect(lightness(thin)).toBeGreaterThan(lightness(colours[0]));
      expect(lightness(thick)).toBeLessThan(lightness(colours[0]));
      expect(lightness(colours[0])).toBeCloseTo(lightness(planOf(inked({ ink, load: 1 }), workshop).coats[1].seen['low']), 9);
    }
  });
  test('of a dye never come out lighter, nor do more drops, over any base', () => {
    expect(dyes.length).toBeGreaterThan(1);
    fc.assert(
      fc.property(
        fc.constantFrom(...dyes),
        fc.constantFrom(...paints),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (ink, paint, load) => {
          const [{ colours }] = afterCoats(inked({ ink, load }, paint), workshop, id);
          expect(lightness(colours[1])).toBeLessThanOrEqual(lightness(colours[0]) + 0.3);
          expect(lightness(colours[2])).toBeLessThanOrEqual(lightness(colours[1]) + 0.3);
          const [more] = afterCoats(inked({ ink, load: load + 1 }, paint), workshop, id);
          expect(lightness(more.colours[0])).toBeLessThanOrEqual(lightness(colours[0]) + 0.3);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('a coat on one area is asked about there alone; one that is no tint isn’t asked about', () => {
    expect(afterCoats(inked({ on: ['high'] }), workshop, id).map(({ place }) => place)).toEqual(['high']);
    expect(afterCoats(inked(), workshop, 'coat-0' as CoatId)).toEqual([]);
    expect(afterCoats(inked(), workshop, 'gone' as CoatId)).toEqual([]);
  });
});

describe('drops for a colour', () => {
  const mlOf = (design: Design) => planOf(design, workshop).coats[1].mix?.mix ?? 0;
  test('solved backwards they are the drops that it was predicted with, to the drop', () => {
    fc.assert(
      fc.property(fc.constantFrom(...dyes), fc.integer({ min: 2, max: 20 }), (ink, drops) => {
        const plain = inked({ ink });
        const dropMl = itemOf(workshop.shelf, ink, 'ink')?.dropMl ?? 0;
        const load = (drops * dropMl * 100) / mlOf(plain);
        fc.pre(load <= 5);
        const plan = planOf(inked({ ink, load }), workshop);
        expect(plan.coats[1].drops[0].count).toBe(drops);
        const once = dropsForColour(plain, workshop, { coat: id, place: 'low', wanted: plan.coats[1].seen['low'] }).find(
          ({ coats }) => coats === 1,
        );
        expect(once?.away).toBeLessThan(1e-6);
        // Deep tints differ by less than a screen’s colour from drop to drop.
        if (once?.drops !== drops) expect(once?.seen).toBe(plan.coats[1].seen['low']);
      }),
      { numRuns: 25 },
    );
  });
  test('no number of drops that cures is nearer', () => {
    const wanted = '#3f6f8f';
    const plain = inked();
    const dropMl = itemOf(workshop.shelf, 'tarn', 'ink')?.dropMl ?? 0;
    const found = dropsForColour(plain, workshop, { coat: id, place: 'high', wanted });
    expect(found.map(({ away }) => away)).toEqual(found.map(({ away }) => away).toSorted((a, b) => a - b));
    expect(new Set(found.map(({ coats }) => coats)).size).toBe(3);
    const once = found.find(({ coats }) => coats === 1);
    for (let drops = 1; (drops * dropMl * 100) / mlOf(plain) <= 5; drops += 1) {
      const { coats } = planOf(inked({ load: (drops * dropMl * 100) / mlOf(plain) }), workshop);
      expect(apart(coats[1].seen['high'], wanted)).toBeGreaterThanOrEqual((once?.away ?? 0) - 1e-9);
    }
  });
  test('taken, the plan counts so many drops into so many coats, comes to that colour, and isn’t too much ink', () => {
    const [nearest] = dropsForColour(inked(), workshop, { coat: id, place: 'low', wanted: '#2f5f8f' });
    const taken = withInkDepth(inked(), id, nearest, newId);
    const plan = planOf(taken, workshop);
    const tints = plan.coats.filter(({ kind }) => kind === 'ink');
    expect(tints).toHaveLength(nearest.coats);
    for (const { drops } of tints) expect(drops[0].count).toBe(nearest.drops);
    expect(plan.finished['low']).toBe(nearest.seen);
    expect(plan.findings.filter(({ rule }) => /ink/.test(rule))).toEqual([]);
    expect(new Set(taken.coats.map((one) => one.id)).size).toBe(taken.coats.length);
  });
  test('where the coat doesn’t go, or nothing is left to mix it of, there are none', () => {
    const ask = (design: Design, over: Workshop = workshop) =>
      dropsForColour(design, over, { coat: id, place: 'low', wanted: '#224466' });
    expect(ask(inked({ on: ['high'] }))).toEqual([]);
    const without = (kind: string) => ({ ...workshop, shelf: workshop.shelf.filter((item) => item.kind !== kind) });
    expect(ask(inked(), without('ink'))).toEqual([]);
    expect(ask(inked(), without('resin'))).toEqual([]);
    expect(ask(designWith([coat.base, coat.resin]))).toEqual([]);
  });
});
