import { TestBed } from '@angular/core/testing';
import type { Design } from '@aurantia/core';
import { DocumentHistory } from '../src/app/design/document-history';
import { design } from './workshop';

const named = (name: string): Design => ({ ...design, name });
let history: DocumentHistory;
beforeEach(() => {
  history = TestBed.configureTestingModule({ providers: [DocumentHistory] }).inject(DocumentHistory);
});

test('changes of one name in a row are one step; another name, or none, begins the next', () => {
  expect(history.note(named('0'), 'drag')).toBe(false);
  expect(history.note(named('1'), 'drag')).toBe(true);
  expect(history.note(named('2'), 'other drag')).toBe(false);
  expect(history.note(named('3'), null)).toBe(false);
  expect(history.note(named('4'), null)).toBe(false);
  const back: string[] = [];
  for (let now: Design | null = named('5'); now; now = history.back(now)) back.push(now.name);
  expect(back).toEqual(['5', '4', '3', '2', '0']);
});

test('a gesture that ended isn’t gone on with by another of its name', () => {
  history.note(named('0'), 'drag');
  expect([history.moving(), history.endGesture(), history.moving(), history.endGesture()]).toEqual([true, true, false, false]);
  expect(history.note(named('1'), 'drag')).toBe(false);
});

test('back and forth lead the same way, and a step back ends a gesture', () => {
  history.note(named('0'), 'drag');
  expect(history.back(named('1'))?.name).toBe('0');
  expect([history.moving(), history.canUndo(), history.canRedo()]).toEqual([false, false, true]);
  expect(history.forth(named('0'))?.name).toBe('1');
  expect([history.canUndo(), history.canRedo()]).toEqual([true, false]);
  expect(history.forth(named('1'))).toBeNull();
});

test('a change after a step back ends the way forth; a hundred steps are kept', () => {
  for (let i = 0; i < 150; i += 1) history.note(named(`${i}`), null);
  let steps = 0;
  let now: Design | null = named('150');
  while ((now = history.back(now))) {
    steps += 1;
    if (now.name === '50') break;
  }
  expect([steps, now?.name, history.canUndo()]).toEqual([100, '50', false]);
  history.note(named('51'), null);
  expect(history.canRedo()).toBe(false);
});

test('begun anew there is nothing to go back to but what is given', () => {
  history.note(named('0'), 'drag');
  history.begin([named('kept')]);
  expect(history.back(named('draft'))?.name).toBe('kept');
  history.begin();
  expect([history.canUndo(), history.canRedo(), history.moving()]).toEqual([false, false, false]);
});
