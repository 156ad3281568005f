import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { itemOf, planOf, startingItem, type ItemOf, type LedgerEntry, type Movement, type ShelfItem } from '@aurantia/core';
import { readShelfTable } from '@aurantia/core/shelf-table';
import { of, Subject, throwError } from 'rxjs';
import { LeftoverMix } from '../src/app/design/colour-stage/leftover-mix/leftover-mix';
import { meanColour, PhotoError, readPhoto } from '../src/app/parts/photo-colour/read-photo';
import { ItemStock } from '../src/app/places/shelf/item-stock/item-stock';
import { TableImport } from '../src/app/places/shelf/table-import/table-import';
import { Mixes } from '../src/app/services/mixes';
import { Notices } from '../src/app/services/notices';
import { WorkshopMemory } from '../src/app/services/workshop';
import type { MixesReply } from '../src/app/workers/mixes-request';
import { choose, design, labelled, memoryStub, pickOf, typeInto } from './workshop';

const worker = {
  onmessage: null as ((event: { data: MixesReply }) => void) | null,
  postMessage: jest.fn(),
  terminate: jest.fn(),
};
Object.assign(globalThis, { Worker: jest.fn(() => worker) });

const notices = { failed: jest.fn(), say: jest.fn() };
const kept: { item: ShelfItem }[] = [];
const moves: object[] = [];
const entries = signal<readonly LedgerEntry[]>([]);
const many = jest.fn();
beforeEach(() => {
  kept.length = 0;
  moves.length = 0;
  many.mockReset().mockReturnValue(of(null));
  notices.say.mockReset();
  notices.failed.mockReset();
  const memory = {
    ...memoryStub(),
    putItem: (item: ShelfItem) => {
      kept.push({ item });
      return of(item);
    },
    addItem: (item: ShelfItem, why: string) => {
      kept.push({ item });
      moves.push({ why });
      return of(item);
    },
    moveItem: (id: string, movement: Movement) => {
      moves.push({ id, ...movement });
      return of(undefined);
    },
    putItems: many,
    ledger: () => of(entries()),
  };
  TestBed.configureTestingModule({
    providers: [
      { provide: WorkshopMemory, useValue: memory },
      { provide: Notices, useValue: notices },
    ],
  });
});
const buttonOf = (root: HTMLElement, text: string | RegExp) =>
  [...root.querySelectorAll('button')].find((one) => {
    const said = one.textContent?.trim() ?? '';
    return typeof text === 'string' ? said === text : text.test(said);
  });

describe('a jar’s stock', () => {
  const jar = { ...(startingItem('glitter', 'jar') as ItemOf<'glitter'>), left: 20 };
  async function stock(item: ShelfItem = jar) {
    const fixture = TestBed.createComponent(ItemStock);
    fixture.componentRef.setInput('item', item);
    await fixture.whenStable();
    const root = fixture.nativeElement as HTMLElement;
    const type = async (label: string, text: string) => {
      typeInto(labelled(root, label), text);
      await fixture.whenStable();
    };
    const press = async (text: string) => {
      buttonOf(root, text)?.click();
      await fixture.whenStable();
    };
    return { fixture, root, type, press };
  }
  test.each([
    ['used on a cup', '5', 5],
    ['bought', '5', 5],
    ['counted anew', '5', 5],
    ['spilt', '0,5', 0.5],
  ])('%s: %s ml is such a movement', async (why, ml, amount) => {
    const { fixture, type, press } = await stock();
    await choose(fixture, 'Why', why);
    await type('How much', ml);
    await press('Note it');
    expect(moves).toEqual([{ id: 'jar', why, amount }]);
    expect(kept).toEqual([]);
  });
  test('more than there is can’t go, and nothing typed is asked for', async () => {
    const { root, type, press } = await stock();
    await press('Note it');
    expect(root.querySelector('[role=alert]')?.textContent).toBe('Type how many.');
    await type('How much', '21');
    await press('Note it');
    expect(root.querySelector('[role=alert]')?.textContent).toMatch(/; 21 can’t go/);
    expect(moves).toEqual([]);
  });
  test('a level spoon weighed sets the solid share and what it rests on', async () => {
    const { root, type, press } = await stock();
    await type('It weighs', '2.3');
    await press('Set by it');
    const item = kept[0].item as ItemOf<'glitter'>;
    expect(item.basis).toBe('weighed');
    expect(item.flake.solidShare).toBeGreaterThan(jar.flake.solidShare);
    await type('It weighs', '50');
    await press('Set by it');
    expect(root.querySelector('[role=alert]')?.textContent).toMatch(/which no glitter is/);
    expect(kept).toHaveLength(1);
  });
  test('the ledger reads as a maker would say it, and a paint has no spoon to weigh', async () => {
    entries.set([
      { at: '2026-11-25T10:00:00.000Z', change: -2.5, left: 17.5, why: 'spilt' },
      { at: '2026-11-24T10:00:00.000Z', change: null, left: null, why: 'counted anew' },
    ]);
    const { root } = await stock({ ...startingItem('paint', 'p'), paid: 6, full: 240 });
    const lines = [...root.querySelectorAll('li')].map((line) => [...line.children].map((one) => one.textContent).join(' '));
    expect(lines[0]).toMatch(/−2\.5 ml spilt 17\.5 ml left$/);
    expect(lines[1]).toMatch(/counted anew no count$/);
    expect(root.textContent).toContain('A ml cost 0.025.');
    expect(root.textContent).not.toContain('Weigh one level spoon');
    entries.set([]);
  });
});

describe('a table brought in', () => {
  async function bring(text: string) {
    const fixture = TestBed.createComponent(TableImport);
    let closed = 0;
    fixture.componentInstance.closed.subscribe(() => (closed += 1));
    fixture.componentRef.setInput('table', readShelfTable(text));
    fixture.componentRef.setInput('file', 'jars.csv');
    await fixture.whenStable();
    return { fixture, root: fixture.nativeElement as HTMLElement, closed: () => closed };
  }
  const known = memoryStub().shelf()[0];
  test('nothing is kept before it is agreed to; then all of it is', async () => {
    const { root, closed } = await bring('name;cut_mm\nMoth;0,4\nGorse;1');
    expect(many).not.toHaveBeenCalled();
    buttonOf(root, 'Bring in 2 items')?.click();
    expect((many.mock.lastCall as [ShelfItem[]])[0].map(({ name }) => name)).toEqual(['Moth', 'Gorse']);
    expect(notices.say).toHaveBeenCalledWith('2 items from jars.csv on the shelf.');
    expect(closed()).toBe(1);
  });
  test('items that are here already are replaced only if that is wanted', async () => {
    const { fixture, root } = await bring(`name,kind,left_ml\n${known.name},${known.kind},3\nMoth,glitter,4`);
    expect(root.textContent).toContain('replaces the one here');
    const tick = root.querySelector<HTMLInputElement>('input[type=checkbox]');
    tick?.click();
    await fixture.whenStable();
    buttonOf(root, 'Bring in 1 item')?.click();
    expect((many.mock.lastCall as [ShelfItem[]])[0].map(({ name }) => name)).toEqual(['Moth']);
  });
  test('a meaning given to one column is taken from the other', async () => {
    const { fixture, root } = await bring('name,other\nMoth,Gorse');
    await choose(fixture, 'What “other” says', 'name');
    expect(await (await pickOf(fixture, 'What “name” says')).getValueText()).toBe('left out');
    expect(root.querySelector('.preview b')?.textContent).toBe('Gorse');
  });
  test('when it can’t be kept, it stays open to try again', async () => {
    const { fixture, root, closed } = await bring('name\nMoth');
    many.mockReturnValue(throwError(() => new Error('full')));
    buttonOf(root, /^Bring in/)?.click();
    await fixture.whenStable();
    expect(notices.failed).toHaveBeenCalledTimes(1);
    expect(closed()).toBe(0);
    expect(buttonOf(root, /^Bring in/)?.disabled).toBe(false);
  });
});

test('what is left of a mix goes on the shelf with where it came from', async () => {
  const fixture = TestBed.createComponent(LeftoverMix);
  const blend = planOf(design, memoryStub().workshop()).blends[0];
  fixture.componentRef.setInput('blend', blend);
  fixture.componentRef.setInput('design', 'Gable End');
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  expect(buttonOf(root, 'Put it on the shelf')?.disabled).toBe(true);
  typeInto(labelled(root, 'Left over of this mix'), '-2');
  await fixture.whenStable();
  expect(root.querySelector('[role=alert]')?.textContent).toMatch(/Less than nothing/);
  typeInto(labelled(root, 'Left over of this mix'), '4');
  await fixture.whenStable();
  buttonOf(root, 'Put it on the shelf')?.click();
  expect(kept[0]).toMatchObject({ item: { name: 'Low leftover', left: 4 } });
  expect(moves).toEqual([{ why: 'left over of Low of Gable End' }]);
  const from = itemOf(memoryStub().shelf(), blend.parts[0].item, 'glitter');
  expect((kept[0].item as ItemOf<'glitter'>).flake.colour).toBe(from?.flake.colour);
});

describe('the worker for mixes', () => {
  const answer = (over: boolean) => ({ mixes: [], evaluated: 3, progress: 0.5, over });
  const wish = {} as Parameters<Mixes['find']>[0];
  test('tells again and again, and is ended when no longer wanted', () => {
    const told: boolean[] = [];
    const ended = new Subject<void>();
    TestBed.inject(Mixes)
      .find(wish, [])
      .subscribe({ next: ({ over }) => told.push(over), complete: () => ended.complete() });
    worker.onmessage?.({ data: { answer: answer(false) } });
    worker.onmessage?.({ data: { answer: answer(true) } });
    expect(told).toEqual([false, true]);
    expect(ended.isStopped).toBe(true);
    expect(worker.terminate).not.toHaveBeenCalled();
    TestBed.inject(Mixes).find(wish, []).subscribe().unsubscribe();
    expect(worker.terminate).toHaveBeenCalledTimes(1);
  });
  test('a question that can’t be comes back as its sentence', () => {
    let sentence = '';
    TestBed.inject(Mixes)
      .find(wish, [])
      .subscribe({ error: (error: Error) => (sentence = error.message) });
    worker.onmessage?.({ data: { sentence: 'Pour some first.' } });
    expect(sentence).toBe('Pour some first.');
  });
});

describe('a photo', () => {
  test('too large, or no picture at all, is a sentence', async () => {
    await expect(readPhoto({ size: 50_000_000 } as Blob)).rejects.toThrow(PhotoError);
    Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('decode')) });
    await expect(readPhoto(new Blob(['hello']))).rejects.toThrow(/no picture that can be read/);
  });
  test('is taken upright, and no larger than needed', async () => {
    const asked: unknown[][] = [];
    const bitmap = (width: number, height: number) => ({ width, height, close: jest.fn() });
    Object.assign(globalThis, {
      createImageBitmap: (...given: unknown[]) => {
        asked.push(given);
        return Promise.resolve(asked.length === 1 ? bitmap(4000, 3000) : bitmap(1600, 1200));
      },
    });
    expect((await readPhoto(new Blob(['x']))).width).toBe(1600);
    expect(asked[0][1]).toEqual({ imageOrientation: 'from-image' });
    expect(asked[1][1]).toMatchObject({ resizeWidth: 1600, resizeHeight: 1200 });
  });
  test('a patch is averaged as light, not as screen values', () => {
    const data = new Uint8ClampedArray(11 * 11 * 4).map((_, i) => (i % 4 === 3 ? 255 : (i >> 2) % 2 === 0 ? 255 : 0));
    const context = { canvas: { width: 40, height: 40 }, getImageData: () => ({ data }) } as unknown as CanvasRenderingContext2D;
    const grey = parseInt(meanColour(context, 20, 20).slice(1, 3), 16);
    expect(grey).toBeGreaterThan(184);
    expect(grey).toBeLessThan(194);
  });
});
