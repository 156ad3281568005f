import { startingCup, startingDesign, type DesignMarks, type DesignPage } from '@aurantia/core';
import { snapshotOf } from '../src/backup/snapshot-rows';
import { restore } from '../src/backup/restore';
import { running, type Running } from './memory';

let server: Running;
beforeEach(async () => {
  server = await running();
  for (const name of ['Ash', 'Birch', 'Cedar'])
    await server.ask('POST', '/api/designs', startingDesign(name.toLowerCase(), name, startingCup));
});
afterEach(() => server.stop());

const mark = (id: string, marks: Partial<DesignMarks>) =>
  server.ask('PUT', `/api/designs/${id}/marks`, { tags: [], archived: false, ...marks });
const page = async (query = ''): Promise<DesignPage> => (await server.ask('GET', `/api/designs${query}`)).body;
const names = async (query: string) => (await page(query)).designs.map(({ name }) => name);

test('tags are found as names are, narrow the list, and are counted; nothing of the design changes by them', async () => {
  await mark('ash', { tags: ['Für Käthe', 'fair'] });
  await mark('cedar', { tags: ['fair'] });
  expect(await names('?search=kathe')).toEqual(['Ash']);
  expect(await names('?search=fur%20ash')).toEqual(['Ash']);
  expect((await names('?tag=fair')).sort()).toEqual(['Ash', 'Cedar']);
  expect((await server.ask('GET', '/api/designs/tags')).body).toEqual([
    { tag: 'fair', count: 2 },
    { tag: 'Für Käthe', count: 1 },
  ]);
  expect((await page('?search=ash')).designs[0]).toMatchObject({ tags: ['Für Käthe', 'fair'].sort(), revision: 1 });
  await mark('ash', { tags: [] });
  expect(await names('?search=kathe')).toEqual([]);
});

test('tag by tag a design stands under each of its own, what has none last, in pages that follow on each other', async () => {
  await mark('ash', { tags: ['winter', 'fair'] });
  await mark('cedar', { tags: ['fair'] });
  const { groups, total } = await page('?order=tag');
  expect([groups, total]).toEqual([
    [
      { tag: 'fair', count: 2 },
      { tag: 'winter', count: 1 },
      { tag: null, count: 1 },
    ],
    4,
  ]);
  const paged = await Promise.all([0, 2].map((from) => names(`?order=tag&from=${from}&limit=2`)));
  expect(paged.flat()).toEqual(['Cedar', 'Ash', 'Ash', 'Birch']);
  expect(await names('?order=name')).toEqual(['Ash', 'Birch', 'Cedar']);
  expect(await page('?order=tag&tag=fair')).toMatchObject({
    total: 2,
    groups: [],
    designs: [{ name: 'Cedar' }, { name: 'Ash' }],
  });
});

test('what is archived stands aside, whole, and comes back', async () => {
  await mark('birch', { archived: true });
  expect((await names('?order=name')).join()).toBe('Ash,Cedar');
  expect(await page('?archived=true')).toMatchObject({ total: 1, designs: [{ name: 'Birch', archived: true }] });
  expect((await server.ask('GET', '/api/designs/birch')).status).toBe(200);
  await mark('birch', { archived: false });
  expect(await page()).toMatchObject({ total: 3 });
});

test('by day: kept since and before a moment; what was removed says when', async () => {
  const later = new Date(Date.now() + 60_000).toISOString();
  expect(await page(`?since=${later}`)).toMatchObject({ total: 0 });
  expect(await page(`?before=${later}`)).toMatchObject({ total: 3 });
  expect((await server.ask('GET', '/api/designs?since=yesterday')).status).toBe(422);
  await mark('ash', { archived: true });
  await server.ask('DELETE', '/api/designs/ash');
  const { body } = await server.ask('GET', '/api/designs/removed');
  expect((body as DesignPage).designs.map(({ name, removedAt }) => [name, typeof removedAt])).toEqual([['Ash', 'string']]);
});

test.each([
  [{ tags: [''] }, 422],
  [{ tags: ['x'.repeat(31)] }, 422],
  [{ tags: Array.from({ length: 13 }, (_, i) => `${i}`) }, 422],
  [{ tags: ['a\u0000'] }, 422],
  [{ tags: ['twice', ' twice '] }, 200],
])('%j is answered with %d', async (marks, status) => {
  expect((await mark('ash', marks)).status).toBe(status);
  expect((await page('?search=ash')).designs[0].tags).toEqual(status === 200 ? ['twice'] : []);
});

test('a design that isn’t there has no marks', async () => {
  expect((await mark('nobody', { tags: ['a'] })).status).toBe(404);
});

test('a backup holds tags and what is archived, and brings them back', async () => {
  await mark('ash', { tags: ['fair', 'winter'] });
  await mark('birch', { archived: true });
  const kept = await snapshotOf(server.store);
  await mark('ash', { tags: [] });
  await mark('birch', { archived: false, tags: ['new'] });
  await restore(server.store, kept);
  expect(await snapshotOf(server.store)).toEqual(kept);
  expect((await page('?search=winter')).designs[0].name).toBe('Ash');
  expect((await page('?archived=true')).designs[0].name).toBe('Birch');
});
