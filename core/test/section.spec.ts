import fc from 'fast-check';
import { deltaE2000, labOf, planOf, reflectanceOf, type Plan } from '../src';
import { addedWeight, designUpTo, growthOf, placeAt, sectionAt, sectionOf, spotIn } from '../src/section';
import { anyDesign, anyWorkshop } from './any-design';
import { coat, demoFile, demoNames, designWith, workshop } from './workshop';

const planned = (...coats: readonly object[]) => planOf(designWith(coats), workshop);

test('a section is what lies there, from the wall up, and no more', () => {
  const plan = planned({ kind: 'prep' }, coat.base, coat.wipe, coat.glitter, coat.press, coat.resin, coat.sand, coat.ink);
  const { layers, thickness } = sectionOf(plan, 'low');
  expect(layers.map(({ kind }) => kind)).toEqual(['base', 'glue', 'glitter', 'resin', 'ink']);
  expect(layers.map(({ number }) => number)).toEqual([2, 3, 4, 6, 8]);
  expect(layers.find(({ kind }) => kind === 'resin')?.mm).toBeCloseTo(0.45, 9);
  expect(layers.reduce((sum, { mm }) => sum + mm, 0)).toBeCloseTo(thickness, 9);
  expect(layers.at(-1)?.seen).toBe(plan.finished['low']);
});

test('another place has its own: a coat on one area is no layer of the other', () => {
  const plan = planned(coat.base, { ...coat.ink, on: ['low'] });
  expect(sectionOf(plan, 'low').layers).toHaveLength(2);
  expect(sectionOf(plan, 'high').layers).toHaveLength(1);
});

test('the thickest place of every demo design is what its totals say', () => {
  for (const name of demoNames) {
    const { design, shelf, settings } = demoFile(name);
    const plan = planOf(design, { shelf, settings });
    const places = Object.keys(plan.coats[0].thick);
    const most = Math.max(...places.map((place) => sectionOf(plan, place).thickness));
    expect(most).toBeCloseTo(plan.totals.thickness, 9);
  }
});

test('a coat of resin weighs what is spread of it, not what stays in the pot', () => {
  const plan = planned(coat.resin);
  const { mix } = plan.coats[0];
  const grams = (mix?.aGrams ?? 0) + (mix?.bGrams ?? 0);
  expect(addedWeight(plan)).toBeLessThan(grams);
  expect(addedWeight(plan)).toBeCloseTo((grams * (mix?.film ?? 0)) / (mix?.mix ?? 1), 9);
  expect(addedWeight(planned(coat.resin, coat.resin))).toBeCloseTo(2 * addedWeight(plan), 9);
  expect(addedWeight(planned())).toBe(0);
});

describe('a probe on the wall', () => {
  const { cup } = designWith([]);
  const at = (plan: Plan, angle: number, height: number) => sectionAt(plan, { angle, height }, cup.stations);
  const decal = { kind: 'decal', film: 'chalk-matt', name: 'Mark', width: 40, height: 30, centre: 40, angle: 180 };

  test('every place has a spot of its own, on any design, and the spot lies in it', () => {
    fc.assert(
      fc.property(anyDesign, anyWorkshop, (design, over) => {
        const plan = planOf(design, over);
        for (const { id, region } of plan.places) {
          const spot = spotIn(region);
          if (spot) expect(placeAt(plan, spot).id).toBe(id);
        }
      }),
      { numRuns: 60 },
    );
  });
  test('the middle of a leaning band, which lies on its own lower edge, is no spot of it', () => {
    const corners: readonly [number, number][] = [
      [0, 10],
      [100, 90],
      [40, 90],
      [0, 50],
      [0, 10],
    ];
    const spot = spotIn([[corners]]);
    const edge = 10 + ((spot?.angle ?? 0) * 80) / 100;
    expect(spot?.height).toBeGreaterThan(edge + 0.05);
  });
  test('reads what lies there: an area, what is left over, the bare lip', () => {
    const plan = planned(coat.base, coat.resin);
    expect(at(plan, 10, 20).place).toMatchObject({ id: 'low', name: 'Low' });
    expect(at(plan, 10, 120).place.id).toBe('high');
    expect(at(plan, 10, 175)).toMatchObject({ place: { id: null, name: 'the bare lip' }, layers: [], thickness: 0 });
    expect(at(plan, 10, 20).layers).toEqual(sectionOf(plan, 'low').layers);
  });
  test('a film lies between the coats before and after it, where it is and nowhere else', () => {
    const plan = planned(coat.base, coat.resin, decal, coat.seal, coat.resin);
    const under = at(plan, 180, 40);
    expect(under.layers.map(({ kind }) => kind)).toEqual(['base', 'resin', 'decal', 'resin']);
    expect(under.layers[2]).toMatchObject({ mm: 0.07, seen: '#ece5d3', tints: true, number: 3 });
    expect(under.thickness).toBeCloseTo(at(plan, 90, 40).thickness + 0.07, 9);
    expect(at(plan, 90, 40).layers.map(({ kind }) => kind)).not.toContain('decal');
    // Clear coats leave it as it is.
    expect(under.layers[3].seen).toBe('#ece5d3');
  });
  test('ink over a film is seen over the film, not over the wall', () => {
    const inked = at(planned(coat.base, decal, coat.ink), 180, 40).layers.at(-1)?.seen ?? '';
    const beside = at(planned(coat.base, decal, coat.ink), 90, 40).layers.at(-1)?.seen;
    expect(inked).not.toBe(beside);
    expect(inked).not.toBe('#ece5d3');
    const chalk = {
      ...workshop,
      shelf: workshop.shelf.map((item) => (item.kind === 'paint' ? { ...item, colour: '#ece5d3' } : item)),
    };
    const painted = planOf(designWith([coat.base, coat.ink]), chalk).finished['low'];
    expect(deltaE2000(labOf(reflectanceOf(inked)), labOf(reflectanceOf(painted)))).toBeLessThan(0.5);
  });
  test('a strip is met at its height, an outline along its edge', () => {
    const plan = planned(
      { kind: 'strip', film: 'hearth-foil', width: 6, centre: 50, length: 300 },
      {
        kind: 'outline',
        on: ['high'],
        film: 'chalk-matt',
        gap: 1,
        width: 2,
      },
    );
    const kinds = (height: number) => at(plan, 33, height).layers.map(({ kind }) => kind);
    expect(kinds(50)).toEqual(['strip']);
    expect(kinds(54)).toEqual([]);
    expect(kinds(80.9)).toEqual(['outline']);
    expect(kinds(82)).toEqual([]);
  });
});

describe('as it grows', () => {
  test('each column is what is seen after so many coats, as planned with no more than those', () => {
    for (const name of demoNames) {
      const { design, shelf, settings } = demoFile(name);
      const plan = planOf(design, { shelf, settings });
      const { steps, rows } = growthOf(plan);
      expect(rows.length).toBeGreaterThanOrEqual(plan.places.length);
      steps.forEach(({ coats }, at) => {
        const { finished } = planOf(designUpTo(design, coats), { shelf, settings });
        for (const { place, colours } of rows) expect(colours[at]).toBe(finished[place]);
      });
      // Nothing changes any more after the last.
      for (const { place, colours } of rows) expect(colours.at(-1)).toBe(plan.finished[place]);
    }
  });
  test('coats that change nothing to see are no step; a film that hides is one', () => {
    const { steps } = growthOf(planned({ kind: 'prep' }, coat.base, coat.resin, coat.sand, coat.ink, coat.rest));
    expect(steps.map(({ coats }) => coats)).toEqual([0, 2, 5]);
    const decal = { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 40 };
    const withDecal = (film: string) => growthOf(planned(coat.base, { ...decal, film })).steps.map(({ coats }) => coats);
    expect(withDecal('chalk-matt')).toEqual([0, 1, 2]);
    expect(withDecal('window-clear')).toEqual([0, 1]);
    expect(growthOf(planned()).steps).toHaveLength(1);
  });
});
