import { rmSync } from 'node:fs';
import { designSchema, startingCup, type DesignId } from '@aurantia/core';
import { Aside } from '../src/aside/aside';
import { Threads } from '../src/aside/threads';
import { memoryOf } from '../src/memory';
import { openStore, type Store } from '../src/store/open-store';
import { newFile } from './memory';

const scattered = (count: number, layers: number) =>
  designSchema.parse({
    version: 2,
    id: 'd',
    name: 'D',
    cup: startingCup,
    areas: Array.from({ length: layers }, (_, seed) => ({
      kind: 'scatter',
      id: `s${seed}`,
      name: 'Stars',
      outline: { shape: 'star' },
      width: 2,
      count,
      seed,
      clearance: 0,
      turn: 'any',
      lower: { by: 'share', share: 0 },
      upper: { by: 'share', share: 1 },
    })),
    blends: [],
    coats: [],
  });

let threads: Threads;
let aside: Aside;
let store: Store;
let file: string;
beforeEach(async () => {
  file = newFile();
  store = await openStore(file);
  const { designs } = memoryOf(store, file);
  for (const [id, count, layers] of [
    ['plain', 1, 1],
    ['middling', 40, 1],
    ['long', 300, 1],
    ['too-long', 2000, 6],
  ] as const)
    await designs.create({ ...scattered(count, layers), id: id as DesignId });
  threads = new Threads(2);
  aside = new Aside(file, threads);
});
afterEach(async () => {
  await aside.close();
  await threads.close();
  await store.destroy();
});

test('a card is made in a thread of its own, while this one answers', async () => {
  let turns = 0;
  const beat = setInterval(() => (turns += 1), 5);
  const { pdf } = await aside.do('card', { id: 'long', paper: 'A4' });
  clearInterval(beat);
  expect(turns).toBeGreaterThan(20);
  expect(Buffer.from(pdf.slice(0, 5)).toString()).toBe('%PDF-');
});

test('what takes too long is stopped and says what to change; what is wished for next is done', async () => {
  await expect(aside.do('card', { id: 'too-long', paper: 'A4' }, { patience: 50 })).rejects.toMatchObject({
    status: 503,
    detail: expect.stringContaining('Take fewer motifs'),
  });
  const { line } = await aside.do('summary', { id: 'plain' });
  expect(line).toBe('1 area, no coats yet');
});

test('what somebody waits for goes before what is only got ready, however much of that there is', async () => {
  const done: string[] = [];
  const ready = Array.from({ length: 4 }, () =>
    aside.do('summary', { id: 'middling' }, { later: true }).then(() => done.push('got ready')),
  );
  await ready[0];
  await aside.do('card', { id: 'plain', paper: 'A4' }).then(() => done.push('waited for'));
  await Promise.all(ready);
  expect(done.indexOf('waited for')).toBeLessThan(4);
});

test('a fault in a thread reaches whoever asked, in its own words, and the next wish gets an answer', async () => {
  const wishes = { gap: 1, overlap: 5, straight: false };
  await expect(aside.do('template', { id: 'plain', what: 'no such', wishes, on: 'svg' })).rejects.toMatchObject({ status: 404 });
  await expect(aside.do('card', { id: 'no such', paper: null })).rejects.toMatchObject({ status: 404 });
  await expect(aside.do('summary', { id: 'plain' })).resolves.toMatchObject({ level: 'open' });
});

test('workshops that share threads: what one gives up leaves the other’s work be, and its own is gone', async () => {
  const otherFile = newFile();
  const otherStore = await openStore(otherFile);
  await memoryOf(otherStore, otherFile).designs.create({ ...scattered(1, 2), id: 'plain' as DesignId });
  const other = new Aside(otherFile, threads);
  const givenUp = expect(aside.do('card', { id: 'too-long', paper: null })).rejects.toMatchObject({ title: 'Stopping' });
  const waiting = Array.from({ length: 3 }, () => other.do('summary', { id: 'plain' }));
  await aside.close();
  await givenUp;
  for (const { line } of await Promise.all(waiting)) expect(line).toBe('2 areas, no coats yet');
  await expect(aside.do('summary', { id: 'plain' })).rejects.toMatchObject({ title: 'Stopping' });
  await other.close();
  await otherStore.destroy();
});

test('a file that was put in the place of another is read anew once the first was closed', async () => {
  const before = await aside.do('summary', { id: 'plain' });
  expect(before.line).toBe('1 area, no coats yet');
  await aside.close();
  await store.destroy();
  for (const part of ['', '-wal', '-shm']) rmSync(`${file}${part}`, { force: true });
  store = await openStore(file);
  await memoryOf(store, file).designs.create({ ...scattered(1, 3), id: 'plain' as DesignId });
  aside = new Aside(file, threads);
  expect((await aside.do('summary', { id: 'plain' })).line).toBe('3 areas, no coats yet');
});
