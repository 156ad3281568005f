import { TestBed } from '@angular/core/testing';
import { defaultSettings, fieldPlanOf, planOf, type FlakeField } from '@aurantia/core';
import { Flakes } from '../src/app/services/flakes';
import { Layouts } from '../src/app/services/layouts';
import { design, shelf } from './workshop';

/** A worker that answers when it is told to. */
class SlowWorker {
  static latest: SlowWorker;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  readonly asked: { area?: string }[] = [];
  stops = 0;
  ended = false;
  constructor() {
    SlowWorker.latest = this;
  }
  postMessage(request: { area?: string } | { cores: number } | 'stop') {
    if (request === 'stop') this.stops += 1;
    else if (!('cores' in request)) this.asked.push(request);
  }
  terminate() {
    this.ended = true;
  }
}
Object.assign(globalThis, { Worker: SlowWorker });

const planned = (of: typeof design) => fieldPlanOf(planOf(of, { settings: defaultSettings, shelf: [...shelf] }));
const plan = planned(design);
const swatch = (area: string) => ({ what: 'swatch' as const, plan, area, side: 10, pixelsPerMm: 4 });
const field = (done: number) =>
  ({
    width: 1,
    height: 1,
    tokens: new Uint16Array(1),
    owner: null,
    colours: null,
    bareShare: null,
    flakes: 0,
    done,
  }) as unknown as FlakeField;
const say = (data: unknown) => SlowWorker.latest.onmessage?.({ data });
const answer = () => say({ field: field(1) });
let flakes: Flakes;

beforeEach(() => {
  TestBed.resetTestingModule();
  flakes = TestBed.inject(Flakes);
});

test('wishes are met one at a time, in order', () => {
  const met: string[] = [];
  for (const slot of ['a', 'b']) flakes.picture(slot, swatch(slot)).subscribe(() => met.push(slot));
  expect(SlowWorker.latest.asked.map((request) => request.area)).toEqual(['a']);
  answer();
  answer();
  expect(met).toEqual(['a', 'b']);
});

test('a newer wish for a slot replaces one that waits', () => {
  flakes.picture('other', swatch('other')).subscribe();
  flakes.picture('cup', swatch('old')).subscribe();
  flakes.picture('cup', swatch('new')).subscribe();
  answer();
  answer();
  expect(SlowWorker.latest.asked.map((request) => request.area)).toEqual(['other', 'new']);
});

test('a wish taken back is never begun; one that fails says so and the next goes on', () => {
  const failed = jest.fn();
  flakes.picture('a', swatch('a')).subscribe({ error: failed });
  flakes.picture('b', swatch('b')).subscribe().unsubscribe();
  flakes.picture('c', swatch('c')).subscribe();
  const first = SlowWorker.latest;
  first.onerror?.({ message: 'out of memory' });
  expect(failed).toHaveBeenCalledWith(expect.objectContaining({ message: expect.stringContaining('(out of memory)') }));
  // A worker that failed, or never came, is put away; the next wish goes to a new one.
  expect([first.ended, first.asked.map((request) => request.area)]).toEqual([true, ['a']]);
  expect(SlowWorker.latest.asked.map((request) => request.area)).toEqual(['c']);
});

test('the picture is shown while flakes fall; only the last one ends the work', () => {
  const seen: number[] = [];
  flakes.picture('a', swatch('a')).subscribe(({ done }) => seen.push(done));
  flakes.picture('b', swatch('b')).subscribe();
  say({ field: field(0.4) });
  expect(SlowWorker.latest.asked).toHaveLength(1);
  answer();
  expect(seen).toEqual([0.4, 1]);
  expect(SlowWorker.latest.asked).toHaveLength(2);
});

test('a wish taken back under work is stopped, and the next begins once it has', () => {
  const wish = flakes.picture('a', swatch('a')).subscribe();
  const failed = jest.fn();
  flakes.picture('b', swatch('b')).subscribe({ error: failed });
  wish.unsubscribe();
  expect(SlowWorker.latest.stops).toBe(1);
  expect(SlowWorker.latest.asked).toHaveLength(1);
  say({ stopped: true });
  expect(SlowWorker.latest.asked.map((request) => request.area)).toEqual(['a', 'b']);
  say({ sentence: 'no memory' });
  expect(failed).toHaveBeenCalledWith(new Error('no memory'));
  expect(SlowWorker.latest.stops).toBe(1);
});

describe('a picture shown lately', () => {
  const cup = (pixelsPerMm: number) => ({ what: 'cup' as const, plan, cup: design.cup, pixelsPerMm });
  /** as large as its tokens say */
  const large = (megabytes: number) => ({
    ...field(1),
    tokens: new Uint16Array(megabytes * 2 ** 19),
    owner: null,
    colours: null,
  });
  const ask = (request: ReturnType<typeof cup>): FlakeField[] => {
    const seen: FlakeField[] = [];
    flakes.picture('cup', request).subscribe((one) => seen.push(one));
    return seen;
  };

  test('is here at once for the same cup read anew, in the same size alone, and not for one that changed', () => {
    ask(cup(4));
    const shown = large(1);
    say({ field: shown });
    const read = JSON.parse(JSON.stringify(design)) as typeof design;
    expect(ask({ ...cup(4), plan: planned(read), cup: read.cup })).toEqual([shown]);
    expect(SlowWorker.latest.asked).toHaveLength(1);
    expect(ask(cup(5))).toEqual([]);
    answer();
    const [first, ...others] = plan.places;
    const moved = { ...cup(4), plan: { ...plan, places: [{ ...first, region: [] }, ...others] } };
    expect(ask(moved)).toEqual([]);
    expect(SlowWorker.latest.asked).toHaveLength(3);
  });

  test('is kept only once all flakes lie, and makes room for later ones when it wasn’t looked at longest', () => {
    ask(cup(1));
    say({ field: { ...large(1), done: 0.4 } });
    say({ stopped: true });
    ask(cup(1));
    expect(SlowWorker.latest.asked).toHaveLength(2);
    say({ field: large(12) });
    for (const size of [2, 3]) {
      ask(cup(size));
      if (size === 3) expect(ask(cup(1))).toHaveLength(1);
      say({ field: large(12) });
    }
    expect([1, 2, 3].map((size) => ask(cup(size)).length)).toEqual([1, 0, 1]);
  });
});

test('a layout worker that never came is replaced: the next layout is worked out', () => {
  const layouts = TestBed.inject(Layouts);
  const failed = jest.fn();
  layouts.layout(design.cup, design.areas).subscribe({ error: failed });
  const first = SlowWorker.latest;
  first.onerror?.({ message: 'not loaded' });
  expect(failed).toHaveBeenCalledWith(expect.objectContaining({ message: expect.stringContaining('(not loaded)') }));
  const laid: unknown[] = [];
  layouts.layout(design.cup, design.areas).subscribe((layout) => laid.push(layout));
  expect(SlowWorker.latest).not.toBe(first);
  say({ layout: { areas: [] }, sentence: null });
  expect(laid).toHaveLength(1);
});
