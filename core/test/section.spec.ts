import { planOf } from '../src';
import { addedWeight, sectionOf } from '../src/section';
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
