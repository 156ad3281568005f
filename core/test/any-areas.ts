import fc from 'fast-check';
import { areaFaults, areaSchema, cupSchema, typicalCups, type Area, type Cup } from '../src';

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
export const anyArea = fc.oneof(
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
export const anyCup = fc.constantFrom(...typicalCups.map((cup) => cupSchema.parse(cup)));

/** Those of the areas drawn that fit the cup. */
export function soundAreas(cup: Cup, drawn: readonly object[]): readonly Area[] {
  return drawn.flatMap((one, index) => {
    const area = areaSchema.parse({ ...one, id: `a${index}`, name: `Area ${index}` });
    return areaFaults(area, cup).length === 0 ? [area] : [];
  });
}
