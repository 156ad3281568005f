import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { defaultSettings, startingItem, type ShelfItem } from '@aurantia/core';
import * as z from 'zod';
import { Api, ApiError } from '../src/app/services/api';
import { Notices } from '../src/app/services/notices';
import { WorkshopMemory } from '../src/app/services/workshop';
import { kept, loadedWorkshop } from './loaded-workshop';

let http: HttpTestingController;
let notices: { failed: jest.Mock; undoable: jest.Mock; offer: jest.Mock };

beforeEach(() => {
  notices = { failed: jest.fn(), undoable: jest.fn(), offer: jest.fn() };
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
    expect(error().message).toMatch(/didn’t come through\. Start it again/);
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
  const loaded = (shelf: readonly ShelfItem[] = [jar]) => loadedWorkshop(http, shelf, [startingItem('paint', 'long-gone')]);

  test('is there once all of it has come', () => {
    const memory = loaded();
    expect(memory.loaded()).toBe(true);
    expect(memory.workshop()).toEqual({
      settings: defaultSettings,
      shelf: [jar],
      today: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
    });
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
    http.expectOne('/api/shelf/jar').flush(kept({ ...jar, name: 'Gorse' }, 2));
    const ink = startingItem('ink', 'ink');
    memory.putItem(ink).subscribe();
    http.expectOne('/api/shelf/ink').flush(kept(ink));
    expect(memory.shelf().map((item) => item.name)).toEqual(['Gorse', 'New ink']);
  });
  test('what is typed quickly goes out in its order, one at a time, each on top of the last; no reply takes typing back', () => {
    const memory = loaded();
    const named = (name: string) => memory.putItem({ ...jar, name }).subscribe();
    named('G');
    named('Go');
    named('Gorse');
    const first = http.expectOne('/api/shelf/jar');
    expect(first.request.body).toMatchObject({ parent: 1, document: { name: 'G' } });
    first.flush(kept({ ...jar, name: 'G' }, 2));
    expect(memory.shelf()[0].name).toBe('Gorse');
    const second = http.expectOne('/api/shelf/jar');
    expect(second.request.body).toMatchObject({ parent: 2, document: { name: 'Gorse' } });
    second.flush(kept({ ...jar, name: 'Gorse', left: 4 }, 3));
    expect(memory.shelf()[0]).toMatchObject({ name: 'Gorse', left: 4 });
  });
  test('where another window was faster its version is shown, and one’s own is one press away', () => {
    const memory = loaded();
    memory.putItem({ ...jar, name: 'Mine' }).subscribe();
    const problem = { title: 't', status: 409, detail: 'd', latest: kept({ ...jar, name: 'Theirs' }, 4) };
    http.expectOne('/api/shelf/jar').flush(problem, { status: 409, statusText: '' });
    expect(memory.shelf()[0].name).toBe('Theirs');
    const [sentence, , useMine] = notices.offer.mock.lastCall as [string, string, () => void];
    expect(sentence).toContain('Theirs was changed in another window');
    useMine();
    const again = http.expectOne('/api/shelf/jar');
    expect(again.request.body).toMatchObject({ parent: 4, document: { name: 'Mine' } });
    again.flush(kept({ ...jar, name: 'Mine' }, 5));
    expect(memory.shelf()[0].name).toBe('Mine');
  });
  test('what was typed while the program can’t be reached stays, and goes out once it is tried again', () => {
    const memory = loaded();
    for (const name of ['B', 'C']) memory.putItem({ ...jar, name }).subscribe();
    http.expectOne('/api/shelf/jar').error(new ProgressEvent('error'));
    expect(memory.shelf()[0].name).toBe('C');
    const [, again] = notices.failed.mock.lastCall as [unknown, () => void];
    again();
    const sent = http.expectOne('/api/shelf/jar');
    expect(sent.request.body).toMatchObject({ parent: 1, document: { name: 'C' } });
    sent.flush(kept({ ...jar, name: 'C' }, 2));
    expect(memory.shelf()[0].name).toBe('C');
  });
  test('a conflict sends nothing that waited: the other window’s version stays until one decides', () => {
    const memory = loaded();
    for (const name of ['B', 'C']) memory.putItem({ ...jar, name }).subscribe();
    const problem = { title: 't', status: 409, detail: 'd', latest: kept({ ...jar, name: 'Theirs' }, 4) };
    http.expectOne('/api/shelf/jar').flush(problem, { status: 409, statusText: '' });
    http.expectNone('/api/shelf/jar');
    expect(memory.shelf()[0].name).toBe('Theirs');
    const [, , useMine] = notices.offer.mock.lastCall as [string, string, () => void];
    useMine();
    expect(http.expectOne('/api/shelf/jar').request.body).toMatchObject({ parent: 4, document: { name: 'C' } });
  });
  test('what is refused is put back as it was kept', () => {
    const memory = loaded();
    memory.putItem({ ...jar, name: 'B' }).subscribe();
    http.expectOne('/api/shelf/jar').flush({ title: 't', status: 422, detail: 'd' }, { status: 422, statusText: '' });
    expect(memory.shelf()).toEqual([jar]);
  });
  test('a count is a movement; only the count of the jar moves', () => {
    const memory = loaded();
    memory.moveItem('jar', { why: 'spilt', amount: 2 }).subscribe();
    const moved = http.expectOne('/api/shelf/jar/movements');
    expect(moved.request.body).toEqual({ why: 'spilt', amount: 2 });
    moved.flush(kept({ ...jar, name: 'As it was', left: 8 }));
    expect(memory.shelf()).toEqual([{ ...jar, left: 8 }]);
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
    http.expectOne({ method: 'POST', url: '/api/shelf/jar/restore' }).flush(kept(jar));
    expect(memory.shelf()).toEqual([jar]);
    expect(memory.gone().map(({ id }) => id)).toEqual(['long-gone']);
  });
  test('a table of items comes in at once, known ones in their places, and the ledger is read', () => {
    const memory = loaded();
    const items = [startingItem('paint', 'new'), { ...jar, left: 7 }];
    memory.putItems(items).subscribe();
    const sent = http.expectOne('/api/shelf/many');
    expect(sent.request.body).toMatchObject([{ parent: null }, { parent: 1 }]);
    sent.flush(items.map((item) => kept(item)));
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
    http.expectOne('/api/workshop/moved-on').flush({ stamp: '1', since: null });
    http.expectOne('/api/workshop').error(new ProgressEvent('error'));
    for (const path of ['/api/shelf', '/api/shelf/gone', '/api/cups']) expect(http.expectOne(path).cancelled).toBe(true);
    expect(memory.loaded()).toBe(false);
    expect(notices.failed).toHaveBeenCalledWith(expect.any(ApiError), expect.any(Function));
  });
});
