import fc from 'fast-check';
import {
  areaFaults,
  areaSchema,
  baseArea,
  cupSchema,
  layoutOf,
  regionArea,
  typicalCups,
  wallArea,
  type Area,
  type Cup,
} from '../src';

/** Any layout a maker could make on a cup, areas that don't fit it left out. */
const share = fc.double({ min: 0, max: 1, noNaN: true });
const level = fc.oneof(
  fc.record({ by: fc.constant('share' as const), share }),
  fc.record({ by: fc.constant('foot' as const), mm: fc.integer({ min: 0, max: 120 }) }),
  fc.record({ by: fc.constant('rim' as const), mm: fc.integer({ min: 0, max: 60 }) }),
);
const teeth = fc.option(
  fc.record({
    line: fc.constantFrom('zigzag' as const, 'scallop' as const, 'wave' as const),
    count: fc.integer({ min: 1, max: 24 }),
    depth: fc.integer({ min: 1, max: 30 }),
    shift: fc.integer({ min: 0, max: 360 }),
  }),
);
const edge = fc.record({ level, teeth });
const angle = fc.oneof(fc.integer({ min: 0, max: 359 }), fc.double({ min: 0, max: 359.9, noNaN: true }));
const outline = fc.constantFrom('spot', 'ring', 'star', 'petal', 'crescent').map((shape) => ({ shape }));
const anyArea = fc.oneof(
  fc.record({ kind: fc.constant('band'), lower: edge, upper: edge }),
  fc.record({
    kind: fc.constant('wedge'),
    from: angle,
    width: fc.integer({ min: 1, max: 360 }),
    lean: fc.integer({ min: -500, max: 500 }),
    lower: level,
    upper: level,
  }),
  fc.record({
    kind: fc.constant('spiral'),
    start: angle,
    pitch: fc.integer({ min: 20, max: 300 }),
    width: fc.integer({ min: 1, max: 20 }),
    hand: fc.constantFrom('right', 'left'),
    stripes: fc.integer({ min: 1, max: 3 }),
    lower: level,
    upper: level,
  }),
  fc.record({
    kind: fc.constant('wave'),
    level,
    waves: fc.integer({ min: 1, max: 9 }),
    swing: fc.integer({ min: 0, max: 40 }),
    width: fc.integer({ min: 1, max: 30 }),
    shift: angle,
  }),
  fc.record({
    kind: fc.constant('window'),
    outline,
    angle,
    level,
    width: fc.integer({ min: 2, max: 60 }),
    turn: fc.integer({ min: -180, max: 180 }),
  }),
  fc.record({
    kind: fc.constant('scatter'),
    outline,
    width: fc.integer({ min: 2, max: 12 }),
    count: fc.integer({ min: 1, max: 25 }),
    seed: fc.integer({ min: 0, max: 999 }),
    clearance: fc.integer({ min: 0, max: 4 }),
    dense: fc.constantFrom(-1, 0, 0.5),
    turn: fc.constantFrom('upright', 'any'),
    lower: level,
    upper: level,
  }),
  fc.record({ kind: fc.constant('base') }),
);
const anyCup = fc.constantFrom(...typicalCups.map((cup) => cupSchema.parse(cup)));

function soundAreas(cup: Cup, drawn: readonly object[]): readonly Area[] {
  return drawn.flatMap((one, index) => {
    const area = areaSchema.parse({ ...one, id: `a${index}`, name: `Area ${index}` });
    return areaFaults(area, cup).length === 0 ? [area] : [];
  });
}

test('a thousand random layouts: areas, left over and bare parts are wall, base and handle, to 1e-9', () => {
  let laid = 0;
  fc.assert(
    fc.property(anyCup, fc.array(anyArea, { minLength: 1, maxLength: 7 }), (cup, drawn) => {
      const areas = soundAreas(cup, drawn);
      laid += areas.length;
      const layout = layoutOf(cup, areas);
      const underside = cup.shape === 'sleeve' ? 0 : baseArea(cup.stations);
      const grip = cup.handle ? (cup.handle.length * cup.handle.girth) / 100 : 0;
      const sum =
        layout.areas.reduce((all, area) => all + area.area, 0) +
        layout.leftOver.area +
        layout.bareBase +
        layout.bareGrip +
        layout.bareLip +
        layout.barePatch.area;
      const surface = wallArea(cup.stations) + underside + grip;
      expect(Math.abs(sum - surface)).toBeLessThan(1e-9 * surface);
      for (const area of layout.areas) {
        expect(area.area).toBeGreaterThanOrEqual(-1e-9);
        expect(area.area).toBeLessThanOrEqual(regionArea(cup.stations, area.own) + (area.from === null ? underside : 1e-6));
      }
    }),
    { numRuns: 1000, seed: 20261125 },
  );
  expect(laid).toBeGreaterThan(1000);
});
