import fc from 'fast-check';
import { createPlanner, glitterFill, keptDepth, planOf, resinMix, withCoatMoved, withoutCoat, type Design } from '../src';
import { coat, demoFile, demoNames, designWith, workshop } from './workshop';

const usual = [coat.base, coat.wipe, coat.glitter, coat.press, coat.resin, coat.sand, coat.resin, coat.rest];

describe('a plan', () => {
  test('areas, left over, base and lip are the whole cup', () => {
    const edge = fc.integer({ min: 0, max: 180 });
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(edge, edge).filter(([a, b]) => a < b),
          { minLength: 1, maxLength: 8 },
        ),
        fc.boolean(),
        (edges, underside) => {
          const areas = [
            ...edges.map(([from, to], i) => ({ kind: 'band', id: `a${i}`, name: `A${i}`, from, to })),
            ...(underside ? [{ kind: 'base', id: 'u', name: 'U' }] : []),
          ];
          const { areas: planned, surface } = planOf(designWith([], { areas, blends: [] }), workshop);
          const sum = planned.areas.reduce((total, area) => total + area.area, 0);
          expect(sum + planned.leftOver.area + planned.bareBase + planned.bareLip).toBeCloseTo(surface.wall + surface.base, 9);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('amounts are those of the models', () => {
    const plan = planOf(designWith(usual), workshop);
    const [low] = plan.blends;
    expect(low.poured).toBeCloseTo((6 * 60) / plan.areas.areas[0].area, 9);
    expect(low.kept).toBeCloseTo(keptDepth(low.poured, 2.4), 9);
    expect(low.bare).toBeCloseTo(Math.exp(-low.kept), 9);
    const second = plan.coats[6];
    const wanted = resinMix({ area: plan.surface.coatable, thickness: 0.45, ratio: [1, 1], step: 0.5 });
    expect(second.mix).toMatchObject({ a: wanted.a, b: wanted.b, mix: wanted.mix });
    expect(second.mix?.need).toBeCloseTo(wanted.need, 9);
    // all flakes of `low` are 50 µm, so its share of the fill follows from its depth alone
    const lowOnly = planOf(designWith(usual, { blends: [{ area: 'low', parts: [{ item: 'penny-rain', ml: 6 }] }] }), workshop);
    expect(lowOnly.coats[4].mix?.fill).toBeCloseTo(glitterFill(plan.areas.areas[0].area, low.kept, 50), 9);
    expect(second.mix?.fill).toBe(0);
    expect(plan.totals.resinMl).toBeCloseTo(
      plan.coats.reduce((sum, one) => sum + (one.mix?.mix ?? 0), 0),
      9,
    );
    expect(plan.totals.glitterMl).toBe(12);
  });

  test('ink changes the finished colour of the areas it lies on and of no other', () => {
    const plain = planOf(designWith(usual), workshop);
    const inked = planOf(designWith([...usual, { ...coat.ink, on: ['low'] }]), workshop);
    expect(inked.finished['low']).not.toBe(plain.finished['low']);
    expect(inked.finished['high']).toBe(plain.finished['high']);
    expect(inked.coats.at(-1)?.drops[0].count).toBeGreaterThan(0);
  });

  test('glue is used up by the first glitter; a second pass needs its own', () => {
    const one = planOf(designWith([coat.wipe, coat.glitter, coat.glitter]), workshop).blends[0];
    const two = planOf(designWith([coat.wipe, coat.glitter, coat.wipe, coat.glitter]), workshop).blends[0];
    expect(one.passes).toBe(2);
    expect(two.kept).toBeCloseTo(2 * one.kept, 9);
    expect(one.forCover.ml).not.toBeNull();
    expect(planOf(designWith([coat.brush, coat.glitter]), workshop).blends[0].forCover.ml).toBeNull();
  });

  test('waits stretch in a cold room', () => {
    const cold = { ...workshop, settings: { ...workshop.settings, celsius: 11 } };
    const warm = planOf(designWith([coat.resin, coat.sand]), workshop).coats[0].wait.minutes;
    expect(planOf(designWith([coat.resin, coat.sand]), cold).coats[0].wait.minutes / warm).toBeCloseTo(2 ** 1.04, 1);
  });

  test('before a coat pours it, a blend is shown as if all stuck', () => {
    const [low] = planOf(designWith([coat.base]), workshop).blends;
    expect(low).toMatchObject({ passes: 0, under: '#8c3a1f' });
    expect(low.kept).toBe(low.poured);
  });

  test('a jar that left the shelf is marked and counts for nothing', () => {
    const shelf = workshop.shelf.filter((item) => item.id !== 'rust-road');
    const plan = planOf(designWith(usual), { ...workshop, shelf });
    const parts = plan.blends[1].parts;
    expect(parts.map((part) => part.missing)).toEqual([true, false]);
    expect(plan.blends[1].ml).toBe(2);
    expect(plan.findings[0]).toMatchObject({ rule: 'no longer on the shelf', area: 'high' });
  });

  test.each(demoNames)('%s has no number that isn’t one', (name) => {
    const { design, shelf, settings } = demoFile(name);
    const plan = planOf(design, { shelf, settings });
    const odd: string[] = [];
    const walk = (value: unknown, path: string): void => {
      if (typeof value === 'number' && !Number.isFinite(value)) odd.push(path);
      else if (value && typeof value === 'object')
        for (const [key, inner] of Object.entries(value)) walk(inner, `${path}.${key}`);
    };
    walk(plan, 'plan');
    expect(odd).toEqual([]);
    expect(plan.findings.filter((finding) => finding.level === 'stop')).toEqual([]);
    expect(plan.areas.leftOver.area).toBeCloseTo(0, 9);
  });

  test('empty and odd designs are planned without a NaN', () => {
    const hidden = designWith(usual, {
      areas: [
        { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
        { kind: 'band', id: 'high', name: 'High', from: 0, to: 170 },
      ],
    });
    for (const design of [designWith([], { areas: [], blends: [] }), hidden])
      // No glue concerns what is poured on nothing, so that its hold is none.
      expect(JSON.stringify(planOf(design, workshop))).not.toMatch(/(?<!"hold"):null,"(ml|kept|poured|bare)|NaN/);
    expect(planOf(hidden, workshop).blends[0]).toMatchObject({ poured: 0, kept: 0 });
  });
});

describe('stages are remembered', () => {
  test('a turned knob works out only what hangs on it', () => {
    const planner = createPlanner();
    const before = planner(designWith(usual), workshop);
    const design = designWith(usual);
    const first = planner(design, workshop);
    const turned: Design = {
      ...design,
      blends: [{ ...design.blends[0], parts: [{ ...design.blends[0].parts[0], ml: 7 }] }, design.blends[1]],
    };
    const second = planner(turned, workshop);
    expect(second.areas).toBe(first.areas);
    expect(second.surface).toBe(first.surface);
    expect(second.blends[1].parts).toBe(first.blends[1].parts);
    expect(second.blends[0].ml).toBe(7);
    expect(before).toEqual(first);
    expect(planner(design, workshop).coats).toEqual(first.coats);
  });
  test('coats moved, taken out, put back and set otherwise are laid as if for the first time', () => {
    const mask = { kind: 'mask', on: ['low'] };
    const design = designWith([mask, ...usual, { kind: 'unmask', on: ['low'] }, coat.ink, coat.rest]);
    const change = fc.oneof(
      fc.record({ from: fc.nat(design.coats.length - 1), to: fc.nat(design.coats.length - 1) }),
      fc.record({ out: fc.nat(design.coats.length - 1) }),
      fc.record({ film: fc.constantFrom(0.2, 0.4, 0.6) }),
    );
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 8 }), (changes) => {
        const planner = createPlanner();
        let now = design;
        for (const one of changes) {
          if ('from' in one)
            now = withCoatMoved(now, Math.min(one.from, now.coats.length - 1), Math.min(one.to, now.coats.length - 1));
          else if ('out' in one && now.coats.length > 1) now = withoutCoat(now, now.coats[one.out % now.coats.length].id);
          else if ('film' in one)
            now = { ...now, coats: now.coats.map((coat) => (coat.kind === 'resin' ? { ...coat, thickness: one.film } : coat)) };
          expect(JSON.stringify(planner(now, workshop))).toBe(JSON.stringify(createPlanner()(now, workshop)));
        }
      }),
      { numRuns: 40 },
    );
  });
  test('a coat moved leaves what is laid before it as it was', () => {
    const planner = createPlanner();
    const design = designWith(usual);
    const last = design.coats.length - 1;
    const [before, after] = [design, withCoatMoved(design, last, last - 1)].map((one) => planner(one, workshop));
    // The coat before it is followed by another kind: what it waits for may be another.
    for (let at = 0; at < last - 2; at += 1) expect(after.coats[at]).toBe(before.coats[at]);
    expect(after.coats[last].id).toBe(before.coats[last - 1].id);
  });
});
