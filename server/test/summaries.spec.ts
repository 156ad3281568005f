import { startingCup, startingDesign, type Design, type DesignPage } from '@aurantia/core';
import sharp from 'sharp';
import { ShelfStore } from '../src/shelf/shelf-store';
import { demoFile, newFile, running, type Running } from './memory';

let server: Running;
beforeEach(async () => {
  server = await running(newFile(), true, true);
});
afterEach(() => server.stop());

const page = async (query = ''): Promise<DesignPage> => (await server.ask('GET', `/api/designs${query}`)).body;
const names = async (query: string) => (await page(query)).designs.map(({ name }) => name);

/** The list once every line and picture in it is fresh. */
async function fresh(query = ''): Promise<DesignPage> {
  for (;;) {
    const found = await page(query);
    if (found.designs.every((one) => one.fresh)) return found;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

test('each design gets its line and its picture, of its own size', async () => {
  const { designs } = await fresh();
  expect(designs.map(({ name, line, level }) => [name, line, level])).toContainEqual([
    'Copper Eaves',
    '14 coats, all clear',
    'clean',
  ]);
  for (const { picture } of designs) {
    const { headers } = await server.ask('GET', picture?.src ?? 'none');
    expect(headers['content-type']).toBe('image/webp');
    const { rawPayload } = await server.app.inject({ url: picture?.src ?? '', headers: { host: '127.0.0.1:4310' } });
    const { width, height } = await sharp(rawPayload).metadata();
    expect(width / height).toBeCloseTo((picture?.width ?? 0) / (picture?.height ?? 1), 6);
  }
});

test('a save, a jar used up and a changed setting make lines old, and they come anew', async () => {
  await fresh();
  const { body } = await server.ask('GET', '/api/designs/peat-fire');
  const { revision, document } = body as { revision: number; document: Design };
  await server.ask('PUT', '/api/designs/peat-fire', { parent: revision, document: { ...document, coats: [] } });
  expect((await page('?search=peat')).designs[0]).toMatchObject({ fresh: false, revision: 2 });
  expect((await fresh('?search=peat')).designs[0]).toMatchObject({ line: '2 areas, no coats yet', level: 'open' });
  const [{ item }] = [demoFile('copper-eaves').design.blends[0].parts[0]];
  await server.ask('POST', `/api/shelf/${item}/movements`, { why: 'counted anew', amount: 0.5 });
  expect((await fresh('?search=copper')).designs[0]).toMatchObject({ line: '14 coats, 1 thing to look at', level: 'look' });
});

test('one jar off the shelf and another back on it make lines old, though there are as many as before', async () => {
  await fresh();
  await server.ask('DELETE', '/api/shelf/kiln-ash');
  await fresh();
  await server.ask('DELETE', '/api/shelf/penny-rain');
  await server.ask('POST', '/api/shelf/kiln-ash/restore');
  expect((await page('?search=copper')).designs[0]).toMatchObject({ fresh: false });
  expect((await fresh('?search=copper')).designs[0].line).not.toBe('14 coats, all clear');
});

test('a line that comes anew leaves its picture be, until what it is painted from is another', async () => {
  const before = (await fresh('?search=copper')).designs[0];
  // Another picture in its place shows whether it is painted over.
  const put = { picture: new TextEncoder().encode('as it was') };
  await server.store.updateTable('summary').set(put).where('design_id', '=', before.id).execute();
  const shown = async ({ picture }: DesignPage['designs'][number]) =>
    (await server.app.inject({ url: picture?.src ?? '', headers: { host: '127.0.0.1:4310' } })).body;
  const [{ item }] = demoFile('copper-eaves').design.blends[0].parts;
  await server.ask('POST', `/api/shelf/${item}/movements`, { why: 'counted anew', amount: 0.5 });
  const counted = (await fresh('?search=copper')).designs[0];
  expect(counted.line).not.toBe(before.line);
  expect(counted.picture).toEqual(before.picture);
  expect(await shown(counted)).toBe('as it was');
  const { document, revision } = await new ShelfStore(server.store).one(item);
  if (document.kind !== 'glitter') throw new Error(`${item} is no glitter.`);
  const jar = { ...document, flake: { ...document.flake, colour: '#123456' } };
  expect((await server.ask('PUT', `/api/shelf/${item}`, { parent: revision, document: jar })).status).toBe(200);
  const other = (await fresh('?search=copper')).designs[0];
  expect(other.picture?.src).not.toBe(before.picture?.src);
  expect(await shown(other)).not.toBe('as it was');
  // Whoever comes late with the earlier address gets what is there, and keeps nothing of it under that name.
  const kept = async (src = '') => (await server.ask('GET', src)).headers['cache-control'];
  expect([await kept(other.picture?.src), await kept(before.picture?.src)]).toEqual([
    'private, max-age=31536000, immutable',
    'no-store',
  ]);
});

test('one that was just changed is found however far it is asked for, until that is known', async () => {
  await fresh();
  const { body } = await server.ask('GET', '/api/designs/peat-fire');
  const { revision, document } = body as { revision: number; document: Design };
  const found = () => Promise.all(['look', 'open'].map((level) => names(`?level=${level}`)));
  expect(await found()).toEqual([[], []]);
  await server.ask('PUT', '/api/designs/peat-fire', { parent: revision, document: { ...document, coats: [] } });
  expect(await found()).toEqual([['Peat Fire'], ['Peat Fire']]);
  await fresh('?level=look');
  expect(await found()).toEqual([[], ['Peat Fire']]);
});

test('designs are found by words of their names and cups, without accents or case, and nothing typed is a pattern', async () => {
  await server.ask('POST', '/api/designs', { ...startingDesign('a', 'Café 100 %_glow', startingCup) });
  expect(await names('?search=cafe')).toEqual(['Café 100 %_glow']);
  expect(await names(`?search=${encodeURIComponent('100 %_')}`)).toEqual(['Café 100 %_glow']);
  expect(await names(`?search=${encodeURIComponent('%e%')}`)).toEqual([]);
  expect(await names('?search=EAVES%20tapered')).toEqual(['Copper Eaves']);
  expect(await names('?search=eaves%20plump')).toEqual([]);
});

test('pages follow on each other, newest first, and say how many there are', async () => {
  const all = await names('?limit=100');
  const paged = await Promise.all([0, 2, 4, 6].map((from) => names(`?from=${from}&limit=2`)));
  expect(paged.flat()).toEqual(all);
  expect(await page('?from=500')).toEqual({ total: 6, designs: [], groups: [] });
  expect((await server.ask('GET', '/api/designs?limit=5000')).status).toBe(422);
});

test('what can’t be worked out has its name and no picture, and everything else goes on', async () => {
  await server.store
    .insertInto('design')
    .values({ id: 'odd', latest: 1, kept_at: '2030-01-01', removed_at: null, name: 'Odd' })
    .execute();
  await server.store
    .insertInto('revision')
    .values({ design_id: 'odd', number: 1, parent: null, document: '{"name":"Odd"}', kept_at: '2030-01-01' })
    .execute();
  const { designs } = await page();
  expect(designs[0]).toMatchObject({ id: 'odd', name: 'Odd', line: null, picture: null, fresh: false });
  expect((await fresh('?search=apiary')).designs).toHaveLength(1);
});
