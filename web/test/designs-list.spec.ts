import { DestroyRef } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { DesignPage, DesignSummary } from '@aurantia/core';
import { Observable, Subject, throwError } from 'rxjs';
import { Api, ApiError } from '../src/app/services/api';
import { DesignList } from '../src/app/services/designs';
import { KeptDesigns } from '../src/app/services/kept-designs';
import { Notices } from '../src/app/services/notices';

const summary = (number: number, fresh = true): DesignSummary => ({
  id: `d${number}`,
  name: `Design ${number}`,
  cup: 'Mug',
  revision: 1,
  keptAt: '2026-01-01T10:00:00.000Z',
  line: null,
  level: null,
  picture: null,
  fresh,
  tags: [],
  archived: false,
  removedAt: null,
});
const page = (from: number, many: number, total: number, fresh = true): DesignPage => ({
  total,
  groups: [],
  designs: Array.from({ length: many }, (_, i) => summary(from + i, fresh)),
});

let asked: { path: string; reply: Subject<DesignPage> }[];
let list: DesignList;
let failing: boolean;
const failed = jest.fn();
const last = () => asked[asked.length - 1];
const answer = (given: DesignPage, at = last()) => {
  at.reply.next(given);
  at.reply.complete();
};
const queryOf = (path: string) => Object.fromEntries(new URLSearchParams(path.split('?')[1]));

beforeEach(() => {
  [asked, failing] = [[], false];
  failed.mockReset();
  const get = (path: string): Observable<DesignPage> => {
    if (failing) return throwError(() => new ApiError({ title: 'Not reached', status: 0, detail: 'Not reached.' }));
    const reply = new Subject<DesignPage>();
    asked.push({ path, reply });
    return reply;
  };
  TestBed.configureTestingModule({
    providers: [
      { provide: Api, useValue: { get } },
      { provide: Notices, useValue: { failed, undoable: jest.fn() } },
    ],
  });
  list = TestBed.inject(DesignList);
});
afterEach(() => jest.useRealTimers());

test('the number is there at once, the rest only when it comes into sight, each page once', () => {
  list.look();
  answer(page(0, 100, 450));
  expect([list.total(), list.designs().length]).toEqual([450, 450]);
  expect([list.designs()[99]?.name, list.designs()[100]]).toEqual(['Design 99', null]);
  list.need(180, 320);
  list.need(190, 310);
  expect(asked.slice(1).map(({ path }) => queryOf(path)['from'])).toEqual(['100', '200', '300']);
  answer(page(200, 100, 450), asked[2]);
  expect([list.designs()[200]?.name, list.designs()[199]]).toEqual(['Design 200', null]);
});

test('what is typed next is looked for; an answer to what was typed before is let go', () => {
  list.look({ search: 'cop' });
  list.look({ search: 'copper' });
  const [old, now] = asked;
  answer(page(0, 1, 1), now);
  answer(page(0, 9, 9), old);
  expect([queryOf(now.path)['search'], list.total(), list.designs().length]).toEqual(['copper', 1, 1]);
});

test('what isn’t fresh yet is asked for again, each time later, and no more once it is', () => {
  jest.useFakeTimers();
  list.look();
  answer(page(0, 2, 2, false));
  jest.advanceTimersByTime(399);
  expect(asked).toHaveLength(1);
  jest.advanceTimersByTime(1);
  expect(asked).toHaveLength(2);
  answer(page(0, 2, 2, false));
  jest.advanceTimersByTime(559);
  expect(asked).toHaveLength(2);
  jest.advanceTimersByTime(1);
  answer(page(0, 2, 2));
  jest.advanceTimersByTime(100_000);
  expect(asked).toHaveLength(3);
});

test('a list that never gets fresh is given up in the end', () => {
  jest.useFakeTimers();
  list.look();
  for (let i = 0; i < 40; i += 1) {
    if (!last().reply.closed) answer(page(0, 1, 1, false));
    jest.advanceTimersByTime(10_000);
  }
  expect(asked.length).toBeLessThan(20);
});

test('a page that can’t be fetched says so and can be tried again', () => {
  failing = true;
  list.look();
  expect(failed).toHaveBeenCalledTimes(1);
  failing = false;
  const [, retry] = failed.mock.calls[0] as [unknown, () => void];
  retry();
  answer(page(0, 3, 3));
  expect(list.total()).toBe(3);
});

test('a save that ends while the list is shown is seen at once; while it isn’t, nothing is asked', () => {
  let leave: () => void = () => undefined;
  list.changed();
  expect(asked).toHaveLength(0);
  list.show({ onDestroy: (end: () => void) => (leave = end) } as unknown as DestroyRef);
  list.changed();
  expect(asked).toHaveLength(2);
  leave();
  list.changed();
  expect(asked).toHaveLength(2);
});

test('a new name is one that no design has yet', () => {
  const names: string[] = [];
  TestBed.inject(KeptDesigns)
    .freeName('New design')
    .subscribe((name) => names.push(name));
  answer({
    total: 2,
    groups: [],
    designs: [1, 2].map((number) => ({ ...summary(number), name: number === 1 ? 'New design' : 'New design 2' })),
  });
  expect(names).toEqual(['New design 3']);
});
