import { join, dirname } from 'node:path';
import { mkdirSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { startingItem } from '@aurantia/core';
import { sql } from 'kysely';
import { readBackup } from '../src/backup/backup-file';
import { Backups } from '../src/backup/backups';
import { snapshotOf } from '../src/backup/snapshot-rows';
import { writeBackup } from '../src/backup/write-backup';
import { createApp } from '../src/app';
import { memoryOf } from '../src/memory';
import { openStore } from '../src/store/open-store';
import { demoFile, newFile, running, type Running } from './memory';

const servers: Running[] = [];
async function server(file = newFile(), demo = true): Promise<Running> {
  const one = await running(file, demo);
  servers.push(one);
  return one;
}
afterEach(async () => {
  for (const one of servers.splice(0)) await one.stop();
});
const backupsOf = (one: Running) => new Backups(one.store, dirname(newFile()));

describe('a row that can’t be read', () => {
  test('is named and can be saved; everything else works', async () => {
    const { ask, store } = await server();
    const { design } = demoFile('peat-fire');
    await store
      .insertInto('shelf_item')
      .values({ id: ' ', kind: 'paint', document: '{"kind":"paint"}', removed_at: null })
      .execute();
    await store.insertInto('cup').values({ id: 'torn', document: '{"name":', removed_at: null }).execute();
    await store.updateTable('workshop').set({ settings: '{"spoonStep":"half"}' }).execute();
    await store.insertInto('design').values({ id: 'torn', latest: 1, kept_at: '2026-01-01', removed_at: null }).execute();
    await store
      .insertInto('revision')
      .values({ design_id: 'torn', number: 1, parent: null, document: '[]', kept_at: '2026-01-01' })
      .execute();
    for (const [place, many] of [
      ['shelf', 37],
      ['cups', 9],
    ] as const)
      expect((await ask('GET', `/api/${place}`)).body).toHaveLength(many);
    expect((await ask('GET', '/api/designs')).body).toMatchObject({ total: 6 });
    expect((await ask('GET', `/api/designs/${design.id}/card.pdf`)).status).toBe(200);
    expect(await ask('GET', '/api/designs/torn')).toMatchObject({ status: 500, body: { title: 'Can’t be read' } });
    expect((await ask('GET', '/api/workshop/unreadable')).body).toMatchObject([
      { kind: 'design', id: 'torn', text: '[]' },
      { kind: 'shelf item', text: '{"kind":"paint"}' },
      { kind: 'cup', id: 'torn', text: '{"name":' },
      { kind: 'settings', text: '{"spoonStep":"half"}' },
    ]);
  });
  test('is set aside, not written over, when another takes its place', async () => {
    const { ask, store } = await server();
    await store.updateTable('shelf_item').set({ document: '{"odd":true}' }).where('id', '=', 'penny-rain').execute();
    const document = startingItem('glitter', 'penny-rain');
    expect((await ask('PUT', '/api/shelf/penny-rain', { parent: null, document })).status).toBe(200);
    expect((await ask('GET', '/api/workshop/unreadable?anew=true')).body).toMatchObject([
      { kind: 'shelf item', text: '{"odd":true}' },
    ]);
  });
});

test.each(['', '%20', '.', '%2E%2E', 'a%00b', 'constructor', '%ED%A0%80'])('nothing is kept under the id “%s”', async (id) => {
  const { ask } = await server(newFile(), false);
  const item = { ...startingItem('glitter', 'fine'), id: 'fine' };
  const { status } = await ask('PUT', `/api/shelf/${id}`, { parent: null, document: item });
  expect([400, 404, 422]).toContain(status);
  const design = { ...demoFile('peat-fire').design, id: decodeURIComponent(id.replace('%ED%A0%80', '%EF%BF%BD')) };
  if (!id.startsWith('%ED')) expect((await ask('POST', '/api/designs', design)).status).toBe(422);
  expect((await ask('GET', '/api/shelf')).body).toEqual([]);
});

describe('backups', () => {
  test('hold everything, and come back bit for bit into an empty workshop and into a full one', async () => {
    const full = await server();
    const { design } = demoFile('peat-fire');
    await full.ask('PUT', `/api/designs/${design.id}`, { parent: 1, document: { ...design, name: 'Later' } });
    await full.ask('POST', '/api/shelf/penny-rain/movements', { why: 'spilt', amount: 1 });
    await full.ask('DELETE', '/api/shelf/bee-line');
    await full.store.insertInto('cup').values({ id: 'torn', document: '{"name":', removed_at: null }).execute();
    const bytes = await backupsOf(full).make();
    const empty = await server(newFile(), false);
    expect(await backupsOf(empty).preview(bytes)).toMatchObject([
      { kind: 'designs', comes: expect.arrayContaining(['Later']), goes: [] },
      { kind: 'jars' },
      { kind: 'cups' },
      { kind: 'palettes' },
      { kind: 'makes', comes: [], goes: [] },
      { kind: 'photos' },
      { kind: 'orders', comes: expect.arrayContaining(['for Aunt Fen']) },
      { kind: 'week and money', comes: ['the money', 'the week'] },
      { kind: 'settings' },
    ]);
    await backupsOf(empty).restore(bytes);
    expect(Buffer.from(await backupsOf(empty).make()).equals(Buffer.from(bytes))).toBe(true);
    expect((await empty.ask('GET', `/api/designs/${design.id}`)).body).toMatchObject({
      revision: 2,
      document: { name: 'Later' },
    });
    await expect(empty.store.deleteFrom('revision').execute()).rejects.toThrow('never deleted');

    await full.ask('DELETE', `/api/designs/${design.id}`);
    await full.ask('POST', '/api/designs', { ...design, id: 'made-since', name: 'Made since' });
    const [designs] = await backupsOf(full).preview(bytes);
    expect(designs).toMatchObject({ goes: ['Made since'], changes: ['Later'], comes: [], stays: 5 });
    const backups = backupsOf(full);
    const before = await backups.restore(bytes);
    expect(Buffer.from(await backups.make()).equals(Buffer.from(bytes))).toBe(true);
    expect(readBackup(backups.read(before)).designs.map(({ id }) => id)).toContain('made-since');
  });
  test('of no sound file nothing is restored', async () => {
    const full = await server();
    const bytes = await backupsOf(full).make();
    const snapshot = await snapshotOf(full.store);
    const damaged = Uint8Array.from(bytes);
    damaged[Math.floor(bytes.length / 2)] ^= 0xff;
    for (const wrong of [damaged, bytes.slice(0, 300), new Uint8Array(0), new TextEncoder().encode('{}')])
      await expect(backupsOf(full).restore(wrong)).rejects.toThrow(/Choose|choose/);
    expect(await snapshotOf(full.store)).toEqual(snapshot);
    expect(readBackup(bytes)).toEqual(snapshot);
    expect(Buffer.from(await writeBackup(full.store)).equals(Buffer.from(bytes))).toBe(true);
  });
  test('are made daily, and the last fourteen stay', async () => {
    const full = await server();
    const backups = backupsOf(full);
    for (let day = 1; day <= 20; day += 1) await backups.makeDaily(new Date(Date.UTC(2026, 10, day)));
    await backups.makeDaily(new Date(Date.UTC(2026, 10, 20)));
    const names = backups
      .list()
      .map(({ name }) => name)
      .sort();
    expect(names).toHaveLength(14);
    expect([names[0], names[13]]).toEqual(['aurantia-2026-11-07.zip', 'aurantia-2026-11-20.zip']);
  });
  test('are listed, saved, looked into and restored over the program’s own routes', async () => {
    const { app, ask } = await server();
    const headers = { host: '127.0.0.1:4310', 'content-type': 'application/zip' };
    const now = await app.inject({ method: 'GET', url: '/api/backups/now.zip', headers: { host: headers.host } });
    expect(now.headers['content-disposition']).toMatch(/attachment; filename=aurantia-.*\.zip/);
    const preview = await app.inject({ method: 'POST', url: '/api/backups/preview', headers, payload: now.rawPayload });
    // A workshop is just what its backup holds.
    const nothing = { comes: [], goes: [], changes: [] };
    expect(preview.json()).toMatchObject(Array.from({ length: 9 }, () => nothing));
    expect(preview.json()).toMatchObject([
      { kind: 'designs', stays: 6 },
      { kind: 'jars', stays: 37 },
      {},
      {},
      {},
      {},
      {},
      {},
      {},
    ]);
    const restored = await app.inject({ method: 'POST', url: '/api/backups/restore', headers, payload: now.rawPayload });
    const { before } = restored.json<{ before: string }>();
    expect((await ask('GET', '/api/backups')).body).toMatchObject([{ name: before }]);
    expect(
      (await app.inject({ method: 'GET', url: `/api/backups/${before}`, headers: { host: headers.host } })).rawPayload.length,
    ).toBeGreaterThan(1000);
    expect((await ask('GET', '/api/backups/..%2Fworkshop.sqlite')).status).toBe(404);
    const bad = await app.inject({ method: 'POST', url: '/api/backups/restore', headers, payload: Buffer.from('no zip') });
    expect(bad.json()).toMatchObject({ status: 422, detail: expect.stringContaining('no backup') });
  });
});

test('a full disk is said as what it is: nothing of the save is kept, and once there is room it goes on', async () => {
  const { ask, store } = await server(newFile(), false);
  const big = (id: string) => ({ ...startingItem('glitter', id), note: 'x'.repeat(500) });
  await sql`pragma max_page_count = 30`.execute(store);
  const replies: number[] = [];
  for (let i = 0; i < 80 && !replies.includes(507); i += 1)
    replies.push((await ask('PUT', `/api/shelf/jar-${i}`, { parent: null, document: big(`jar-${i}`) })).status);
  const kept = replies.filter((status) => status === 200).length;
  expect(await ask('PUT', '/api/shelf/late', { parent: null, document: big('late') })).toMatchObject({
    status: 507,
    body: { detail: expect.stringContaining('the disk is full. Free some space') },
  });
  expect((await ask('GET', '/api/shelf')).body).toHaveLength(kept);
  await sql`pragma max_page_count = 100000`.execute(store);
  expect((await ask('PUT', '/api/shelf/late', { parent: null, document: big('late') })).status).toBe(200);
});

test('two programs on one file wait for each other: no save is refused for it', async () => {
  const file = newFile();
  const [one, other] = [await server(file, false), await server(file, false)];
  await one.ask('PUT', '/api/shelf/shared', { parent: null, document: { ...startingItem('glitter', 'shared'), left: 60 } });
  const replies = await Promise.all(
    Array.from({ length: 60 }, (_, i) =>
      (i % 2 ? one : other).ask('POST', '/api/shelf/shared/movements', { why: 'spilt', amount: 1 }),
    ),
  );
  expect(replies.filter(({ status }) => status !== 200)).toEqual([]);
  expect((await one.ask('GET', '/api/shelf')).body).toMatchObject([{ document: { left: 0 } }]);
});

test('a body that trickles in is cut off', async () => {
  const file = newFile();
  const store = await openStore(file);
  mkdirSync(join(dirname(file), 'backups'), { recursive: true });
  writeFileSync(join(dirname(file), 'backups', 'notes.txt'), 'not a backup');
  const app = await createApp(memoryOf(store, file), null, { logged: false, patience: 200 });
  const address = new URL(await app.listen({ host: '127.0.0.1', port: 0 }));
  const socket = connect(Number(address.port), address.hostname);
  socket.write(
    `POST /api/designs HTTP/1.1\r\nHost: ${address.host}\r\nContent-Type: application/json\r\nContent-Length: 100000\r\n\r\n{`,
  );
  const answer = await new Promise<string>((resolve) => {
    let text = '';
    socket.on('data', (chunk) => (text += chunk.toString()));
    socket.on('close', () => resolve(text));
  });
  expect(answer).toContain('408');
  await app.close();
  await store.destroy();
});
