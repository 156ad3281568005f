import {
  bandRegion,
  defaultSettings,
  designSchema,
  linesAround,
  ontoOneTurn,
  planOf,
  startingItem,
  type ShelfItem,
} from '@aurantia/core';
import { linesSeen, placeSeenAt, seenAt } from '../src/app/drawn/seen-at';
import { edgeMarks, edgesOf, frontOf, pieceNames } from '../src/app/parts/cup-view/drawn-edges';
import { Turning } from '../src/app/parts/cup-view/turning';
import { stanceIn, widestRadius } from '@aurantia/core/figure';
import { design, shelf } from './workshop';

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

describe('pieces on the cup', () => {
  const cup = { ...design.cup, shape: 'curved', stations: [...stations] };
  const piece = (id: string, more: object) => ({ kind: 'decal', id, name: id, width: 20, height: 16, centre: 60, ...more });
  const plan = planOf(
    designSchema.parse({
      ...design,
      cup,
      coats: [piece('Leaf', { angle: 90, times: 3 }), piece('Mark', { angle: 300, film: 'film' })],
    }),
    { settings: defaultSettings, shelf: [...shelf, { ...startingItem('film', 'film'), type: 'opaque' } as ShelfItem] },
  );
  const [leaf, mark] = plan.pieces;

  test('are named once each, where one faces you most, and only while their look isn’t known', () => {
    const [name, ...others] = pieceNames(plan, stations, stance, 0);
    expect(others).toEqual([]);
    expect(name.name).toBe('Decal: Leaf');
    // At 90, 210 and 330°: the one at 210 is nearest to the front, a little to the right of it.
    expect(name.x).toBeGreaterThan(stance.axis);
    expect(name.x).toBeLessThan(stance.axis + 0.6 * widestRadius(stations) * stance.scale);
    expect(pieceNames(plan, stations, stance, (-30 * Math.PI) / 180)[0].x).toBeCloseTo(stance.axis, 0);
  });
  test('are drawn by their edges while their look isn’t known, or while they are marked', () => {
    expect(edgesOf(plan, { area: null, coat: null })).toMatchObject({ pieces: [leaf.region], chosen: null });
    expect(edgesOf(plan, { area: 'low', coat: 'Mark' })).toMatchObject({ pieces: [leaf.region], chosen: mark.region });
    expect(edgesOf(plan, { area: 'low', coat: 'Leaf' })).toMatchObject({ pieces: [], chosen: leaf.region });
    expect(edgesOf(plan, { area: 'low', coat: null }).chosen).toBe(plan.areas.areas[0].own);
  });
  test('the marked one in the colour of the peel, dashed while it isn’t many', () => {
    const chosen = leaf.region;
    expect(edgeMarks({ faint: [], pieces: [], chosen }, 'peel').map(({ line }) => line)).toEqual([
      { colour: 'peel', width: 2, dash: [6, 3] },
    ]);
    const many = Array.from({ length: 9 }, () => chosen[0]);
    expect(edgeMarks({ faint: [], pieces: [], chosen: many }, 'peel').map(({ line }) => line?.dash)).toEqual([[]]);
  });
  test('the first of a marked coat comes to the front, in place of the area', () => {
    expect(frontOf(plan, { area: 'low', coat: 'Leaf' })?.angle).toBeCloseTo(90, 6);
    expect(frontOf(plan, { area: null, coat: null })).toBeNull();
  });
});

test('many motifs have no faint edges, and the area round them is edged without them', () => {
  const faint = (count: number) => {
    const ends = { lower: { by: 'foot', mm: 0 }, upper: { by: 'foot', mm: 50 } };
    const looks = { outline: { shape: 'star' }, width: 5, count, seed: 3, clearance: 1, turn: 'any' };
    const stars = { kind: 'scatter', id: 'stars', name: 'Stars', ...looks, ...ends };
    const plan = planOf(designSchema.parse({ ...design, areas: [...design.areas, stars] }), {
      settings: defaultSettings,
      shelf: [...shelf],
    });
    return edgesOf(plan, { area: null, coat: null }).faint;
  };
  expect(faint(5).map(linesAround)).toEqual([6, 1, 5]);
  const [low, high, ...others] = faint(80);
  expect(others).toEqual([]);
  expect([...low, ...high].every((polygon) => polygon.length === 1)).toBe(true);
});

describe('a cup that is turned', () => {
  const moving = (reduced: boolean) => Object.assign(window, { matchMedia: () => ({ matches: reduced }) });
  test('comes round by the shorter way, at once where nothing shall move', () => {
    moving(true);
    const turning = new Turning();
    turning.by(6);
    turning.to(0.5);
    expect(turning.now()).toBeCloseTo(2 * Math.PI + 0.5, 9);
  });
  test('stays where a hand takes hold of it', () => {
    moving(false);
    const frames = new Map<number, FrameRequestCallback>();
    jest.spyOn(window, 'requestAnimationFrame').mockImplementation((frame) => frames.set(frames.size + 1, frame).size);
    jest.spyOn(window, 'cancelAnimationFrame').mockImplementation((number) => void frames.delete(number));
    const turning = new Turning();
    turning.to(2);
    frames.get(1)?.(performance.now() + 100);
    const on = turning.now();
    expect(on).toBeGreaterThan(0);
    expect(on).toBeLessThan(2);
    expect(frames.size).toBe(2);
    turning.stop();
    expect(frames.size).toBe(1);
    expect(turning.now()).toBe(on);
  });
});
