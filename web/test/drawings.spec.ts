import { TestBed } from '@angular/core/testing';
import { bandRegion, type Region } from '@aurantia/core';
import type { Drawing } from '../src/app/drawn/drawing';
import { Drawings } from '../src/app/services/drawings';
import type { DrawingsReply, DrawingsRequest } from '../src/app/workers/drawings-request';
import { notingCanvas } from './noting-canvas';

/** A worker that draws when it is told to. */
class SlowHand {
  static latest: SlowHand;
  onmessage: ((event: { data: DrawingsReply }) => void) | null = null;
  onerror: ((event: { preventDefault(): void }) => void) | null = null;
  readonly asked: DrawingsRequest[] = [];
  constructor() {
    SlowHand.latest = this;
  }
  postMessage = (request: DrawingsRequest) => void this.asked.push(request);
  terminate = () => undefined;
}
Object.assign(globalThis, { Worker: SlowHand });

const stations = [
  { height: 0, circumference: 220 },
  { height: 100, circumference: 260 },
];
const drawing = (...regions: readonly Region[]): Drawing => ({
  width: 300,
  height: 200,
  dots: 1,
  wall: { how: 'flat', stations, scale: 2, left: 10, top: 10 },
  marks: regions.map((region) => ({ region, fill: { colour: 'plum', alpha: 1 }, line: null })),
});
const [low, high, higher] = [bandRegion(0, 50), bandRegion(50, 80), bandRegion(50, 90)];
const close = jest.fn();
const hang = (name: string) => {
  const picture = { name, width: 300, height: 200, close } as unknown as ImageBitmap;
  SlowHand.latest.onmessage?.({ data: { picture } });
};
let drawings: Drawings;

beforeEach(() => {
  Object.assign(globalThis, { requestIdleCallback: (now: () => void) => void now(), cancelIdleCallback: () => undefined });
  TestBed.resetTestingModule();
  drawings = TestBed.inject(Drawings);
  close.mockClear();
});
const here = () => SlowHand.latest.onmessage?.({ data: 'here' });

test('at rest a wall is drawn at once, and while a hand drags as long as the worker hasn’t come', () => {
  const { canvas, done } = notingCanvas();
  drawings.draw(canvas, drawing(low), true);
  expect(done.map(({ style }) => style)).toEqual(['plum']);
  here();
  drawings.draw(canvas, drawing(low, high), false);
  expect(done).toHaveLength(2);
  expect(SlowHand.latest.asked).toEqual([]);
});

test('while a hand drags the worker draws: a few at a time, then the newest of what waits', () => {
  here();
  const { canvas, done } = notingCanvas();
  const regions = Array.from({ length: 7 }, (_, i) => bandRegion(50, 80 + i));
  for (const upper of regions) drawings.draw(canvas, drawing(low, upper), true);
  expect(SlowHand.latest.asked).toHaveLength(4);
  for (const name of ['first', 'second', 'third', 'fourth', 'last']) {
    hang(name);
    expect(done.map(({ what, style }) => `${what} ${style}`)).toEqual([`picture ${name}`]);
  }
  expect(close).toHaveBeenCalledTimes(5);
  expect(SlowHand.latest.asked.flatMap(({ come }) => come.map(([, region]) => region))).toEqual([
    low,
    ...regions.slice(0, 4),
    regions[6],
  ]);
});

test('a region is sent once, and let go when nothing shows it any more', () => {
  here();
  const { canvas } = notingCanvas();
  for (const upper of [high, higher, higher]) {
    drawings.draw(canvas, drawing(low, upper), true);
    hang('it');
  }
  const [first, second, third] = SlowHand.latest.asked;
  expect(first.come.map(([, region]) => region)).toEqual([low, high]);
  expect(second.come.map(([, region]) => region)).toEqual([higher]);
  expect(second.go).toEqual([first.come[1][0]]);
  expect(second.drawing.marks.map(({ region }) => region)).toEqual([first.come[0][0], second.come[0][0]]);
  expect([third.come, third.go]).toEqual([[], []]);
});

test('what another canvas shows stays with the worker, until that canvas is gone', () => {
  here();
  const [one, other] = [notingCanvas(), notingCanvas()];
  const drawn = (canvas: HTMLCanvasElement, ...regions: readonly Region[]) => {
    drawings.draw(canvas, drawing(...regions), true);
    hang('it');
    return SlowHand.latest.asked.at(-1)?.go.length;
  };
  drawn(one.canvas, low, high);
  drawn(other.canvas, low);
  expect(drawn(one.canvas, higher)).toBe(1);
  other.canvas.remove();
  expect(drawn(one.canvas, higher)).toBe(1);
});

test('a picture that comes after the hand let go and something else was drawn covers nothing', () => {
  here();
  const { canvas, done } = notingCanvas();
  drawings.draw(canvas, drawing(low, high), true);
  drawings.draw(canvas, drawing(low), false);
  hang('late');
  expect(done.map(({ what }) => what)).toEqual(['fill']);
  expect(close).toHaveBeenCalledTimes(1);
});

test('a worker that fails loses nothing: what it was asked for is drawn on the page, and all that comes after', () => {
  here();
  const { canvas, done } = notingCanvas();
  const another = notingCanvas();
  drawings.draw(canvas, drawing(low, high), true);
  drawings.draw(another.canvas, drawing(low), true);
  SlowHand.latest.onerror?.({ preventDefault: () => undefined });
  expect(done).toHaveLength(2);
  expect(another.done).toHaveLength(1);
  drawings.draw(canvas, drawing(low), true);
  expect(done).toHaveLength(1);
});
