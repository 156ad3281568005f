import { bandRegion, ontoOneTurn } from '@aurantia/core';
import { linesSeen, placeSeenAt, seenAt } from '../src/app/parts/cup-view/cup-lines';
import { stanceIn } from '@aurantia/core/figure';

const stations = [
  { height: 0, circumference: 220 },
  { height: 90, circumference: 300 },
  { height: 180, circumference: 250 },
];
const stance = stanceIn({ stations, handle: null }, 400, 500, 10);

describe('places on the cup’s near side', () => {
  test.each([
    [180, 40, 0],
    [120, 90, 0],
    [240, 150, 0.4],
    [20, 60, Math.PI],
    [300, 100, -1.9],
  ])('%p° at %p mm, turned by %p, is found again where it is seen', (angle, height, turn) => {
    const { x, y, near } = seenAt(angle, height, stations, stance, turn);
    expect(near).toBe(true);
    const back = placeSeenAt(x, y, stations, stance, turn);
    expect(back?.angle).toBeCloseTo(angle, 0);
    expect(back?.height).toBeCloseTo(height, 0);
  });
  test('the middle of the wrap faces you on an unturned cup, the seam is behind', () => {
    expect(seenAt(180, 90, stations, stance, 0)).toMatchObject({ x: stance.axis, near: true });
    expect(seenAt(0, 90, stations, stance, 0).near).toBe(false);
    expect(seenAt(0, 90, stations, stance, Math.PI).near).toBe(true);
  });
  test('beside the cup the nearest rim of the wall is taken', () => {
    const place = placeSeenAt(stance.axis + 4000, 200, stations, stance, 0);
    expect(place?.angle).toBeCloseTo(270, 0);
  });
});

describe('edges on the cup', () => {
  test('only what the near side shows is drawn', () => {
    const behind = ontoOneTurn([[...bandRegion(40, 60, 340, 380)[0]]]);
    expect(linesSeen(behind, stations, stance, 0)).toEqual([]);
    expect(linesSeen(behind, stations, stance, Math.PI).flat().length).toBeGreaterThan(8);
  });
  test('a band has two edges, half of each in sight, and none along the seam', () => {
    const lines = linesSeen(bandRegion(40, 60), stations, stance, Math.PI);
    expect(lines).toHaveLength(4);
    expect(lines.flat().length).toBeGreaterThan(60);
  });
});
