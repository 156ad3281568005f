import { coatKinds, planOf, type Plan, type PlannedCoat, type Workshop } from '../src';
import { coat, designWith, workshop } from './workshop';

const planned = (coats: readonly object[], over: Workshop = workshop): Plan => planOf(designWith(coats), over);
const first = (coats: readonly object[], over: Workshop = workshop): PlannedCoat => planned(coats, over).coats[0];
const lab = { ...workshop, settings: { ...workshop.settings, celsius: 21 } };

describe('every kind of coat', () => {
  const every = [
    { kind: 'prep' },
    coat.base,
    coat.wipe,
    coat.glitter,
    coat.press,
    coat.seal,
    coat.resin,
    coat.ink,
    coat.sand,
    { kind: 'decal', name: 'Mark', width: 40, height: 30, centre: 60 },
    coat.rest,
  ];
  test('has a name and a line that explains it', () => {
    for (const kind of Object.values(coatKinds)) {
      expect(kind.name).not.toBe('');
      expect(kind.explains).toMatch(/\.$/);
    }
  });
  test('says what it needs, waits for, does and until when', () => {
    for (const one of planned(every).coats) {
      expect(one.title).not.toBe('');
      expect(one.does).toMatch(/\.$/);
      expect(one.waitsFor).toMatch(/\.$/);
      expect(one.wait.until).not.toBe('');
      expect(one.wait.minutes).toBeGreaterThanOrEqual(0);
      expect(one.handsOn).toBeGreaterThanOrEqual(0);
    }
  });
  test('with a hazard carries its caution', () => {
    const cautions = Object.fromEntries(planned(every).coats.map((one) => [one.kind, one.cautions.join(' ')]));
    expect(cautions['base']).toMatch(/respirator/);
    expect(cautions['resin']).toMatch(/gloves/);
    expect(cautions['ink']).toMatch(/No flame/);
    expect(cautions['sand']).toMatch(/Sand wet/);
    expect(cautions['seal']).toMatch(/outdoors or in a booth/);
    expect(cautions['rest']).toMatch(/food-safe/);
  });
});

describe('amounts', () => {
  test('a resin wipe is 0.04 mm of resin over what it lies on', () => {
    const { mix, thickness, area } = first([coat.wipe]);
    expect(thickness).toBe(0.04);
    expect(mix?.film).toBeCloseTo(((area ?? 0) * 0.04) / 10, 9);
  });
  test('a brushed glue is measured by eye', () => expect(first([coat.brush])).toMatchObject({ mix: null, thickness: null }));
  test('drops follow the mix; the load is the one the drops really make', () => {
    const { mix, drops } = first([coat.ink]);
    expect(drops[0].count).toBe(Math.round((0.01 * (mix?.mix ?? 0)) / 0.04));
    expect(drops[0].load).toBeCloseTo(((drops[0].count ?? 0) * 0.04 * 100) / (mix?.mix ?? 1), 9);
  });
  test('resin on one area is less than on the cup; on both areas it is their sum', () => {
    const areaOf = (on: unknown) => first([{ ...coat.resin, on }]).area ?? NaN;
    expect(areaOf(['low']) + areaOf(['high'])).toBeCloseTo(areaOf(['low', 'high']), 9);
    expect(areaOf(['low', 'high'])).toBeLessThan(areaOf('all'));
  });
  test('by weight A and B follow their own densities', () => {
    const { mix } = first([coat.resin]);
    expect(mix?.aGrams).toBeCloseTo((mix?.a ?? 0) * 1.1, 9);
    expect(mix?.bGrams).toBeCloseTo(mix?.b ?? 0, 9);
  });
  test('a 2:1 resin keeps its ratio on the maker’s step', () => {
    const coarse = { ...lab, settings: { ...lab.settings, resinStep: 2 } };
    const { mix } = first([{ ...coat.resin, resin: 'quick-2-1' }], coarse);
    expect(mix?.a).toBe(2 * (mix?.b ?? 0));
    expect((mix?.b ?? 1) % 2).toBe(0);
  });
  test('raw glitter soaks resin up once, in whichever coat comes first', () => {
    const { coats } = planned([coat.wipe, coat.glitter, coat.ink, coat.resin]);
    expect(coats[2].mix?.fill).toBeGreaterThan(1);
    expect(coats[3].mix?.fill).toBe(0);
    expect(coats[3].title).toBe('Clear resin');
  });
});

describe('waits', () => {
  test('glue sets after the last thing that goes into it, not before', () => {
    const [glue, glitter, press] = planned([coat.brush, coat.glitter, coat.press, coat.seal], lab).coats;
    expect([glue.wait.minutes, glitter.wait.minutes, press.wait.minutes]).toEqual([0, 0, 60]);
    expect(planned([coat.brush, coat.glitter, coat.seal], lab).coats[1].wait.minutes).toBe(60);
  });
  test('a resin wipe has to cure under its glitter', () => {
    expect(planned([coat.wipe, coat.glitter, coat.resin], lab).coats[1].wait.minutes).toBe(480);
  });
  test('resin waits until tacky before resin, until hard before sanding', () => {
    expect(first([coat.resin, coat.resin], lab).wait).toMatchObject({ minutes: 180, until: expect.stringMatching(/before 7 h/) });
    expect(first([coat.resin, coat.sand], lab).wait.minutes).toBe(480);
    expect(first([coat.resin], lab).wait.minutes).toBe(480);
  });
  test('each coat of paint and each mist has its own drying time', () => {
    expect(first([coat.base], lab).wait.minutes).toBe(60);
    expect(first([{ ...coat.seal, passes: 3 }], lab).wait.minutes).toBe(75);
  });
  test('a warm room never shortens the rest, a cold one stretches it', () => {
    const at = (celsius: number) => first([coat.rest], { ...lab, settings: { ...lab.settings, celsius } }).wait.minutes;
    expect(at(30)).toBe(72 * 60);
    expect(at(21)).toBe(72 * 60);
    expect(at(11)).toBe(2 * 72 * 60);
  });
  test('all hands and waits add up to the way from first touch to cured', () => {
    const { coats, totals } = planned([coat.base, coat.wipe, coat.glitter, coat.resin, coat.rest]);
    expect(totals.elapsed).toBe(coats.reduce((sum, one) => sum + one.handsOn + one.wait.minutes, 0));
    expect(totals.handsOn).toBe(coats.reduce((sum, one) => sum + one.handsOn, 0));
  });
});

describe('thickness', () => {
  test('is where the coats are thickest: paint, wipe, laid flakes and resin', () => {
    const { totals, blends } = planned([coat.base, coat.wipe, { ...coat.glitter, on: ['low'] }, coat.resin]);
    const laid = (blends[0].kept * 50) / 1000 / 0.45;
    expect(totals.thickness).toBeCloseTo(0.05 + 0.04 + laid + 0.45, 9);
  });
  test('of no coats is none', () => expect(planned([]).totals).toMatchObject({ thickness: 0, elapsed: 0, mixes: 0 }));
});

describe('a jar that left the shelf', () => {
  const bare = { ...workshop, shelf: workshop.shelf.filter((item) => item.kind === 'glitter') };
  test.each([
    ['paint', coat.base],
    ['glue', coat.brush],
    ['resin', coat.resin],
    ['ink', coat.ink],
  ])('a %s is said to be missing, at its coat, and nothing is made up', (kind, one) => {
    const plan = planned([one], bare);
    expect(plan.findings[0]).toMatchObject({
      level: 'stop',
      coat: 'coat-0',
      says: expect.stringContaining(kind === 'ink' ? 'isn’t on the shelf' : kind),
    });
    expect(plan.coats[0]).toMatchObject({ mix: null, drops: [] });
  });
});
