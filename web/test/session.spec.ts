import { TestBed } from '@angular/core/testing';
import { areaSchema, layoutOf, type Design } from '@aurantia/core';
import { Observable, of, Subject, throwError } from 'rxjs';
import { Autosave } from '../src/app/design/autosave';
import { DocumentHistory } from '../src/app/design/document-history';
import { PlannedDocument } from '../src/app/design/planned-document';
import { DesignSession } from '../src/app/design/session';
import { Api, ApiError } from '../src/app/services/api';
import { DesignList } from '../src/app/services/designs';
import { KeptDesigns, type KeptDesign } from '../src/app/services/kept-designs';
import { Drafts, type Draft } from '../src/app/services/drafts';
import { Notices } from '../src/app/services/notices';
import { WorkshopMemory } from '../src/app/services/workshop';
import { design, memoryStub } from './workshop';

const layoutWorker: { onmessage: ((event: { data: unknown }) => void) | null; postMessage: jest.Mock } = {
  onmessage: null,
  postMessage: jest.fn(),
};
Object.assign(globalThis, { Worker: jest.fn(() => layoutWorker) });

class QuietChannel {
  static latest: QuietChannel | null = null;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage = jest.fn();
  close = jest.fn();
  constructor() {
    QuietChannel.latest = this;
  }
}

let stored: KeptDesign;
let draft: Draft | null;
let session: DesignSession;
let put: jest.Mock;
const named = (name: string) => (one: Design) => ({ ...one, name });
const name = () => session.document()?.name;
const settled = () => new Promise((resolve) => setTimeout(resolve));

async function open(get: () => Observable<KeptDesign> = () => of(stored)): Promise<void> {
  Object.assign(globalThis, { BroadcastChannel: QuietChannel });
  put = jest.fn(() => new Subject());
  TestBed.configureTestingModule({
    providers: [
      DocumentHistory,
      PlannedDocument,
      Autosave,
      DesignSession,
      { provide: Api, useValue: { get, put } },
      { provide: Drafts, useValue: { keep: jest.fn(), drop: jest.fn(), take: () => Promise.resolve(draft) } },
      { provide: Notices, useValue: { failed: jest.fn(), say: jest.fn() } },
      { provide: WorkshopMemory, useValue: memoryStub() },
      { provide: DesignList, useValue: { changed: jest.fn() } },
      { provide: KeptDesigns, useValue: { create: (document: Design) => of({ document, revision: 1, keptAt: stored.keptAt }) } },
    ],
  });
  session = TestBed.inject(DesignSession);
  session.open('d');
  await settled();
}

beforeEach(() => {
  stored = { document: design, revision: 4, keptAt: '2026-01-01T10:00:00.000Z' };
  draft = null;
});

test('a sound change is taken, planned and offered to be kept', async () => {
  await open();
  expect(
    session.change((one) => ({ ...one, blends: [{ ...one.blends[0], parts: [{ ...one.blends[0].parts[0], ml: 5 }] }] })),
  ).toBeNull();
  expect(session.plan()?.blends[0].ml).toBe(5);
  expect(session.saving.state()).toBe('keeping');
});

test('an unsound change is a sentence, and the last good state stays', async () => {
  await open();
  const sentence = session.change((one) => ({
    ...one,
    areas: [{ ...one.areas[0], upper: { level: { by: 'foot', mm: 900 }, teeth: null } } as Design['areas'][0], one.areas[1]],
  }));
  expect(sentence).toMatch(/600 mm/);
  expect(session.document()).toBe(design);
  expect(session.canUndo()).toBe(false);
  expect(session.saving.state()).toBe('kept');
});

test('undo and redo walk the same way back and forth; a new change ends the redo', async () => {
  await open();
  for (const one of ['A', 'B', 'C']) session.change(named(one));
  session.undo();
  session.undo();
  expect(name()).toBe('A');
  session.redo();
  expect(name()).toBe('B');
  session.change(named('D'));
  expect(session.canRedo()).toBe(false);
  for (let i = 0; i < 5; i += 1) session.undo();
  expect(name()).toBe('Design');
});

test('a draft that was never kept is gone on with, one undo from what is kept', async () => {
  draft = { parent: 3, document: { ...design, name: 'Draft' } };
  await open();
  expect(name()).toBe('Draft');
  session.undo();
  expect(name()).toBe('Design');
});

test('theirs is taken only when told, and ours stays one undo away', async () => {
  await open();
  session.change(named('Ours'));
  const theirs: KeptDesign = { document: { ...design, name: 'Theirs' }, revision: 5, keptAt: stored.keptAt };
  session.saving.conflict.set(theirs);
  session.takeTheirs();
  expect([name(), session.saving.revision(), session.saving.conflict()]).toEqual(['Theirs', 5, null]);
  session.undo();
  expect(name()).toBe('Ours');
});

test('another window’s save is followed only while nothing is unsaved here', async () => {
  await open();
  session.change(named('Earlier'));
  session.undo();
  session.saving.state.set('kept');
  const newer = { ...stored, document: { ...design, name: 'Newer' }, revision: 5 };
  stored = newer;
  QuietChannel.latest?.onmessage?.({ data: { id: 'other', revision: 9 } });
  expect(name()).toBe('Design');
  QuietChannel.latest?.onmessage?.({ data: { id: 'd', revision: 5 } });
  expect(name()).toBe('Newer');
  // Undo would put an older document over what that window kept.
  expect(session.canUndo()).toBe(false);
  session.change(named('Mine'));
  stored = { ...newer, document: { ...design, name: 'Newest' }, revision: 6 };
  QuietChannel.latest?.onmessage?.({ data: { id: 'd', revision: 6 } });
  expect(name()).toBe('Mine');
});

test('a design that isn’t here is said, and nothing is opened', async () => {
  await open(() => throwError(() => new ApiError({ title: 'Not here', status: 404, detail: 'This design isn’t here.' })));
  expect(session.missing()).toBe('This design isn’t here.');
  expect(session.document()).toBeNull();
});

test('a fix is one change, and can be undone', async () => {
  await open();
  const fix = session.plan()?.findings.find((finding) => finding.fix)?.fix;
  if (!fix) throw new Error('the design has nothing to fix');
  session.fix(fix);
  expect(session.document()?.coats).toHaveLength(4);
  session.undo();
  expect(session.document()).toBe(design);
});

describe('hundreds of motifs', () => {
  const many = (seed: number) => (one: Design) => ({
    ...one,
    areas: [...one.areas.filter(({ id }) => id !== 'many'), scatterArea(seed)],
  });
  const scatterArea = (seed: number) =>
    areaSchema.parse({
      kind: 'scatter',
      id: 'many',
      name: 'Many',
      outline: { shape: 'spot' },
      width: 5,
      count: 200,
      seed,
      clearance: 1,
      turn: 'upright',
      lower: { by: 'foot', mm: 0 },
      upper: { by: 'rim', mm: 0 },
    });
  const answer = (data: unknown) => layoutWorker.onmessage?.({ data });

  test('are laid out by the worker; till then the last good plan stands', async () => {
    await open();
    expect(session.plan()?.areas.areas).toHaveLength(2);
    layoutWorker.postMessage.mockClear();
    expect(session.change(many(1))).toBeNull();
    TestBed.tick();
    expect(session.behind()).toBe(true);
    expect(session.plan()?.areas.areas).toHaveLength(2);
    const [{ cup, areas }] = layoutWorker.postMessage.mock.calls[0] as [{ cup: Design['cup']; areas: Design['areas'] }];
    answer({ layout: layoutOf(cup, areas), sentence: null });
    expect(session.behind()).toBe(false);
    expect(session.plan()?.areas.areas[2].motifs).toEqual({ wanted: 200, placed: 200 });
  });

  const asked = async (times: number) => {
    while (layoutWorker.postMessage.mock.calls.length < times) await settled();
  };

  test('what the worker finds of an older step is shown meanwhile, and the newest is asked for next', async () => {
    await open();
    layoutWorker.postMessage.mockClear();
    session.change(many(1));
    TestBed.tick();
    session.change(many(2));
    TestBed.tick();
    expect(layoutWorker.postMessage).toHaveBeenCalledTimes(1);
    answer({ layout: layoutOf(design.cup, [...design.areas, scatterArea(1)]), sentence: null });
    expect(session.behind()).toBe(true);
    expect(session.plan()?.areas.areas[2].motifs).toEqual({ wanted: 200, placed: 200 });
    await asked(2);
    expect((layoutWorker.postMessage.mock.calls[1] as [{ areas: Design['areas'] }])[0].areas[2]).toMatchObject({ seed: 2 });
    answer({ layout: layoutOf(design.cup, [...design.areas, scatterArea(2)]), sentence: null });
    expect(session.behind()).toBe(false);
  });

  test('one that can’t be goes back to the last good state', async () => {
    await open();
    layoutWorker.postMessage.mockClear();
    session.change(many(1));
    TestBed.tick();
    answer({ layout: layoutOf(design.cup, [...design.areas, scatterArea(1)]), sentence: null });
    session.change(many(2));
    await asked(2);
    answer({ layout: null, sentence: 'Two edges lie so nearly on each other.' });
    expect(session.document()?.areas[2]).toMatchObject({ seed: 1 });
  });
});

test('a drag is one step back, and is kept once it ends', async () => {
  await open();
  for (const letter of 'abc') session.change(named(letter), 'drag');
  expect(session.saving.state()).toBe('keeping');
  session.endGesture();
  expect(name()).toBe('c');
  session.undo();
  expect(name()).toBe('Design');
});
