import fc from 'fast-check';
import { inPolygon, insideOf, planOf, type RegionPolygon } from '../src';
import { anyDesign } from './any-design';
import { demoFile, demoNames, workshop } from './workshop';

/** The polygons of a design's places, however ragged. */
const polygonsOf = (design: Parameters<typeof planOf>[0]): readonly RegionPolygon[] =>
  planOf(design, workshop).places.flatMap(({ region }) => region);

/** Whether both ways of telling agree at some places about a polygon, its own corners among them. */
function agree(polygon: RegionPolygon, shares: readonly (readonly [number, number])[]): void {
  const inside = insideOf(polygon);
  const corners = polygon.flatMap((ring) => ring.slice(0, 6));
  const strewn = shares.map(([a, h]) => [a * 400 - 20, h * 320 - 10] as const);
  const mixed = corners.flatMap(([a]) => strewn.map(([, h]) => [a, h] as const));
  const otherwise = [...corners, ...strewn, ...mixed].filter(
    ([angle, height]) => inside(angle, height) !== inPolygon(polygon, angle, height),
  );
  expect(otherwise).toEqual([]);
}
const share = fc.tuple(fc.double({ min: 0, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }));

test.each(demoNames)('whether a place lies in an area of %s is told as by looking at each edge', (name) => {
  fc.assert(
    fc.property(fc.array(share, { minLength: 5, maxLength: 10 }), (shares) => {
      for (const polygon of polygonsOf(demoFile(name).design)) agree(polygon, shares);
    }),
    { numRuns: 5 },
  );
});

test('so it is for any areas', () => {
  fc.assert(
    fc.property(anyDesign, fc.array(share, { minLength: 5, maxLength: 10 }), (design, shares) => {
      for (const polygon of polygonsOf(design)) agree(polygon, shares);
    }),
    { numRuns: 20 },
  );
});

test('a polygon without width holds nothing', () => {
  const inside = insideOf([
    [
      [10, 0],
      [10, 40],
      [10, 0],
    ],
  ]);
  for (const height of [0, 20, 40]) expect(inside(10, height)).toBe(false);
});
