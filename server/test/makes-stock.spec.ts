import type { Cup } from '@aurantia/core';
import type { JarNeed, LogEntryOf } from '@aurantia/core/make';
import { v7 } from 'uuid';
import { makesOf, type Logged } from './make-writing';
import { running, type Running } from './memory';

let server: Running;
beforeEach(async () => (server = await running(undefined, true)));
afterEach(() => server.stop());

const { begin, write, left } = makesOf(() => server);

test('a make is printed whole, also one that was only begun, and one whose photo went from the folder', async () => {
  const { make } = await begin('peat-fire', { cups: 3, label: 'für Łucja, “rush” <b>' });
  const sheet = () => server.ask('GET', `/api/makes/${make.id}/sheet.pdf`);
  const first = await sheet();
  expect([first.status, first.headers['content-type']]).toEqual([200, 'application/pdf']);
  expect(String(first.body).startsWith('%PDF-')).toBe(true);
  for (const [i, { coat }] of make.steps.entries()) {
    await write(make.id, 2 * i, { what: 'begun', coat });
    await write(make.id, 2 * i + 1, { what: 'done', coat });
  }
  await server.store
    .insertInto('photo')
    .values({ id: v7(), make_id: make.id, at: new Date().toISOString(), coat: null, width: 1, height: 1, reading: null })
    .execute();
  const whole = await sheet();
  expect(whole.status).toBe(200);
  expect(String(whole.body).length).toBeGreaterThan(String(first.body).length);
  expect((await server.ask('GET', '/api/makes/none/sheet.pdf')).status).toBe(404);
});

test('what makes on the bench will take is told jar by jar, less with each coat, and runs out where the shelf has less', async () => {
  const needs = async (): Promise<readonly JarNeed[]> =>
    ((await server.ask('GET', '/api/makes/needs')).body as { needs: JarNeed[] }).needs;
  expect(await needs()).toEqual([]);
  const { make } = await begin('copper-eaves', { cups: 20 });
  await begin('copper-eaves');
  const [first] = await needs();
  expect(first).toMatchObject({ out: { at: expect.stringMatching(/^Copper Eaves, make \d: /) as string } });
  expect(first.short).toBeGreaterThan(0);
  const pour = make.steps.find(({ kind }) => kind === 'glitter');
  const item = String(pour?.amounts[0].item);
  const takes = async () => (await needs()).find((one) => one.item === item)?.takes ?? 0;
  const before = await takes();
  let after = 0;
  for (const { coat } of make.steps.slice(0, make.steps.findIndex(({ kind }) => kind === 'glitter') + 1))
    await write(make.id, after++, { what: 'done', coat });
  const used = pour?.amounts.filter((one) => one.item === item).reduce((sum, { amount }) => sum + amount, 0) ?? 0;
  expect(await takes()).toBeCloseTo(before - used, 6);
  // A workshop of before, or out of a backup, has none of it worked out.
  await server.store.updateTable('make').set({ needs: null }).execute();
  expect(await takes()).toBeCloseTo(before - used, 6);
  await write(make.id, after, { what: 'given up', why: 'enough' });
  expect(await takes()).toBeLessThan(used);
});

test('what was caught comes back on the shelf with its make as the reason, and goes again when the coat is undone', async () => {
  const { make } = await begin('copper-eaves');
  const at = make.steps.findIndex(({ kind }) => kind === 'glitter');
  const { coat, amounts } = make.steps[at];
  let after = 0;
  for (const step of make.steps.slice(0, at + 1)) await write(make.id, after++, { what: 'done', coat: step.coat });
  const place = amounts[0].key.split('/')[1];
  const kept = await write(make.id, after, { what: 'kept', coat, place, ml: 1.5 });
  expect(kept.status).toBe(200);
  const { into, jar, gave } = (kept.body as Logged).entries.at(-1) as LogEntryOf<'kept'>;
  expect([into, gave, await left(jar)]).toEqual([expect.stringContaining('Leftover of Copper Eaves'), 1.5, 1.5]);
  const { body: ledger } = await server.ask('GET', `/api/shelf/${encodeURIComponent(jar)}/ledger`);
  expect((ledger as { why: string }[])[0].why).toContain('Copper Eaves, make 1: caught');
  const again = await write(make.id, after + 1, { what: 'kept', coat, place, ml: 0.5 });
  expect(((again.body as Logged).entries.at(-1) as LogEntryOf<'kept'>).jar).toBe(jar);
  expect(await left(jar)).toBe(2);
  const much = await write(make.id, after + 2, { what: 'kept', coat, place, ml: 900 });
  expect([much.status, (much.body as { detail: string }).detail]).toEqual([
    422,
    expect.stringContaining('no more can be caught'),
  ]);
  expect((await write(make.id, after + 2, { what: 'kept', coat, place: 'nowhere', ml: 1 })).status).toBe(422);
  await write(make.id, after + 2, { what: 'undone', coat });
  expect(await left(jar)).toBe(0);
});

test('a make on another cup than its design’s is refitted on it, or refused with why it can’t be', async () => {
  const cups = (await server.ask('GET', '/api/cups')).body as { document: Cup }[];
  const mug = cups.map(({ document }) => document).find(({ handle }) => handle);
  const { make } = await begin('slate-and-saffron', { cup: mug });
  const { make: own } = await begin('slate-and-saffron');
  expect(make.design.cup).toEqual(mug);
  const resin = (one: typeof make) => one.steps.find(({ kind }) => kind === 'resin')?.amounts[0].amount ?? 0;
  expect(resin(make)).toBeLessThan(resin(own));
  const short = {
    ...own.design.cup,
    name: 'Far too short',
    stations: own.design.cup.stations.map(({ circumference }, i) => ({ circumference, height: 4 * i })),
  };
  const refused = await server.ask('POST', '/api/makes', { id: v7(), design: 'slate-and-saffron', cup: short });
  expect(refused.status).toBe(422);
  expect((refused.body as { detail: string }).detail.length).toBeGreaterThan(20);
});
