import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { defaultSettings, startingItem, type ShelfItem } from '@aurantia/core';
import * as z from 'zod';
import { Api, ApiError } from '../src/app/services/api';
import { Notices } from '../src/app/services/notices';
import { WorkshopMemory } from '../src/app/services/workshop';
import { cup } from './workshop';

let http: HttpTestingController;
let notices: { failed: jest.Mock; undoable: jest.Mock };

beforeEach(() => {
  notices = { failed: jest.fn(), undoable: jest.fn() };
  TestBed.configureTestingModule({
    providers: [provideHttpClient(), provideHttpClientTesting(), { provide: Notices, useValue: notices }],
  });
  http = TestBed.inject(HttpTestingController);
});
afterEach(() => http.verify());

describe('what the server says', () => {
  const failure = () => {
    let error: unknown;
    TestBed.inject(Api)
      .get('workshop', z.object({ name: z.string() }))
      .subscribe({ error: (one: unknown) => (error = one) });
    return { reply: http.expectOne('/api/workshop'), error: () => error as ApiError };
  };

  test('a problem reaches the page as its sentence and its faults', () => {
    const { reply, error } = failure();
    reply.flush(
      {
        title: 'Not accepted',
        status: 422,
        detail: 'The finest step is 0.1 ml.',
        faults: [{ path: 'spoonStep', sentence: 'x' }],
      },
      { status: 422, statusText: '' },
    );
    expect(error()).toBeInstanceOf(ApiError);
    expect(error().message).toBe('The finest step is 0.1 ml.');
    expect(error().problem.faults).toHaveLength(1);
    expect(error().offline).toBe(false);
  });
  test('no answer at all is being out of reach', () => {
    const { reply, error } = failure();
    reply.error(new ProgressEvent('error'));
    expect(error().offline).toBe(true);
    expect(error().message).toMatch(/kept in this browser/);
  });
  test('an answer that is no problem document still becomes a sentence', () => {
    const { reply, error } = failure();
    reply.flush('<h1>Bad gateway</h1>', { status: 502, statusText: '' });
    expect(error().problem).toMatchObject({ status: 502, detail: expect.stringMatching(/Reload/) });
  });
  test('a reply of another shape is never let in', () => {
    const { reply, error } = failure();
    reply.flush({ name: 7 });
    expect(error()).toBeInstanceOf(z.ZodError);
  });
});

describe('the workshop’s memory', () => {
  const jar = startingItem('glitter', 'jar');
  const loaded = (shelf: readonly ShelfItem[] = [jar]) => {
    const memory = TestBed.inject(WorkshopMemory);
    memory.load();
    http.expectOne('/api/workshop').flush(defaultSettings);
    http.expectOne('/api/shelf').flush(shelf);
    http.expectOne('/api/shelf/gone').flush([startingItem('paint', 'long-gone')]);
    http.expectOne('/api/cups').flush([{ id: 'c', cup }]);
    return memory;
  };

  test('is there once all of it has come', () => {
    const memory = loaded();
    expect(memory.loaded()).toBe(true);
    expect(memory.workshop()).toEqual({ settings: defaultSettings, shelf: [jar] });
    expect(memory.cups()).toHaveLength(1);
  });
  test('shows a setting at once, and takes it back when it can’t be kept', () => {
    const memory = loaded();
    memory.changeSettings({ spoonStep: 1 });
    expect(memory.settings().spoonStep).toBe(1);
    http.expectOne('/api/workshop').flush({ title: 't', status: 500, detail: 'd' }, { status: 500, statusText: '' });
    expect(memory.settings().spoonStep).toBe(0.5);
    expect(notices.failed).toHaveBeenCalledTimes(1);
  });
  test('replaces a jar it knows and adds one it doesn’t', () => {
    const memory = loaded();
    memory.putItem({ ...jar, name: 'Gorse' }).subscribe();
    http.expectOne('/api/shelf/jar?why=counted%20anew').flush({ ...jar, name: 'Gorse' });
    memory.putItem(startingItem('ink', 'ink')).subscribe();
    http.expectOne('/api/shelf/ink?why=counted%20anew').flush(startingItem('ink', 'ink'));
    expect(memory.shelf().map((item) => item.name)).toEqual(['Gorse', 'New ink']);
  });
  test('takes a jar off only once the server has, and offers the way back', () => {
    const memory = loaded();
    memory.removeItem(jar);
    expect(memory.shelf()).toHaveLength(1);
    http.expectOne({ method: 'DELETE', url: '/api/shelf/jar' }).flush(null);
    expect(memory.shelf()).toHaveLength(0);
    expect(memory.gone().map(({ id }) => id)).toEqual(['jar', 'long-gone']);
    const [, undo] = notices.undoable.mock.lastCall as [string, () => void];
    undo();
    http.expectOne({ method: 'PUT', url: '/api/shelf/jar?why=counted%20anew' }).flush(jar);
    expect(memory.shelf()).toEqual([jar]);
    expect(memory.gone().map(({ id }) => id)).toEqual(['long-gone']);
  });
  test('a table of items comes in at once, known ones in their places, and the ledger is read', () => {
    const memory = loaded();
    const items = [startingItem('paint', 'new'), { ...jar, left: 7 }];
    memory.putItems(items).subscribe();
    http.expectOne('/api/shelf/many').flush(null);
    expect(memory.shelf().map(({ id, left }) => [id, left])).toEqual([
      ['jar', 7],
      ['new', null],
    ]);
    const seen: unknown[] = [];
    memory.ledger('jar').subscribe((entries) => seen.push(...entries));
    const entry = { at: '2026-11-25T10:00:00.000Z', change: 7, left: 7, why: 'bought' };
    http.expectOne('/api/shelf/jar/ledger').flush([entry]);
    expect(seen).toEqual([entry]);
  });
  test('what can’t be loaded can be tried again', () => {
    const memory = TestBed.inject(WorkshopMemory);
    memory.load();
    http.expectOne('/api/workshop').error(new ProgressEvent('error'));
    for (const path of ['/api/shelf', '/api/shelf/gone', '/api/cups']) expect(http.expectOne(path).cancelled).toBe(true);
    expect(memory.loaded()).toBe(false);
    expect(notices.failed).toHaveBeenCalledWith(expect.any(ApiError), expect.any(Function));
  });
});
