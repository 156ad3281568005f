import { TestBed } from '@angular/core/testing';
import { startingCup, startingDesign, type Design } from '@aurantia/core';
import { Subject, throwError, of, type Observable } from 'rxjs';
import { Autosave } from '../src/app/design/autosave';
import { Api, ApiError } from '../src/app/services/api';
import { DesignList } from '../src/app/services/designs';
import type { KeptDesign } from '../src/app/services/kept-designs';
import { Drafts } from '../src/app/services/drafts';
import { Notices } from '../src/app/services/notices';

const cup = {
  ...startingCup,
  name: 'Cup',
  shape: 'straight' as const,
  material: 'steel' as const,
  lipStrip: 10,
  volume: null,
  stations: [
    { height: 0, circumference: 200 },
    { height: 100, circumference: 200 },
  ],
};
const named = (name: string): Design => startingDesign('d', name, cup);
const keptAs = (document: Design, revision: number): KeptDesign => ({ document, revision, keptAt: '2026-01-01T10:00:00.000Z' });
const problem = (status: number, more: object = {}) => new ApiError({ title: 't', status, detail: 'd', ...more });

let sent: { parent: number; document: Design }[];
let answer: () => Observable<KeptDesign>;
let drafts: { keep: jest.Mock; drop: jest.Mock };
let list: { changed: jest.Mock };
let restored: string[];
let saving: Autosave;

beforeEach(() => {
  jest.useFakeTimers();
  sent = [];
  restored = [];
  list = { changed: jest.fn() };
  answer = () => of(keptAs(sent[sent.length - 1].document, sent[sent.length - 1].parent + 1));
  drafts = { keep: jest.fn(), drop: jest.fn() };
  const put = (_: string, body: { parent: number; document: Design }) => {
    sent.push(body);
    return answer();
  };
  const post = (path: string) => {
    restored.push(path);
    return of(null);
  };
  TestBed.configureTestingModule({
    providers: [
      Autosave,
      { provide: Api, useValue: { put, post } },
      { provide: Drafts, useValue: drafts },
      { provide: DesignList, useValue: list },
      { provide: Notices, useValue: { failed: jest.fn(), offer: jest.fn() } },
    ],
  });
  saving = TestBed.inject(Autosave);
  saving.start(keptAs(named('First'), 3));
});
afterEach(() => jest.useRealTimers());

test('a burst of typing is one save, onto the revision it started from', () => {
  for (const name of ['G', 'Ga', 'Gab']) saving.offer(named(name));
  expect(saving.state()).toBe('keeping');
  expect(drafts.keep).toHaveBeenCalledTimes(3);
  jest.advanceTimersByTime(600);
  expect(sent).toEqual([{ parent: 3, document: named('Gab') }]);
  expect([saving.state(), saving.revision()]).toEqual(['kept', 4]);
  expect(drafts.drop).toHaveBeenCalledWith('d');
});

test('what is typed while a save is under way goes on top of it', () => {
  const slow = new Subject<KeptDesign>();
  answer = () => slow;
  saving.offer(named('A'));
  jest.advanceTimersByTime(600);
  saving.offer(named('B'));
  answer = () => of(keptAs(named('B'), 5));
  jest.advanceTimersByTime(600);
  expect(sent).toHaveLength(1);
  slow.next(keptAs(named('A'), 4));
  slow.complete();
  expect(sent[1]).toEqual({ parent: 4, document: named('B') });
  expect([saving.state(), saving.revision()]).toEqual(['kept', 5]);
});

test('out of reach it waits, keeps the draft and tries again by itself', () => {
  answer = () => throwError(() => problem(0));
  saving.offer(named('A'));
  jest.advanceTimersByTime(600);
  expect(saving.state()).toBe('offline');
  expect(drafts.drop).not.toHaveBeenCalled();
  saving.offer(named('AB'));
  answer = () => of(keptAs(named('AB'), 4));
  jest.advanceTimersByTime(3000);
  expect(sent[sent.length - 1]).toEqual({ parent: 3, document: named('AB') });
  expect(saving.state()).toBe('kept');
});

test('at a conflict it stops, holds both, and goes on only when told', () => {
  const theirs = keptAs(named('Theirs'), 7);
  answer = () => throwError(() => problem(409, { latest: theirs }));
  saving.offer(named('Mine'));
  jest.advanceTimersByTime(600);
  expect(saving.state()).toBe('conflict');
  expect(saving.conflict()).toEqual(theirs);
  saving.offer(named('Mine, more'));
  jest.advanceTimersByTime(10000);
  expect(sent).toHaveLength(1);
  answer = () => of(keptAs(named('Mine, more'), 8));
  saving.start(theirs);
  saving.offer(named('Mine, more'));
  jest.advanceTimersByTime(600);
  expect(sent[1]).toEqual({ parent: 7, document: named('Mine, more') });
  expect(saving.revision()).toBe(8);
});

test('a save whose answer was lost is no conflict with oneself', () => {
  answer = () => throwError(() => problem(409, { latest: keptAs(named('Mine'), 4) }));
  saving.offer(named('Mine'));
  jest.advanceTimersByTime(600);
  expect([saving.state(), saving.revision(), saving.conflict()]).toEqual(['kept', 4, null]);
  expect(drafts.drop).toHaveBeenCalledWith('d');
});

test('leaving right after typing sends it, and lets a save under way finish', () => {
  saving.offer(named('Typed and gone'));
  TestBed.resetTestingModule();
  expect(sent).toEqual([{ parent: 3, document: named('Typed and gone') }]);
  expect(list.changed).toHaveBeenCalled();
  expect(drafts.drop).toHaveBeenCalledWith('d');
});

test('while the disk is full it waits and tries again by itself', () => {
  answer = () => throwError(() => problem(507));
  saving.offer(named('A'));
  jest.advanceTimersByTime(600);
  expect(saving.state()).toBe('no room');
  answer = () => of(keptAs(named('A'), 4));
  jest.advanceTimersByTime(3000);
  expect(saving.state()).toBe('kept');
});

test('a design removed elsewhere is brought back with what was typed here', () => {
  answer = () => throwError(() => problem(410));
  saving.offer(named('Mine'));
  jest.advanceTimersByTime(600);
  expect(saving.state()).toBe('removed');
  saving.offer(named('Mine, more'));
  jest.advanceTimersByTime(10000);
  expect(sent).toHaveLength(1);
  answer = () => of(keptAs(named('Mine, more'), 4));
  saving.bringBack('d');
  jest.advanceTimersByTime(600);
  expect(restored).toEqual(['designs/d/restore']);
  expect(sent[1]).toEqual({ parent: 3, document: named('Mine, more') });
  expect(saving.state()).toBe('kept');
});

test('a refused design is said and never silently dropped', () => {
  answer = () => throwError(() => problem(422));
  saving.offer(named('A'));
  jest.advanceTimersByTime(600);
  expect(saving.state()).toBe('refused');
  expect(TestBed.inject(Notices).failed).toHaveBeenCalled();
  expect(drafts.drop).not.toHaveBeenCalled();
});
