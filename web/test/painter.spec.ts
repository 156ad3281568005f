import { TestBed } from '@angular/core/testing';
import type { FlakeField } from '@aurantia/core';
import { FlatCup, type FlatShown } from '../src/app/parts/cup-view/flat-cup';
import { Painter } from '../src/app/services/painter';
import type { PainterRequest } from '../src/app/workers/painter-request';
import { design } from './workshop';

/** A worker that paints when it is told to. */
class SlowPainter {
  static latest: SlowPainter;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  readonly asked: PainterRequest[] = [];
  ended = false;
  constructor() {
    SlowPainter.latest = this;
  }
  postMessage(request: PainterRequest) {
    this.asked.push(request);
  }
  terminate() {
    this.ended = true;
  }
}
Object.assign(globalThis, { Worker: SlowPainter });

const lain = (flakes: number) => ({ width: 1, height: 1, bareShare: null, flakes, done: 1 }) as FlakeField;
const subject = { field: lain(1), cup: design.cup };
const how = { width: 40, height: 60, stance: { scale: 1, axis: 20, ground: 50 }, turn: 0, handle: '#888888' };
const close = jest.fn();
const paint = (name: string) => SlowPainter.latest.onmessage?.({ data: { picture: { name, width: 80, height: 120, close } } });
const turnsAsked = () => SlowPainter.latest.asked.map((request) => request.how.turn);
const [a, b, c] = Array.from({ length: 3 }, () => document.createElement('canvas'));
let painter: Painter;

beforeEach(() => {
  TestBed.resetTestingModule();
  painter = TestBed.inject(Painter);
});

test('of the wishes of a cup that turns only the newest waits; the one under work is still given', () => {
  const given: unknown[] = [];
  for (const turn of [0, 1, 2]) painter.picture(a, subject, { ...how, turn }).subscribe((picture) => given.push(picture));
  paint('first');
  paint('last');
  expect(turnsAsked()).toEqual([0, 2]);
  expect(given).toMatchObject([{ name: 'first' }, { name: 'last' }]);
});

test('a cup is sent once while it turns, and again once flakes lie otherwise or another was painted', () => {
  const sent = [subject, subject, { ...subject, field: lain(2) }, subject].map((one) => {
    painter.picture(a, one, how).subscribe();
    paint('it');
    return SlowPainter.latest.asked.at(-1)?.subject?.field.flakes ?? null;
  });
  expect(sent).toEqual([1, null, 2, 1]);
});

test('what can’t be painted says why, and the next wish is met; a painter that failed is replaced and told all anew', () => {
  const failed = jest.fn();
  painter.picture(a, subject, how).subscribe({ error: failed });
  painter.picture(b, subject, how).subscribe({ error: failed });
  SlowPainter.latest.onmessage?.({ data: { sentence: 'no memory' } });
  const first = SlowPainter.latest;
  expect(first.asked).toHaveLength(2);
  first.onerror?.({ message: 'not loaded' });
  const notLoaded = expect.objectContaining({ message: expect.stringContaining('(not loaded)') }) as unknown;
  expect(failed.mock.calls).toEqual([[new Error('no memory')], [notLoaded]]);
  expect(first.ended).toBe(true);
  painter.picture(c, subject, how).subscribe();
  expect(SlowPainter.latest).not.toBe(first);
  expect(SlowPainter.latest.asked[0].subject).toBe(subject);
});

test('it comes ahead once it is quiet; where it couldn’t, nobody is told, and the first wish fetches it', () => {
  const asked = jest.spyOn(window, 'requestIdleCallback').mockImplementation((quiet) => {
    quiet({ didTimeout: false, timeRemaining: () => 50 });
    return 0;
  });
  TestBed.resetTestingModule();
  painter = TestBed.inject(Painter);
  asked.mockRestore();
  const ahead = SlowPainter.latest;
  expect(ahead.asked).toHaveLength(0);
  ahead.onerror?.({ message: 'not loaded' });
  expect(ahead.ended).toBe(true);
  const given = jest.fn();
  painter.picture(a, subject, how).subscribe(given);
  paint('it');
  expect([SlowPainter.latest === ahead, given.mock.calls.length]).toEqual([false, 1]);
});

test('a flat cup is painted as fine as the screen, shows how far it has come round, and is done with its newest picture', () => {
  const hung: string[] = [];
  const canvas = document.createElement('canvas');
  canvas.getContext = (() => ({ transferFromImageBitmap: ({ name }: { name: string }) => hung.push(name) })) as never;
  const cup = new FlatCup(canvas, painter);
  const shown: FlatShown = { ...how, dots: 2 };
  const tell = { hung: (turn: number) => hung.push(`turned ${turn}`), failed: jest.fn() };
  cup.draw(subject, shown, tell);
  cup.draw(subject, { ...shown, turn: 1 }, tell);
  expect(SlowPainter.latest.asked[0].how).toMatchObject({ width: 80, height: 120, stance: { scale: 2, axis: 40, ground: 100 } });
  paint('first');
  expect([hung, canvas.width, canvas.dataset['painted']]).toEqual([['first', 'turned 0'], 80, undefined]);
  paint('last');
  expect([hung.slice(2), canvas.dataset['painted']]).toEqual([['last', 'turned 1'], 'flat']);
  // Gone with its page: what comes then is hung nowhere.
  cup.draw(subject, shown, tell);
  cup.dispose();
  paint('late');
  expect([hung.length, close.mock.calls.length]).toEqual([4, 1]);
});
