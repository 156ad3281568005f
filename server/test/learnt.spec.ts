import { v7 } from 'uuid';
import type { NamedLearnt, Settings, ShelfItem } from '@aurantia/core';
import type { LogEntry, Make } from '@aurantia/core/make';
import { running, type Running } from './memory';

let server: Running;
let make: Make;
let written: number;
beforeEach(async () => {
  server = await running(undefined, true);
  make = ((await server.ask('POST', '/api/makes', { id: v7(), design: 'copper-eaves' })).body as { make: Make }).make;
  written = 0;
});
afterEach(() => server.stop());

const write = async (entry: object): Promise<readonly LogEntry[]> => {
  const { status, body } = await server.ask('POST', `/api/makes/${make.id}/entries`, {
    after: written,
    entry: { id: v7(), ...entry },
  });
  expect(status).toBe(200);
  written += 1;
  return (body as { entries: LogEntry[] }).entries;
};
const learnt = async (): Promise<readonly NamedLearnt[]> =>
  ((await server.ask('GET', '/api/learnt')).body as { learnt: NamedLearnt[] }).learnt;
const jar = async (id: string): Promise<ShelfItem | undefined> =>
  ((await server.ask('GET', '/api/shelf')).body as { document: ShelfItem }[]).find(({ document }) => document.id === id)
    ?.document;
const glitterCoat = () => {
  const step = make.steps.find(({ flakes }) => flakes !== null);
  if (!step?.flakes) throw new Error('no glitter on one glue');
  return { step, flakes: step.flakes, grams: step.flakes.pours.reduce((sum, pour) => sum + pour.grams, 0) };
};
const resinCoat = () => {
  const step = make.steps.find(({ mix, kind }) => mix !== null && kind === 'resin');
  if (!step) throw new Error('no resin');
  return step;
};

test('a cup weighed before and after glitter teaches what its glue holds; the shelf and the next make go by it', async () => {
  const { step, flakes, grams } = glitterCoat();
  const before = await jar(flakes.glue);
  if (before?.kind !== 'glue') throw new Error('no glue');
  await write({ what: 'done', coat: step.coat });
  await write({ what: 'weighed', coat: step.coat, cup: { before: 250, after: 250 + grams * 0.45 } });
  const [hold] = await learnt();
  expect(hold).toMatchObject({ of: `hold/${flakes.glue}`, name: before.name, before: { value: before.hold, spread: 0.25 } });
  expect(hold.readings).toHaveLength(1);
  expect(Object.values(hold.makes)).toEqual(['Copper Eaves, make 1']);
  expect(hold.now.value).toBeLessThan(before.hold);
  const after = await jar(flakes.glue);
  expect(after).toMatchObject({ hold: Number(hold.now.value.toPrecision(4)), learnt: { before: before.hold, from: 1 } });
  const next = ((await server.ask('POST', '/api/makes', { id: v7(), design: 'copper-eaves' })).body as { make: Make }).make;
  expect(next.shelf.find(({ id }) => id === flakes.glue)).toEqual(after);
  // The make that taught it stays as it was frozen.
  expect((await server.ask('GET', `/api/makes/${make.id}`)).body).toMatchObject({ make });
});

test('a coat that is undone teaches nothing; what was learnt is forgotten by one press, its weighings stay in the log', async () => {
  const { step, flakes, grams } = glitterCoat();
  const before = await jar(flakes.glue);
  await write({ what: 'done', coat: step.coat });
  await write({ what: 'weighed', coat: step.coat, cup: { before: 250, after: 250 + grams * 0.45 } });
  await write({ what: 'undone', coat: step.coat });
  expect(await learnt()).toEqual([]);
  expect(await jar(flakes.glue)).toEqual(before);
  await write({ what: 'done', coat: step.coat });
  const entries = await write({ what: 'weighed', coat: step.coat, cup: { before: 250, after: 250 + grams * 0.45 } });
  const { status } = await server.ask('POST', `/api/learnt/${encodeURIComponent(`hold/${flakes.glue}`)}/forget`, {});
  expect(status).toBe(200);
  expect(await jar(flakes.glue)).toEqual(before);
  expect(entries.at(-1)?.what).toBe('weighed');
  expect((await server.ask('POST', '/api/learnt/hold%2Fnone/forget', {})).status).toBe(404);
});

test('pots and gloves teach this maker’s own losses, which the next mix is worked out with', async () => {
  const step = resinCoat();
  const [a, b] = step.amounts;
  const grams = a.amount * (a.gramsPerMl ?? 1) + b.amount * (b.gramsPerMl ?? 1);
  await write({ what: 'done', coat: step.coat });
  await write({ what: 'weighed', coat: step.coat, pot: 3.5, cup: { before: 250, after: 250 + grams - 3.5 - grams * 0.06 } });
  const all = await learnt();
  expect(all.map(({ of }) => of).sort()).toEqual(['glove', 'pot']);
  const { document } = (await server.ask('GET', '/api/workshop')).body as { document: Settings };
  expect(document.losses?.pot).toBeGreaterThan(2.5);
  expect(document.losses?.glove).toBeGreaterThan(0.045);
  const next = ((await server.ask('POST', '/api/makes', { id: v7(), design: 'copper-eaves' })).body as { make: Make }).make;
  const mixed = (one: Make) =>
    one.steps.find(({ coat }) => coat === step.coat)?.amounts.reduce((sum, { amount }) => sum + amount, 0);
  expect(mixed(next) ?? 0).toBeGreaterThan(mixed(make) ?? 0);
});

test('a wild weighing changes nothing until its maker stands by it', async () => {
  const step = resinCoat();
  await write({ what: 'done', coat: step.coat });
  for (const pot of [1.7, 1.6, 1.8, 1.6]) await write({ what: 'weighed', coat: step.coat, pot });
  const [sound] = await learnt();
  await write({ what: 'weighed', coat: step.coat, pot: 9 });
  const [asked] = await learnt();
  expect(asked.now.value).toBeCloseTo(sound.now.value, 9);
  const wild = asked.readings.find(({ state }) => state === 'asked');
  expect(wild?.reading).toMatchObject({ about: 'pot' });
  const { body } = await server.ask('POST', `/api/learnt/readings/${encodeURIComponent(wild?.id ?? '')}`, { said: 'stands' });
  expect((body as { learnt: NamedLearnt[] }).learnt[0].now.value).toBeGreaterThan(sound.now.value);
  expect((await server.ask('POST', '/api/learnt/readings/none', { said: 'slip' })).status).toBe(404);
  expect((await server.ask('POST', '/api/learnt/readings/none', { said: 'maybe' })).status).toBe(422);
});

test('how long a resin took to set teaches its pace, by the room it had', async () => {
  const step = resinCoat();
  const resin = step.amounts[0].item ?? '';
  await write({ what: 'done', coat: step.coat });
  const before = await jar(resin);
  if (before?.kind !== 'resin') throw new Error('no resin');
  server.clock.move(1.3 * before.sandAfter * 60_000);
  await write({ what: 'set', coat: step.coat, celsius: 21 });
  const item = await jar(resin);
  if (item?.kind !== 'resin') throw new Error('no resin');
  expect(item.pace).toBeGreaterThan(1);
  expect((await learnt())[0]).toMatchObject({ about: 'cure', before: { value: 1 } });
});

test('a weighing that somebody stands by, however wild, keeps the jar and the log sound', async () => {
  const { step, flakes, grams } = glitterCoat();
  await write({ what: 'done', coat: step.coat });
  await write({ what: 'weighed', coat: step.coat, cup: { before: 250, after: 250 + 40 * grams } });
  const [asked] = await learnt();
  const { status } = await server.ask('POST', `/api/learnt/readings/${encodeURIComponent(asked.readings[0].id)}`, {
    said: 'stands',
  });
  expect(status).toBe(200);
  expect(await jar(flakes.glue)).toMatchObject({ hold: 6, learnt: { from: 1 } });
  await write({ what: 'weighed', coat: step.coat, cup: { before: 250, after: 250 } });
});

test('readings are in a backup, and come back from it', async () => {
  const step = resinCoat();
  await write({ what: 'done', coat: step.coat });
  await write({ what: 'weighed', coat: step.coat, pot: 2.2 });
  const before = await learnt();
  const saved = await server.app.inject({ method: 'GET', url: '/api/backups/now.zip', headers: { host: '127.0.0.1:4310' } });
  await server.ask('POST', '/api/learnt/pot/forget', {});
  expect(await learnt()).toEqual([]);
  const { statusCode } = await server.app.inject({
    method: 'POST',
    url: '/api/backups/restore',
    headers: { host: '127.0.0.1:4310', 'content-type': 'application/zip' },
    payload: saved.rawPayload,
  });
  expect(statusCode).toBe(200);
  expect(await learnt()).toEqual(before);
});
