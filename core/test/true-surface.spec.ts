import fc from 'fast-check';
import {
  areaFaults,
  areaSchema,
  circumferenceAt,
  cupSchema,
  designSchema,
  layoutOf,
  placeMotif,
  planOf,
  plainOutlines,
  reachOf,
  regionArea,
  scatteredPlaces,
  shapeOf,
  stripFit,
  typicalCups,
  wallDistance,
  wallLength,
  type AreaOf,
  type Cup,
  type MotifShape,
} from '../src';
import { templatesOf, usualWishes } from '../src/templates';
import { anyCup } from './any-areas';
import { workshop } from './workshop';

const cupOf = (shape: string, volume: number): Cup => {
  const cup = typicalCups.find((one) => one.shape === shape && one.volume === volume);
  if (!cup) throw new Error(`no ${shape} of ${volume} ml`);
  return cupSchema.parse(cup);
};
const heightOn = (cup: Cup, share: number) => share * cup.stations[cup.stations.length - 1].height;

describe('a straight strip', () => {
  test('goes round wherever it lies, and is as wide as the wall is long there', () => {
    fc.assert(
      fc.property(
        anyCup,
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        fc.double({ min: 0.02, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (cup, low, tall, at) => {
          const [from, to] = [heightOn(cup, low), heightOn(cup, Math.min(1, low + tall))];
          const fit = stripFit(cup.stations, from, to);
          expect(fit.longest).toBeGreaterThanOrEqual(circumferenceAt(cup.stations, from + at * (to - from)) - 1e-9);
          expect(fit.shortest).toBeLessThanOrEqual(circumferenceAt(cup.stations, from + at * (to - from)) + 1e-9);
          expect(fit.cutLength).toBeCloseTo(fit.longest + 5, 9);
          expect(fit.width).toBeCloseTo(wallLength(cup.stations, from, to), 9);
        },
      ),
    );
  });
  test.each([
    ['tapered', 600, 35, 141, 264.88],
    ['stemmed', 400, 90, 200, 282],
    ['curved', 550, 30, 130, 300],
  ] as const)('on a %s cup of %d ml is drawn to the widest, %d to %d mm', (shape, volume, from, to, longest) => {
    const cup = cupOf(shape, volume);
    const band = {
      kind: 'band',
      id: 'b',
      name: 'Band',
      lower: { level: { by: 'foot', mm: from } },
      upper: { level: { by: 'foot', mm: to } },
    };
    const design = designSchema.parse({ version: 2, id: 'd', name: 'D', cup, areas: [band], blends: [], coats: [] });
    const strip = templatesOf(design, planOf(design, workshop)).find(({ id }) => id === 'strip b');
    const points = strip?.draw({ ...usualWishes, overlap: 5, straight: true }).sheets[0].lines[0].points ?? [];
    const spread = (axis: 0 | 1) =>
      Math.max(...points.map((point) => point[axis])) - Math.min(...points.map((point) => point[axis]));
    expect(spread(0)).toBeCloseTo(longest + 5, 1);
    expect(spread(1)).toBeCloseTo(wallLength(cup.stations, from, to), 1);
  });
});

describe('a motif', () => {
  /** mm² of a flat outline, holes off */
  const flatArea = (shape: MotifShape, width: number) =>
    shape.reduce(
      (sum, [outline, ...holes]) => sum + shoelace(outline) - holes.reduce((all, hole) => all + shoelace(hole), 0),
      0,
    ) *
    width *
    width;
  const shoelace = (ring: readonly (readonly [number, number])[]) =>
    Math.abs(ring.slice(1).reduce((sum, [x, y], i) => sum + ring[i][0] * y - x * ring[i][1], 0)) / 2;
  const tall: MotifShape = [
    [
      [
        [-0.5, -1.5],
        [0.5, -1.5],
        [0.5, 1.5],
        [-0.5, 1.5],
        [-0.5, -1.5],
      ],
    ],
  ];

  test('keeps the size of its flat sheet on any wall, turned any way, over any bend', () => {
    fc.assert(
      fc.property(
        anyCup,
        fc.constantFrom(tall, ...plainOutlines.map((shape) => shapeOf({ shape }))),
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.integer({ min: 5, max: 40 }),
        fc.integer({ min: 0, max: 360 }),
        (cup, shape, share, width, turn) => {
          const [height, reach] = [heightOn(cup, share), Math.max(...shape.flat(2).map(([x, y]) => Math.hypot(x, y))) * width];
          const along = wallLength(cup.stations, 0, height);
          const whole = wallLength(cup.stations, 0, Infinity);
          fc.pre(along > reach && whole - along > reach);
          const region = placeMotif(shape, { angle: 120, height, width, turn }, cup.stations);
          const flat = flatArea(shape, width) / 100;
          expect(Math.abs(regionArea(cup.stations, region) - flat)).toBeLessThan(0.002 * flat);
        },
      ),
      { numRuns: 300 },
    );
  });
});

test('scattered motifs keep their distance and stay in their host on every wall, a plate of a foot too', () => {
  fc.assert(
    fc.property(
      anyCup,
      fc.integer({ min: 0, max: 999 }),
      fc.integer({ min: 2, max: 12 }),
      fc.integer({ min: 0, max: 6 }),
      fc.constantFrom('spot' as const, 'lozenge' as const),
      (cup, seed, width, clearance, shape) => {
        const host = areaSchema.parse({
          kind: 'wedge',
          id: 'host',
          name: 'Host',
          from: 20,
          width: 200,
          lower: { by: 'share', share: 0 },
          upper: { by: 'share', share: 1 },
        });
        const drawn = {
          kind: 'scatter',
          id: 's',
          name: 'S',
          outline: { shape },
          width,
          count: 60,
          seed,
          clearance,
          turn: 'any',
          inside: 'host',
          lower: { by: 'share', share: 0 },
          upper: { by: 'share', share: 1 },
        };
        const scatter = areaSchema.parse(drawn) as AreaOf<'scatter'>;
        fc.pre(areaFaults(scatter, cup).length === 0);
        const { areas } = layoutOf(cup, [host, scatter]);
        const places = scatteredPlaces(scatter, cup, areas[0].own);
        const spots = places.map(([angle, height]) => ({
          angle,
          height,
          radius: circumferenceAt(cup.stations, height) / (2 * Math.PI),
        }));
        const apart = 2 * reachOf(scatter.outline) * width + clearance;
        const distances = spots.flatMap((spot, i) => spots.slice(i + 1).map((other) => wallDistance(cup.stations, spot, other)));
        expect(Math.min(Infinity, ...distances)).toBeGreaterThan(apart - 0.021);
        const toEdges = areas[1].own.flatMap(([outline]) =>
          outline.map(([angle, height]) => (Math.min(angle - 20, 220 - angle) * circumferenceAt(cup.stations, height)) / 360),
        );
        expect(Math.min(Infinity, ...toEdges)).toBeGreaterThan(clearance - 0.02);
      },
    ),
    { numRuns: 25 },
  );
});

test('a band with two hundred scallops on both edges is judged rightly, crossings and all', () => {
  const cup = cupOf('tapered', 600);
  const edge = (mm: number) => ({ level: { by: 'foot', mm }, teeth: { line: 'scallop', count: 200, depth: 6 } });
  const band = areaSchema.parse({ kind: 'band', id: 'b', name: 'Band', lower: edge(40), upper: edge(60) });
  expect(areaFaults(band, cup)).toEqual([]);
  const crossing = areaSchema.parse({
    kind: 'band',
    id: 'b',
    name: 'Band',
    lower: edge(57),
    upper: { ...edge(60), teeth: { line: 'zigzag', count: 199, depth: 6 } },
  });
  expect(areaFaults(crossing, cup)).toMatchObject([{ field: 'upper.teeth', sentence: expect.stringMatching(/cross at/) }]);
});
