import { v7 } from 'uuid';
import type { MakeLine } from '@aurantia/core/make';
import { makesOf, type Logged } from './make-writing';
import { newFile, running, type Running } from './memory';

let server: Running;
beforeEach(async () => (server = await running(undefined, true)));
afterEach(() => server.stop());

const { begin, write, lines, left } = makesOf(() => server);

test('a make is frozen: design, shelf, settings and plan stay as they were, whatever becomes of them', async () => {
  const { make } = await begin('copper-eaves', { cups: 2, label: 'for Friday' });
  expect(make).toMatchObject({ number: 1, revision: 1, cups: 2, label: 'for Friday', version: 1 });
  expect(make.steps).toHaveLength(make.design.coats.length);
  const { body: design } = await server.ask('GET', '/api/designs/copper-eaves');
  const { document, revision } = design as { document: object; revision: number };
  await server.ask('PUT', '/api/designs/copper-eaves', { parent: revision, document: { ...document, name: 'Other', coats: [] } });
  await server.ask('DELETE', '/api/designs/copper-eaves');
  await server.ask('DELETE', `/api/shelf/${make.shelf[0].id}`);
  expect((await server.ask('GET', `/api/makes/${make.id}`)).body).toMatchObject({ make, entries: [] });
  await expect(server.store.updateTable('make').set({ document: '{}' }).execute()).rejects.toThrow(/never changes/);
});

test('what is done, undone and done otherwise is counted on the shelf with its make as the reason', async () => {
  const { make } = await begin();
  const at = make.steps.findIndex(({ mix, kind }) => mix !== null && kind === 'resin');
  const step = make.steps[at];
  const resin = step.amounts[0].item ?? '';
  await server.ask('POST', `/api/shelf/${resin}/movements`, { why: 'counted anew', amount: 500 });
  const { a, b } = { a: step.amounts[0].amount, b: step.amounts[1].amount };
  expect(await write(make.id, 0, { what: 'begun', coat: step.coat })).toMatchObject({ status: 200 });
  const done = await write(make.id, 1, { what: 'done', coat: step.coat, took: { [resin]: 9999 } });
  expect((done.body as Logged).entries[1]).toMatchObject({ what: 'done', took: { [resin]: a + b } });
  expect(await left(resin)).toBeCloseTo(500 - a - b, 6);
  await write(make.id, 2, { what: 'undone', coat: step.coat });
  expect(await left(resin)).toBeCloseTo(500, 6);
  await write(make.id, 3, { what: 'done', coat: step.coat, poured: { a: a + 3, b: b + 3 } });
  expect(await left(resin)).toBeCloseTo(500 - a - b - 6, 6);
  const { body: ledger } = await server.ask('GET', `/api/shelf/${resin}/ledger`);
  expect(ledger).toMatchObject([
    { why: `Copper Eaves, make 1: ${step.title}`, change: -(a + b + 6) },
    { why: `Copper Eaves, make 1: ${step.title}, undone` },
    {},
    {},
    expect.anything(),
  ]);
});

test('a jar that holds less than was used is empty then, and gets no more back than it gave', async () => {
  const { make } = await begin();
  const step = make.steps.find(({ kind, mix }) => mix !== null && kind === 'resin');
  const resin = step?.amounts[0].item ?? '';
  await server.ask('POST', `/api/shelf/${resin}/movements`, { why: 'counted anew', amount: 2 });
  await write(make.id, 0, { what: 'done', coat: step?.coat });
  expect(await left(resin)).toBe(0);
  await write(make.id, 1, { what: 'undone', coat: step?.coat });
  expect(await left(resin)).toBe(2);
});

test('two windows: the second one is told what the first wrote; the same entry sent twice is there once', async () => {
  const { make } = await begin();
  const [{ coat }] = make.steps;
  const entry = { id: v7(), what: 'begun', coat };
  const sent = { after: 0, entry };
  expect(await server.ask('POST', `/api/makes/${make.id}/entries`, sent)).toMatchObject({ status: 200 });
  expect(((await server.ask('POST', `/api/makes/${make.id}/entries`, sent)).body as Logged).entries).toHaveLength(1);
  expect(await write(make.id, 0, { what: 'skipped', coat, why: 'no time' })).toMatchObject({
    status: 409,
    body: { title: 'Changed elsewhere', entries: [{ what: 'begun' }] },
  });
  await write(make.id, 1, { what: 'done', coat });
  expect(await write(make.id, 2, { what: 'done', coat })).toMatchObject({ status: 409, body: { title: 'Done already' } });
});

test('a list says how each stands; what is over leaves the bench, and comes back when it is taken up', async () => {
  const first = await begin();
  const second = await begin('peat-fire');
  expect((await begin()).make.number).toBe(2);
  await write(first.make.id, 0, { what: 'given up', why: 'it fell' });
  expect((await lines()).map(({ name, number }) => [name, number])).toEqual([
    ['Copper Eaves', 2],
    ['Peat Fire', 1],
  ]);
  expect((await lines(true)).map(({ standing }) => standing.givenUp)).toEqual([false, false, true]);
  await write(first.make.id, 1, { what: 'taken up' });
  expect(await lines()).toHaveLength(3);
  let after = 0;
  for (const { coat } of second.make.steps) {
    await write(second.make.id, after, { what: 'skipped', coat, why: 'a trial' });
    after += 1;
  }
  expect(await lines()).toHaveLength(2);
});

test('a cup whose coats are all on rests at the bench until it has cured through', async () => {
  const { make } = await begin('peat-fire');
  const rests = make.steps[make.steps.length - 1];
  expect(rests.kind).toBe('rest');
  let after = 0;
  for (const { coat } of make.steps) {
    await write(make.id, after, coat === rests.coat ? { what: 'done', coat } : { what: 'skipped', coat, why: 'a trial' });
    after += 1;
  }
  expect(await lines()).toMatchObject([{ id: make.id, standing: { at: null } }]);
  server.clock.move((rests.wait.minutes + 1) * 60_000);
  expect(await lines()).toEqual([]);
  expect(await lines(true)).toHaveLength(1);
});

test('a note for next time comes back at its coat when the design is made again; another note doesn’t', async () => {
  const { make } = await begin();
  const { coat } = make.steps[2];
  await write(make.id, 0, { what: 'note', coat, text: 'Lighter brown.', next: true });
  await write(make.id, 1, { what: 'note', coat, text: 'The "next":true of it all.' });
  expect((await begin()).make.notes).toEqual([{ coat, text: 'Lighter brown.', number: 1 }]);
  expect((await begin('peat-fire')).make.notes).toEqual([]);
});

test('what can’t be made or written gets a sentence', async () => {
  expect(await server.ask('POST', '/api/makes', { id: v7(), design: 'gone' })).toMatchObject({ status: 404 });
  expect(await server.ask('POST', '/api/makes', { id: v7(), design: 'peat-fire', cups: 0 })).toMatchObject({
    status: 422,
    body: { detail: 'Make one at least.' },
  });
  const { body: empty } = await server.ask('GET', '/api/designs/peat-fire');
  const { document, revision } = empty as { document: object; revision: number };
  await server.ask('PUT', '/api/designs/peat-fire', { parent: revision, document: { ...document, coats: [] } });
  expect(await server.ask('POST', '/api/makes', { id: v7(), design: 'peat-fire' })).toMatchObject({
    status: 422,
    body: { detail: 'This design has no coats yet: lay some, then make it.' },
  });
  const { make } = await begin();
  expect(await write(make.id, 0, { what: 'begun', coat: 'no-such' })).toMatchObject({ status: 422 });
  expect(await write(make.id, 0, { what: 'danced', coat: make.steps[0].coat })).toMatchObject({ status: 422 });
  expect(await write(make.id, 0, { what: 'skipped', coat: make.steps[0].coat, why: ' ' })).toMatchObject({
    status: 422,
    body: { detail: 'Say why, in a word.' },
  });
  expect(await server.ask('GET', '/api/makes/none')).toMatchObject({ status: 404 });
  expect(await server.ask('POST', '/api/clock', { on: 5 })).toMatchObject({ status: 404 });
});

test('a make goes out as a file and comes in elsewhere, the same bit by bit; its log as a table too', async () => {
  const { make } = await begin('copper-eaves', { label: '=cmd()' });
  await write(make.id, 0, { what: 'done', coat: make.steps[1].coat });
  await write(make.id, 1, { what: 'given up', why: '=1+1, it fell' });
  const { body: file, headers } = await server.ask('GET', `/api/makes/${make.id}/file`);
  expect(headers['content-disposition']).toBe('attachment; filename=copper-eaves-1.make.json');
  const other = await running(newFile(), true);
  await other.ask('POST', '/api/makes', { id: v7(), design: 'copper-eaves' });
  expect(await other.ask('POST', '/api/makes/import', file)).toMatchObject({ status: 201 });
  expect((await other.ask('GET', `/api/makes/${make.id}/file`)).body).toEqual(file);
  expect(await other.ask('POST', '/api/makes/import', file)).toMatchObject({ status: 201 });
  const changed = { ...(file as object), entries: [] };
  expect(await other.ask('POST', '/api/makes/import', changed)).toMatchObject({ status: 409, body: { title: 'Here already' } });
  const newer = { ...(file as object), make: { ...make, version: 2 } };
  expect(await other.ask('POST', '/api/makes/import', newer)).toMatchObject({
    status: 422,
    body: { detail: expect.stringContaining('newer Aurantia') as string },
  });
  expect(await other.ask('POST', '/api/makes/import', { hello: 1 })).toMatchObject({
    status: 422,
    body: { detail: expect.stringContaining('no make of Aurantia’s') as string },
  });
  await other.stop();
  const { body: csv } = await server.ask('GET', `/api/makes/${make.id}/log.csv`);
  expect(csv).toMatch(/^\ufeffwhen,what,coat,words,amount of,unit,planned,really\n/);
  expect(csv).toMatch(/,done,Base colour: Brick red,,Brick red,ml,[\d.]+,[\d.]+\n/);
  expect(csv).toMatch(/given up,,"?'=1\+1, it fell/);
});

test('makes are found by design, label, jar, lot, day and what was written, all words together; after a restore too', async () => {
  const { make } = await begin('copper-eaves', { label: 'For Ärmel & Co 100%' });
  await begin('orchard-frost');
  const lot = make.shelf.find((jar) => jar.lot !== '')?.lot ?? '';
  expect(lot).not.toBe('');
  await write(make.id, 0, { what: 'note', coat: null, text: 'Ran down at the handle_side' });
  const found = async (query: string) => {
    const { body } = await server.ask('GET', `/api/makes?over=true&${query}`);
    const { makes, found: count } = body as { makes: MakeLine[]; found: number };
    expect(count).toBe(makes.length);
    return makes.map(({ name }) => name);
  };
  const today = make.at.slice(0, 10);
  const tomorrow = new Date(Date.parse(make.at) + 86_400_000).toISOString().slice(0, 10);
  const look = async () => ({
    lot: await found(`words=${encodeURIComponent(lot)}%20copper`),
    accents: await found('words=armel'),
    percent: await found('words=100%25'),
    underline: await found('words=handle_side'),
    wild: await found('words=ha%25ide'),
    both: await found('words=ran%20frost'),
    day: (await found(`from=${today}&until=${today}`)).length,
    later: await found(`from=${tomorrow}`),
  });
  const copper = ['Copper Eaves'];
  const expected = { lot: copper, accents: copper, percent: copper, underline: copper, wild: [], both: [], day: 2, later: [] };
  expect(await look()).toEqual(expected);
  expect((await server.ask('GET', '/api/makes?from=yesterday')).status).toBe(422);
  const headers = { host: '127.0.0.1:4310' };
  const saved = await server.app.inject({ method: 'GET', url: '/api/backups/now.zip', headers });
  await server.app.inject({
    method: 'POST',
    url: '/api/backups/restore',
    headers: { ...headers, 'content-type': 'application/zip' },
    payload: saved.rawPayload,
  });
  expect(await look()).toEqual(expected);
});

test('makes and their logs are in a backup, and come back from it', async () => {
  const { make } = await begin();
  await write(make.id, 0, { what: 'begun', coat: make.steps[0].coat });
  const { body: before } = await server.ask('GET', `/api/makes/${make.id}`);
  const saved = await server.app.inject({ method: 'GET', url: '/api/backups/now.zip', headers: { host: '127.0.0.1:4310' } });
  const other = await running(newFile());
  const sent = await other.app.inject({
    method: 'POST',
    url: '/api/backups/restore',
    headers: { host: '127.0.0.1:4310', 'content-type': 'application/zip' },
    payload: saved.rawPayload,
  });
  expect(sent.statusCode).toBeLessThan(300);
  const { body: after } = await other.ask('GET', `/api/makes/${make.id}`);
  expect({ ...(after as Logged), now: 0 }).toEqual({ ...(before as Logged), now: 0 });
  await other.stop();
});
