import { TestBed } from '@angular/core/testing';
import { defaultSettings, type CoatId } from '@aurantia/core';
import { benchOf, makeOf, standingOf, type LogEntry, type MakeId } from '@aurantia/core/make';
import { of, Subject, throwError } from 'rxjs';
import { BenchSignals } from '../src/app/places/bench/bench-signals';
import { countdownText, momentText } from '../src/app/parts/moment-text';
import { CoatTimers } from '../src/app/places/bench/coat-timers';
import { OpenMake } from '../src/app/places/bench/open-make';
import { OtherAmounts } from '../src/app/places/bench/other-amounts';
import { ApiError } from '../src/app/services/api';
import { Makes, type LoggedMake } from '../src/app/services/makes';
import { Notices } from '../src/app/services/notices';
import { WorkshopMemory } from '../src/app/services/workshop';
import { WorkshopTime } from '../src/app/services/workshop-time';
import { startingCoat } from '@aurantia/core';
import { design, labelled, memoryStub, shelf, typeInto } from './workshop';

const AT = '2026-11-28T08:00:00.000Z';
const START = Date.parse(AT);
const coats = (['prep', 'resin', 'rest'] as const).map((kind) =>
  startingCoat(kind, design, { shelf: [...shelf] }, `coat-${kind}` as CoatId),
);
const make = makeOf(
  { id: 'm' as MakeId, cups: 1, label: '' },
  { design: { ...design, coats }, revision: 1, workshop: { settings: defaultSettings, shelf: [...shelf] }, number: 1, at: AT },
);
const [, resin] = make.steps;
const logged = (...entries: readonly LogEntry[]): LoggedMake => ({ make, entries });
const begun: LogEntry = { id: 'e2', at: AT, what: 'begun', coat: resin.coat };
const before: LogEntry = { id: 'e1', at: AT, what: 'done', coat: make.steps[0].coat, poured: {}, took: {} };

function bench(write: jest.Mock = jest.fn()) {
  const failed = jest.fn();
  const load = jest.fn();
  const one = jest.fn(() => of(logged(before, begun)));
  TestBed.configureTestingModule({
    providers: [
      OpenMake,
      BenchSignals,
      { provide: Makes, useValue: { one, write } },
      { provide: Notices, useValue: { failed } },
      { provide: WorkshopMemory, useValue: { ...memoryStub(shelf), load } },
    ],
  });
  const open = TestBed.inject(OpenMake);
  open.open('m');
  return { open, one, write, failed, load, time: TestBed.inject(WorkshopTime) };
}

describe('the make that is open', () => {
  test('is written to once a press, however often it is pressed meanwhile', () => {
    const answer = new Subject<LoggedMake>();
    const { open, write, load } = bench(jest.fn(() => answer));
    const then = jest.fn();
    open.write({ what: 'done', coat: resin.coat, poured: {} }, then);
    open.write({ what: 'done', coat: resin.coat, poured: {} });
    expect(write).toHaveBeenCalledTimes(1);
    answer.next(logged(before, begun, { ...begun, id: 'e3', what: 'undone' }));
    expect(open.busy()).toBe(false);
    expect(open.bench()?.standing).toEqual(standingOf(make, [before]));
    expect(then).toHaveBeenCalledTimes(1);
    // What it took is off the shelf now.
    expect(load).toHaveBeenCalledTimes(1);
  });
  test('is looked at anew where another window wrote first, and the sentence is said', () => {
    const error = new ApiError({ title: 'Changed elsewhere', status: 409, detail: 'Another window wrote.' });
    const { open, one, failed } = bench(jest.fn(() => throwError(() => error)));
    open.write({ what: 'undone', coat: resin.coat });
    expect(failed).toHaveBeenCalledWith(error);
    expect(one).toHaveBeenCalledTimes(2);
  });
});

describe('how a make stands', () => {
  // Laid twenty-three seconds past a minute: its window opens and closes in the middle of others.
  const ended = START + 23_000;
  const laid: LogEntry = { id: 'e3', at: new Date(ended).toISOString(), what: 'done', coat: resin.coat, poured: {}, took: {} };
  const openWith = (...entries: readonly LogEntry[]) => {
    const { open, time } = bench();
    open.logged.set(logged(...entries));
    const at = (now: number) => {
      time.now.set(now);
      return open.bench();
    };
    return at;
  };
  test('is worked out by the minute, and not by the second', () => {
    const at = openWith(before, begun, laid);
    const now = at(START + 5 * 60_000);
    expect(at(START + 5 * 60_000 + 59_999)).toBe(now);
    expect(at(START + 6 * 60_000)).not.toBe(now);
  });
  test('is never later than the second at which the window opens', () => {
    const at = openWith(before, begun, laid);
    const { opens } = standingOf(make, [before, begun, laid]);
    expect(opens).not.toBeNull();
    if (opens === null) return;
    expect(opens % 60_000).toBe(23_000);
    expect(at(opens - 1)?.state).toBe('waiting');
    expect(at(opens)?.state).not.toBe('waiting');
  });
  test('reads at any moment as it would worked out at that very moment', () => {
    const entries = [before, begun, laid];
    const at = openWith(...entries);
    const { opens, closes } = standingOf(make, entries);
    const edges = [opens, closes].flatMap((one) => (one === null ? [] : [one - 1, one, one + 1, one + 30_000]));
    for (const now of [START + 30_000, ...edges]) {
      const { state, missed, timers } = benchOf(make, entries, now);
      expect(at(now)).toMatchObject({ state, missed, timers });
    }
  });
  test('is told second by second where a time runs', async () => {
    const { open, time } = bench();
    const now = START + 1000;
    time.now.set(now);
    const fixture = TestBed.createComponent(CoatTimers);
    fixture.componentRef.setInput('bench', open.bench());
    fixture.componentRef.setInput('coat', open.bench()?.coats[1] ?? null);
    const stir = async (at: number) => {
      time.now.set(at);
      await fixture.whenStable();
      return (fixture.nativeElement as HTMLElement).querySelector('li b')?.textContent.trim();
    };
    const left = (resin.stir ?? 0) * 60_000;
    expect(await stir(START)).toBe(countdownText(left));
    expect(await stir(START + 1000)).toBe(countdownText(left - 1000));
    expect(await stir(START + left)).toBe('Stirred long enough');
  });
});

describe('a time that is up', () => {
  const started = jest.fn();
  beforeEach(() => {
    started.mockClear();
    Object.assign(globalThis, {
      AudioContext: class {
        currentTime = 0;
        destination = {};
        close = () => Promise.resolve();
      },
      OscillatorNode: class {
        connect = (to: unknown) => to;
        start = started;
        stop = jest.fn();
      },
      GainNode: class {
        connect = (to: unknown) => to;
      },
    });
  });
  test('rings once, when it is up and not before; where nobody wants it, not at all', () => {
    const { time } = bench();
    time.now.set(START + 1000);
    const signals = TestBed.inject(BenchSignals);
    const at = (minutes: number) => {
      time.now.set(START + minutes * 60_000);
      TestBed.tick();
      return started.mock.calls.length;
    };
    TestBed.tick();
    expect(at((resin.stir ?? 0) - 0.1)).toBe(0);
    const rung = at((resin.stir ?? 0) + 0.01);
    expect(rung).toBeGreaterThan(0);
    expect(at((resin.stir ?? 0) + 0.1)).toBe(rung);
    signals.choose(false);
    expect(at((resin.within ?? 0) + 1)).toBe(rung);
  });
});

test('another amount of A is answered with B; as planned it is no other amount', async () => {
  bench();
  const fixture = TestBed.createComponent(OtherAmounts);
  fixture.componentRef.setInput('step', resin);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const [a] = resin.amounts;
  const type = async (text: string) => {
    typeInto(labelled(root, 'Part A'), text);
    await fixture.whenStable();
    return fixture.componentInstance.poured();
  };
  expect(await type(String(a.amount + 2))).toEqual({ a: a.amount + 2 });
  expect(root.textContent).toMatch(/Part B is .* then: together .* a film of/);
  [...root.querySelectorAll('button')].find(({ textContent }) => textContent?.includes('of Part B'))?.click();
  await fixture.whenStable();
  expect(Object.keys(fixture.componentInstance.poured())).toEqual(['a', 'b']);
  expect(await type(String(a.amount))).not.toHaveProperty('a');
  expect(await type('a bit')).not.toHaveProperty('a');
  // What no log takes is told at once, and what it was before stays.
  expect(await type('7')).toHaveProperty('a', 7);
  expect(await type('-5')).toHaveProperty('a', 7);
  expect(root.textContent).toContain('Nothing less than nothing goes on a cup.');
  expect(await type('99999999')).toHaveProperty('a', 7);
  expect(root.textContent).toContain('That is more than any cup takes.');
  expect(await type('6')).toHaveProperty('a', 6);
  expect(root.textContent).not.toContain('more than any cup takes');
});

test('moments read as a clock does, with the day where it is another one', () => {
  const noon = new Date(2026, 10, 28, 12, 0).getTime();
  expect(momentText(noon + 90 * 60_000, noon)).toBe('13:30');
  expect(momentText(noon + 24 * 3_600_000, noon)).toBe('Sun 12:00');
  expect(momentText(noon + 30 * 24 * 3_600_000, noon)).toBe('28 Dec 12:00');
  expect([0, 61_000, 3_599_000, 3_600_000, 60 * 3_600_000].map(countdownText)).toEqual([
    '0:00',
    '1:01',
    '59:59',
    '1 h 00',
    '2 d 12 h',
  ]);
});
