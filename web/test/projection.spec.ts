import { metricUnits } from '@aurantia/core';
import { LOOK_DOWN, radiusAt, rowOf, stanceIn, topOf, widestRadius } from '@aurantia/core/figure';
import { ticksUpTo } from '../src/app/parts/cup-view/ruler';

const stations = [
  { height: 0, circumference: 220 },
  { height: 100, circumference: 300 },
  { height: 180, circumference: 250 },
];

describe('how a cup stands in its picture', () => {
  test.each([
    [300, 500],
    [900, 200],
    [120, 120],
  ])('it fits a box of %p by %p and keeps its proportions', (width, height) => {
    const stance = stanceIn({ stations, handle: null }, width, height, 10);
    const dip = Math.sin(LOOK_DOWN) * stance.scale;
    expect(stance.axis - widestRadius(stations) * stance.scale).toBeGreaterThanOrEqual(10 - 1e-9);
    expect(stance.ground + radiusAt(stations, 0) * dip).toBeLessThanOrEqual(height - 10 + 1e-9);
    expect(rowOf(stance, topOf(stations)) - radiusAt(stations, 180) * dip).toBeGreaterThanOrEqual(10 - 1e-9);
  });
  test('the ruler beside it is in mm of the same picture', () => {
    const stance = stanceIn({ stations, handle: null }, 400, 600, 10);
    expect((rowOf(stance, 0) - rowOf(stance, 50)) / (rowOf(stance, 50) - rowOf(stance, 100))).toBeCloseTo(1, 9);
    expect(rowOf(stance, 0)).toBe(stance.ground);
  });
  test('a height beyond the rim is taken as the rim', () => expect(radiusAt(stations, 500)).toBe(radiusAt(stations, 180)));
});

describe('the ruler', () => {
  test('has a mark every 5 mm and a figure every 50', () => {
    const ticks = ticksUpTo(205, metricUnits);
    expect(ticks).toHaveLength(42);
    expect(ticks.filter((tick) => tick.figure).map((tick) => tick.figure)).toEqual(['0', '50', '100', '150', '200']);
  });
  test('has a mark every quarter inch and a figure every inch', () => {
    const ticks = ticksUpTo(60, { ...metricUnits, length: 'inch' });
    expect(ticks.filter((tick) => tick.figure).map((tick) => [tick.figure, tick.mm])).toEqual([
      ['0', 0],
      ['1', 25.4],
      ['2', 50.8],
    ]);
  });
});
