import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { cupSchema, designSchema, planOf, type Cup, type Design } from '../src';
import { refit, type RefitWays } from '../src/refit';
import { demoFile, demoNames, workshop } from './workshop';

const cups: readonly Cup[] = (
  JSON.parse(readFileSync(join(import.meta.dirname, '..', '..', 'demo', 'cups.json'), 'utf8')) as { cup?: unknown }[]
).map((one) => cupSchema.parse(one.cup ?? one));
const usual: RefitWays = { heights: 'share', teeth: 'number', motifs: 'scaled' };
const others: readonly RefitWays[] = [
  { heights: 'mm', teeth: 'width', motifs: 'same size' },
  { heights: 'mm', teeth: 'number', motifs: 'scaled' },
];
const designOf = (name: (typeof demoNames)[number]): Design => demoFile(name).design;
const larger = (cup: Cup, times: number): Cup =>
  cupSchema.parse({
    ...cup,
    lipStrip: cup.lipStrip * times,
    stations: cup.stations.map(({ height, circumference }) => ({ height: height * times, circumference: circumference * times })),
  });

test.each(demoNames)('%s on every demo cup, laid out by mm, fits or says why not', (name) => {
  for (const cup of cups)
    for (const way of others) {
      const on = refit(designOf(name), cup, way, workshop);
      if (!on.fits) {
        expect(on.says).toMatch(/\.$/);
        continue;
      }
      expect(designSchema.safeParse(on.design).success).toBe(true);
      expect(on.design.cup).toEqual(cup);
      for (const { says, why } of on.unfit) expect(says.length * why.length).toBeGreaterThan(0);
    }
});

test.each(demoNames)('%s by share of height goes on every demo cup', (name) => {
  for (const cup of cups)
    expect([cup.name, refit(designOf(name), cup, usual, workshop)]).toEqual([cup.name, expect.objectContaining({ fits: true })]);
});

test.each(demoNames)('%s on its own cup stays as it is, but for spoons', (name) => {
  const design = designOf(name);
  const on = refit(design, design.cup, usual, workshop);
  expect(on.fits && on.design.areas).toEqual(design.areas);
  expect(on.fits && on.unfit).toEqual([]);
  for (const { before, after } of on.fits ? on.lines : []) expect(after).toBe(before);
});

test.each(demoNames)('%s on a cup of so many times its size is as deep and bare as it was, to the spoon', (name) => {
  fc.assert(
    fc.property(fc.double({ min: 0.75, max: 1.4, noNaN: true }), (times) => {
      const design = designOf(name);
      const on = refit(design, larger(design.cup, times), usual, {
        ...workshop,
        settings: { ...workshop.settings, spoonStep: 0.01 },
      });
      if (!on.fits) return;
      const before = planOf(design, workshop);
      for (const { area, bare } of on.after.blends) {
        const was = before.blends.find((one) => one.area === area);
        expect(Math.abs(bare - (was?.bare ?? 1))).toBeLessThan(0.02);
      }
    }),
    { numRuns: 6 },
  );
});

describe('on a cup twice as wide round and as tall', () => {
  const design = designOf('copper-eaves');
  const [toothed] = design.areas.filter((area) => area.kind === 'band' && (area.lower.teeth ?? area.upper.teeth));
  const teeth = (one: Design): number => {
    const area = one.areas.find(({ id }) => id === toothed.id);
    return area?.kind === 'band' ? ((area.lower.teeth ?? area.upper.teeth)?.count ?? 0) : 0;
  };
  const twice = larger(design.cup, 2);
  const on = (way: Partial<RefitWays>): Design => {
    const fitted = refit(design, twice, { ...usual, ...way }, workshop);
    if (!fitted.fits) throw new Error(fitted.says);
    return fitted.design;
  };

  test('teeth stay as many, or as wide: then there are twice as many, whole ones', () => {
    expect(teeth(on({}))).toBe(teeth(design));
    expect(teeth(on({ teeth: 'width' }))).toBe(2 * teeth(design));
  });
  test('edges keep their share of the wall, or their mm; locked areas keep their mm either way', () => {
    const locked = { ...design, areas: design.areas.map((area) => ({ ...area, locked: true })) };
    const edges = (one: Design) => planOf(one, workshop).areas.areas.map(({ from, to }) => [from, to]);
    const byMm = edges(on({ heights: 'mm' }));
    const kept = refit(locked, twice, usual, workshop);
    expect(kept.fits && edges(kept.design)).toEqual(byMm);
    expect(edges(on({}))).not.toEqual(byMm);
  });
});

test('a pour that would be more than any cup takes is said, not left as it was', () => {
  const design = designOf('copper-eaves');
  const much = {
    ...design,
    blends: design.blends.map((blend) => ({ ...blend, parts: blend.parts.map((part) => ({ ...part, ml: 400 })) })),
  };
  const on = refit(much, larger(design.cup, 1.4), usual, workshop);
  expect(on.fits ? null : on.says).toMatch(/500 ml/);
});
