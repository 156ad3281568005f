import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { TestBed } from '@angular/core/testing';
import { defaultSettings, startingItem, type ShelfItem } from '@aurantia/core';
import { Following } from '../src/app/services/following';
import { Notices } from '../src/app/services/notices';
import { WorkshopMemory } from '../src/app/services/workshop';
import { kept, loadedWorkshop } from './loaded-workshop';
import { timePasses } from './workshop';

/* A page that stays open: what a tablet, another window or the bench changed comes to it. */
let http: HttpTestingController;

beforeEach(() => {
  const notices = { failed: jest.fn(), undoable: jest.fn(), offer: jest.fn() };
  TestBed.configureTestingModule({
    providers: [provideHttpClient(), provideHttpClientTesting(), { provide: Notices, useValue: notices }],
  });
  http = TestBed.inject(HttpTestingController);
});
afterEach(() => http.verify());

const jar = startingItem('glitter', 'jar');
const loaded = (shelf: readonly ShelfItem[] = [jar]) => loadedWorkshop(http, shelf);

describe('what others changed meanwhile', () => {
  const other = startingItem('ink', 'ink');
  const stands = { settings: 1, cups: null, shelf: null, left: [] };
  const look = (since: object | null, stamp = '2') => {
    const memory = TestBed.inject(WorkshopMemory);
    memory.follow().subscribe({ error: () => undefined });
    const asked = http.expectOne((request) => request.url.startsWith('/api/workshop/moved-on'));
    asked.flush({ stamp, since });
    return asked.request.url;
  };

  test('is asked for by what this page knows; where nothing is another nothing is fetched', () => {
    loaded();
    expect(look(null, '1')).toBe('/api/workshop/moved-on?stamp=1');
    look({ ...stands, cups: [{ id: 'c', revision: 1 }], shelf: [{ id: 'jar', revision: 1 }] });
    expect(look(null)).toBe('/api/workshop/moved-on?stamp=2');
  });
  test('a page left open overnight goes by the new day', () => {
    jest.useFakeTimers({ now: new Date('2026-12-02T22:00:00') });
    try {
      const memory = loaded();
      expect(memory.workshop().today).toBe('2026-12-02');
      jest.setSystemTime(new Date('2026-12-03T08:00:00'));
      look(null);
      expect(memory.workshop().today).toBe('2026-12-03');
    } finally {
      jest.useRealTimers();
    }
  });
  test('a count moves alone, also under what is being typed and what goes back when it is refused', () => {
    const memory = loaded([{ ...jar, left: 20 }]);
    memory.putItem({ ...jar, left: 20, name: 'Mine' }).subscribe();
    look({ ...stands, left: [{ id: 'jar', left: 12 }] });
    expect(memory.shelf()).toMatchObject([{ name: 'Mine', left: 12 }]);
    http.expectOne('/api/shelf/jar').flush({ title: 't', status: 422, detail: 'd' }, { status: 422, statusText: '' });
    expect(memory.shelf()).toEqual([{ ...jar, left: 12 }]);
  });
  test('another’s jar comes and one taken off goes, and what is not kept yet here stays', () => {
    const memory = loaded([jar, startingItem('glue', 'glue')]);
    memory.putItem({ ...jar, name: 'Mine' }).subscribe();
    const mine = http.expectOne('/api/shelf/jar');
    look({
      ...stands,
      shelf: [
        { id: 'jar', revision: 2 },
        { id: 'ink', revision: 1 },
      ],
    });
    http.expectOne('/api/shelf').flush([kept({ ...jar, name: 'Theirs' }, 2), kept(other)]);
    http.expectOne('/api/shelf/gone').flush([]);
    expect(memory.shelf().map(({ name }) => name)).toEqual(['Mine', other.name]);
    // It still says what it started from: nobody's change is written over.
    expect(mine.request.body).toMatchObject({ parent: 1 });
    mine.flush(
      { title: 't', status: 409, detail: 'd', latest: kept({ ...jar, name: 'Theirs' }, 2) },
      { status: 409, statusText: '' },
    );
    expect(memory.shelf()[0].name).toBe('Theirs');
  });
  test('a list that was asked for before a save here came through takes nothing back', () => {
    const memory = loaded();
    look({
      ...stands,
      shelf: [
        { id: 'jar', revision: 1 },
        { id: 'ink', revision: 1 },
      ],
    });
    memory.putItem({ ...jar, name: 'Mine' }).subscribe();
    http.expectOne('/api/shelf/jar').flush(kept({ ...jar, name: 'Mine' }, 2));
    http.expectOne('/api/shelf').flush([kept(jar, 1), kept(other)]);
    http.expectOne('/api/shelf/gone').flush([]);
    expect(memory.shelf()[0].name).toBe('Mine');
    memory.putItem({ ...jar, name: 'Mine too' }).subscribe();
    expect(http.expectOne('/api/shelf/jar').request.body).toMatchObject({ parent: 2 });
  });
  test('settings follow, but for what was just chosen here', () => {
    const memory = loaded();
    look({ ...stands, settings: 2 });
    http.expectOne('/api/workshop').flush({ document: { ...defaultSettings, humidity: 81 }, revision: 2 });
    expect(memory.settings().humidity).toBe(81);
    memory.changeSettings({ humidity: 55 });
    const mine = http.expectOne({ method: 'PUT', url: '/api/workshop' });
    look({ ...stands, settings: 3 }, '3');
    http.expectOne({ method: 'GET', url: '/api/workshop' }).flush({ document: defaultSettings, revision: 3 });
    expect(memory.settings().humidity).toBe(55);
    expect(mine.request.body).toMatchObject({ parent: 2 });
  });
  test('what couldn’t be fetched is fetched at the next look', () => {
    const memory = loaded();
    const since = { ...stands, cups: [] };
    look(since);
    http.expectOne('/api/cups').error(new ProgressEvent('error'));
    expect(look(since)).toBe('/api/workshop/moved-on?stamp=1');
    http.expectOne('/api/cups').flush([]);
    expect(memory.cups()).toEqual([]);
  });
});

test('somebody comes back to the page, and the bench says something: one look for all that comes at once', async () => {
  jest.useFakeTimers();
  try {
    loaded();
    const following = TestBed.inject(Following);
    window.dispatchEvent(new Event('focus'));
    document.dispatchEvent(new Event('visibilitychange'));
    following.look();
    await timePasses(1000);
    http.expectOne('/api/workshop/moved-on?stamp=1').error(new ProgressEvent('error'));
    // Out of reach once, it looks again with the next step.
    following.look();
    await timePasses(1000);
    http.expectOne('/api/workshop/moved-on?stamp=1').flush({ stamp: '1', since: null });
  } finally {
    jest.useRealTimers();
  }
});
