import fc from 'fast-check';
import {
  areaSchema,
  bandRegion,
  circumferenceAt,
  cupSchema,
  evenOdd,
  flatOutline,
  inPolygon,
  laidOver,
  layoutOf,
  leftOf,
  middleOf,
  ontoOneTurn,
  regionArea,
  regionPixels,
  startingCup,
  together,
  typicalCups,
  unrolling,
  wallArea,
  wallLines,
  within,
  without,
  type Region,
  type Station,
} from '../src';

const straight: Station[] = [
  { height: 0, circumference: 240 },
  { height: 160, circumference: 240 },
];
const plump = typicalCups.find((cup) => cup.shape === 'curved') ?? startingCup;
const box = (left: number, right: number, bottom: number, top: number): Region => bandRegion(bottom, top, left, right);
const area = (region: Region, stations = straight) => regionArea(stations, region);

describe('the area of a region on the wall', () => {
  test('is width by height on a cylinder', () => expect(area(box(90, 180, 20, 50))).toBeCloseTo((60 * 30) / 100, 10));
  test('is the cone’s own between two heights, whatever bends lie between', () => {
    for (const [from, to] of [
      [0, 116],
      [10, 80],
      [28, 62],
      [61.9, 62.1],
    ])
      expect(area(bandRegion(from, to), [...plump.stations])).toBeCloseTo(wallArea(plump.stations, from, to), 9);
  });
  test('of a sloping edge is that of many level slices', () => {
    const { stations } = plump;
    const slope: Region = [
      [
        [
          [0, 0],
          [200, 0],
          [0, 116],
          [0, 0],
        ],
      ],
    ];
    let slices = 0;
    const steps = 4000;
    for (let i = 0; i < steps; i += 1) {
      const [low, high] = [(116 * i) / steps, (116 * (i + 1)) / steps];
      slices += (wallArea(stations, low, high) * 200 * (1 - (low + high) / 232)) / 360;
    }
    expect(area(slope, [...stations])).toBeCloseTo(slices, 4);
  });
  test('takes holes off, and doesn’t mind which way rings are drawn', () => {
    const [[outer]] = box(0, 90, 0, 60);
    const [[hole]] = box(30, 60, 20, 40);
    expect(area([[outer, hole]])).toBeCloseTo(area([[[...outer].reverse(), hole]]), 12);
    expect(area(evenOdd([outer, hole]))).toBeCloseTo((60 * 60 - 20 * 20) / 100, 9);
  });
});

describe('regions together', () => {
  const [one, other] = [box(0, 100, 0, 50), box(50, 150, 25, 75)];
  test('union, difference and intersection add up', () => {
    expect(area(together([one, other]))).toBeCloseTo(area(one) + area(other) - area(within(one, other)), 9);
    expect(area(without(one, [other]))).toBeCloseTo(area(one) - area(within(one, other)), 9);
    expect(without(one, [bandRegion(-1, 200)])).toEqual([]);
  });
  test('over the seam, what leaves at one side comes in at the other', () => {
    const turned = ontoOneTurn(box(300, 420, 10, 30));
    expect(area(turned)).toBeCloseTo(area(box(0, 120, 10, 30)), 9);
    expect(turned.some((polygon) => inPolygon(polygon, 30, 20))).toBe(true);
    expect(turned.some((polygon) => inPolygon(polygon, 90, 20))).toBe(false);
    expect(ontoOneTurn(box(-60, -30, 0, 9))[0][0].every(([angle]) => angle >= 300 && angle <= 330)).toBe(true);
  });
  test('a stripe of three turns keeps its area', () => {
    const stripe: Region = [
      [
        [
          [0, 0],
          [30, 0],
          [1110, 160],
          [1080, 160],
          [0, 0],
        ],
      ],
    ];
    expect(area(ontoOneTurn(stripe[0].length > 0 ? stripe : []))).toBeCloseTo((160 * 20) / 100, 8);
  });
  test('has its middle where it lies, over the seam too, and none when it goes round', () => {
    expect(middleOf(box(90, 130, 10, 30))).toMatchObject({ angle: 110, height: 20 });
    expect(middleOf(ontoOneTurn(box(350, 370, 10, 30)))?.angle).toBeCloseTo(0, 6);
    expect(middleOf(bandRegion(0, 40))).toBeNull();
  });
});

describe('later over earlier', () => {
  const spot = box(10, 20, 10, 20);
  const ring: Region = [[box(100, 140, 10, 50)[0][0], box(110, 130, 20, 40)[0][0]]];
  test('a motif clear of every line is a hole; a hidden one takes nothing', () => {
    const [ground, motifs] = laidOver([bandRegion(0, 60), [...spot, ...box(200, 220, 5, 15)]]);
    expect(ground).toHaveLength(1);
    expect(ground[0]).toHaveLength(3);
    expect(area(ground) + area(motifs)).toBeCloseTo(area(bandRegion(0, 60)), 9);
    const [low, hidden, top] = laidOver([bandRegion(0, 60), spot, bandRegion(5, 55)]);
    expect([area(hidden), area(low) + area(top)]).toEqual([0, expect.closeTo(area(bandRegion(0, 60)), 9)]);
  });
  test('the middle of a ring belongs to the ground again', () => {
    const [ground] = laidOver([bandRegion(0, 60), ring]);
    expect(ground.some((polygon) => inPolygon(polygon, 120, 30))).toBe(true);
    expect(ground.some((polygon) => inPolygon(polygon, 105, 30))).toBe(false);
    const [inside] = laidOver([box(115, 125, 25, 35), ring]);
    expect(area(inside)).toBeCloseTo(area(box(115, 125, 25, 35)), 12);
  });
  test('what none covers is left', () => {
    expect(area(leftOf(bandRegion(0, 160), [bandRegion(0, 60), spot]))).toBeCloseTo((240 * 100) / 100, 9);
    expect(leftOf(bandRegion(0, 60), [bandRegion(0, 60)])).toEqual([]);
  });
});

describe('the wall laid flat', () => {
  const anyCup = fc.constantFrom(...typicalCups.filter((cup) => cup.shape !== 'stemmed'));
  test('a place comes back from where it was drawn', () => {
    fc.assert(
      fc.property(
        anyCup,
        fc.double({ min: 0, max: 359, noNaN: true }),
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        (cup, angle, share) => {
          const flat = unrolling(cup.stations);
          const height = cup.stations[cup.stations.length - 1].height * share;
          const back = flat.wallPoint(...flat.point(angle, height));
          expect(back.angle).toBeCloseTo(angle, 6);
          expect(back.height).toBeCloseTo(height, 6);
          const [x, y] = flat.point(angle, height);
          expect(x).toBeGreaterThan(-1e-6);
          expect(x).toBeLessThan(flat.width + 1e-6);
          expect(y).toBeGreaterThan(-1e-6);
          expect(y).toBeLessThan(flat.height + 1e-6);
        },
      ),
    );
  });
  test('true areas: what the flat outline encloses is what the cup has', () => {
    for (const cup of typicalCups.filter(({ shape }) => shape !== 'stemmed')) {
      const flat = unrolling(cup.stations);
      const region = ontoOneTurn([
        [
          [
            [40, 12],
            [150, 12],
            [190, 60],
            [80, 60],
            [40, 12],
          ],
        ],
      ]);
      const fine = flatOutline(region, cup.stations, flat);
      const shoelace =
        Math.abs(fine[0].slice(1).reduce((sum, [x, y], i) => sum + fine[0][i][0] * y - x * fine[0][i][1], 0) / 2) / 100;
      expect(shoelace / regionArea(cup.stations, region)).toBeCloseTo(1, 2);
    }
  });
  test('at every height of a bent wall it is as wide as the tape reads', () => {
    const flat = unrolling(plump.stations);
    expect(flat.kind).toBe('map');
    for (const height of [0, 20, 62, 100])
      expect(flat.point(360, height)[0] - flat.point(0, height)[0]).toBeCloseTo(circumferenceAt(plump.stations, height), 6);
  });
  test('lines of an area leave out the seam, where no edge is', () => {
    const lines = wallLines(bandRegion(10, 50), straight);
    expect(lines).toHaveLength(2);
    expect(lines.flat().every(([, height]) => height === 10 || height === 50)).toBe(true);
  });
});

test('pixels of a region are those whose middle lies in it, each in one region only', () => {
  const picture = { width: 360, height: 160, top: 160, rowsPerMm: 1 };
  const cup = cupSchema.parse({ ...startingCup, shape: 'straight', stations: straight });
  const zig = areaSchema.parse({
    kind: 'band',
    id: 'a',
    name: 'A',
    lower: { level: { by: 'foot', mm: 0 } },
    upper: { level: { by: 'foot', mm: 80 }, teeth: { line: 'zigzag', count: 9, depth: 20 } },
  });
  const spots = areaSchema.parse({
    kind: 'scatter',
    id: 'b',
    name: 'B',
    outline: { shape: 'ring' },
    width: 20,
    count: 12,
    seed: 3,
    clearance: 1,
    turn: 'any',
    lower: { by: 'foot', mm: 0 },
    upper: { by: 'rim', mm: 0 },
  });
  const layout = layoutOf(cup, [zig, spots]);
  const counts = new Uint8Array(360 * 160);
  for (const { region } of [...layout.areas, layout.leftOver]) for (const at of regionPixels(region, picture)) counts[at] += 1;
  const coated = counts.subarray(10 * 360);
  expect(coated.filter((count) => count > 1)).toHaveLength(0);
  expect(coated.filter((count) => count === 0).length).toBeLessThan(coated.length * 0.001);
  const share = regionPixels(layout.areas[1].region, picture).length / (360 * 160);
  expect(share * 384).toBeCloseTo(layout.areas[1].area, 0);
});
