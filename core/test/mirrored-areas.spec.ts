import fc from 'fast-check';
import {
  areaMirrored,
  areaSchema,
  areaShape,
  designSchema,
  inRegion,
  randomStream,
  regionArea,
  withArea,
  withAreaMirrored,
  type Area,
  type AreaId,
} from '../src';
import { anyArea, anyCup, soundAreas } from './any-areas';
import { coat, designWith } from './workshop';

const areaOf = (fields: object): Area => areaSchema.parse({ id: 'a', name: 'Wing', ...fields });
const level = (mm: number) => ({ by: 'foot', mm });
const ends = { lower: level(20), upper: level(90) };

test('any area mirrored covers the wall that lies opposite, and is sound; mirrored again it is as it was', () => {
  fc.assert(
    fc.property(anyCup, anyArea, fc.integer({ min: 1, max: 1e6 }), (cup, drawn, seed) => {
      const area = soundAreas(cup, [drawn]).at(0);
      const other = area && areaMirrored(area);
      if (!area || !other) return;
      expect(areaSchema.safeParse(other).success).toBe(true);
      const [one, two] = [area, other].map((each) => areaShape(each, cup, null));
      const size = regionArea(cup.stations, one);
      expect(Math.abs(regionArea(cup.stations, two) - size)).toBeLessThan(1e-3 * (1 + size));
      const top = cup.stations.at(-1)?.height ?? 0;
      const random = randomStream(seed);
      const spots = Array.from({ length: 60 }, () => [360 * random(), random()] as const);
      const differ = spots.filter(
        ([angle, share]) => inRegion(one, angle, share * top) !== inRegion(two, 360 - angle, share * top),
      );
      // A spot may lie on an edge, which is drawn to a grid.
      expect(differ.length).toBeLessThanOrEqual(1);
      const back = areaShape(areaMirrored(other) ?? other, cup, null);
      expect(Math.abs(regionArea(cup.stations, back) - size)).toBeLessThan(1e-3 * (1 + size));
    }),
    { numRuns: 300 },
  );
});

test('what has no sides, is alike on both or falls by chance has no mirrored copy', () => {
  for (const fields of [
    { kind: 'band', lower: { level: level(20) }, upper: { level: level(90) } },
    { kind: 'wedge', from: 120, width: 120, ...ends },
    { kind: 'window', outline: { shape: 'star' }, angle: 180, level: level(60), width: 30 },
    { kind: 'scatter', outline: { shape: 'spot' }, width: 5, count: 9, seed: 1, clearance: 1, turn: 'any', ...ends },
    { kind: 'base' },
  ])
    expect(areaMirrored(areaOf(fields))).toBeNull();
});

test('an outline of one’s own is turned over with its window', () => {
  const flag = [
    [
      [0, -0.5],
      [0.5, 0.2],
      [0, 0.5],
      [0, -0.5],
    ],
  ];
  const window = areaOf({
    kind: 'window',
    outline: { shape: 'own', name: 'Flag', polygons: [flag] },
    angle: 120,
    level: level(60),
    width: 30,
    turn: 10,
  });
  const mirrored = areaMirrored(window);
  expect(mirrored).toMatchObject({ angle: 240, turn: -10 });
  expect(JSON.stringify(mirrored)).toContain('[-0.5,0.2]');
});

test('a mirrored copy lies right on its like, with its blend and coats, under a name of its own', () => {
  const design = withArea(designWith([{ ...coat.glitter, on: ['low'] }]), 'wing' as AreaId, 'wedge');
  const turned = {
    ...design,
    areas: design.areas.map((area) => (area.kind === 'wedge' ? { ...area, from: 200, width: 40 } : area)),
  };
  const twice = withAreaMirrored(turned, 'wing' as AreaId, 'other' as AreaId);
  expect(twice.areas.at(-1)).toMatchObject({ id: 'other', from: 120, width: 40 });
  expect(new Set(twice.areas.map(({ name }) => name)).size).toBe(4);
  expect(designSchema.safeParse(twice).success).toBe(true);
  expect(withAreaMirrored(turned, 'low' as AreaId, 'no' as AreaId)).toBe(turned);
});
