import { defaultSettings, startingItem, type ShelfItem } from '@aurantia/core';
import { demoFile, newFile, running, type Running } from './memory';

let server: Running;
beforeEach(async () => {
  server = await running(newFile(), true);
});
afterEach(() => server.stop());

test('the demo has its six designs, shelf, cups and settings', async () => {
  const designs = (await server.ask('GET', '/api/designs')).body as { document: { name: string } }[];
  expect(designs.map(({ document }) => document.name).sort()).toEqual([
    'Apiary Noon',
    'Copper Eaves',
    'Orchard Frost',
    'Peat Fire',
    'Slate & Saffron',
    'Thistle Weave',
  ]);
  expect((await server.ask('GET', '/api/shelf')).body).toHaveLength(36);
  expect((await server.ask('GET', '/api/cups')).body).toHaveLength(9);
  expect((await server.ask('GET', '/api/workshop')).body).toMatchObject({ name: 'Quince & Ember', celsius: 21.4 });
});

test('what came and went of a jar is in its ledger, with why; nothing is noted when nothing moved', async () => {
  const item = { ...startingItem('paint', 'whitewash'), left: 100 };
  await server.ask('PUT', '/api/shelf/whitewash?why=bought', item);
  await server.ask('PUT', '/api/shelf/whitewash', { ...item, note: 'thick' });
  await server.ask('PUT', '/api/shelf/whitewash?why=spilt', { ...item, left: 87.5 });
  await server.ask('PUT', '/api/shelf/whitewash', { ...item, left: null });
  expect((await server.ask('GET', '/api/shelf/whitewash/ledger')).body).toMatchObject([
    { change: null, left: null, why: 'counted anew' },
    { change: -12.5, left: 87.5, why: 'spilt' },
    { change: 100, left: 100, why: 'bought' },
  ]);
  expect(await server.ask('PUT', `/api/shelf/whitewash?why=${'x'.repeat(200)}`, item)).toMatchObject({ status: 422 });
});

test('many items come in together, or none of them; what is taken off is among the gone', async () => {
  const items = ['a', 'b'].map((id) => ({ ...startingItem('glitter', `many-${id}`), left: 5 }));
  const before = ((await server.ask('GET', '/api/shelf')).body as ShelfItem[]).length;
  expect(await server.ask('POST', '/api/shelf/many', [...items, { ...items[0], id: 'many-c', left: -1 }])).toMatchObject({
    status: 422,
  });
  expect((await server.ask('GET', '/api/shelf')).body).toHaveLength(before);
  expect(await server.ask('POST', '/api/shelf/many', items)).toMatchObject({ status: 204 });
  expect((await server.ask('GET', '/api/shelf')).body).toHaveLength(before + 2);
  expect((await server.ask('GET', '/api/shelf/many-a/ledger')).body).toMatchObject([{ change: 5, why: 'from a file' }]);
  await server.ask('DELETE', '/api/shelf/many-b');
  expect(((await server.ask('GET', '/api/shelf/gone')).body as ShelfItem[]).map(({ id }) => id)).toContain('many-b');
});

test.each(['glitter', 'ink', 'pearl', 'paint', 'resin', 'glue', 'film'] as const)(
  'a %s goes on the shelf, off it and back',
  async (kind) => {
    const item: ShelfItem = { ...startingItem(kind, `new-${kind}`), left: 12.5 };
    expect(await server.ask('PUT', `/api/shelf/${item.id}`, item)).toMatchObject({ status: 200, body: item });
    const has = async () => ((await server.ask('GET', '/api/shelf')).body as ShelfItem[]).some(({ id }) => id === item.id);
    expect(await has()).toBe(true);
    await server.ask('DELETE', `/api/shelf/${item.id}`);
    expect(await has()).toBe(false);
    await server.ask('POST', `/api/shelf/${item.id}/restore`, {});
    expect(await has()).toBe(true);
  },
);

test('a faulty item is refused by field', async () => {
  const item = { ...startingItem('resin', 'r'), ratio: [0, 1] };
  expect(await server.ask('PUT', '/api/shelf/r', item)).toMatchObject({
    status: 422,
    body: { faults: [{ path: 'ratio[0]', sentence: 'A part is above zero.' }] },
  });
});

test('a cup is measured, changed and removed; a design keeps its own copy', async () => {
  const { cup } = demoFile('copper-eaves').design;
  const wider = { ...cup, stations: [cup.stations[0], { height: 205, circumference: 300 }] };
  expect(await server.ask('PUT', '/api/cups/tapered-890', wider)).toMatchObject({ status: 200 });
  expect((await server.ask('GET', '/api/designs/copper-eaves')).body).toMatchObject({ document: { cup } });
  expect((await server.ask('DELETE', '/api/cups/tapered-890')).status).toBe(204);
  expect((await server.ask('DELETE', '/api/cups/nowhere')).status).toBe(404);
});

test('settings are kept, and bad ones aren’t', async () => {
  expect(await server.ask('PUT', '/api/workshop', { ...defaultSettings, spoonStep: 0.25 })).toMatchObject({ status: 200 });
  expect(await server.ask('PUT', '/api/workshop', { ...defaultSettings, spoonStep: 0 })).toMatchObject({
    status: 422,
    body: { detail: 'The finest step is 0.1 ml.' },
  });
  expect((await server.ask('GET', '/api/workshop')).body).toMatchObject({ spoonStep: 0.25 });
});

test('the card is a PDF of one page for every demo design, on either paper', async () => {
  for (const { document } of (await server.ask('GET', '/api/designs')).body as { document: { id: string } }[]) {
    for (const [paper, box] of [
      ['A4', '595.28 841.89'],
      ['Letter', '612 792'],
    ]) {
      const { body, headers } = await server.ask('GET', `/api/designs/${document.id}/card.pdf?paper=${paper}`);
      expect(headers['content-type']).toBe('application/pdf');
      expect(body as string).toContain(`/MediaBox [0 0 ${box}]`);
      expect(body as string).toContain('/Count 1\n');
    }
  }
});

describe('who may speak to it', () => {
  test('only this computer, by its own name', async () => {
    expect(await server.ask('GET', '/api/designs', undefined, { host: 'aurantia.example' })).toMatchObject({
      status: 421,
      body: { title: 'Wrong address' },
    });
    expect(await server.ask('GET', '/api/designs', undefined, { host: 'localhost:4310' })).toMatchObject({ status: 200 });
    expect(await server.ask('GET', '/api/designs', undefined, { host: '[::1]:4310' })).toMatchObject({ status: 200 });
  });
  test('only its own pages may change anything', async () => {
    const from = (headers: Record<string, string>) => server.ask('PUT', '/api/workshop', defaultSettings, headers);
    expect(await from({ origin: 'http://elsewhere.example' })).toMatchObject({ status: 403 });
    expect(await from({ origin: 'http://127.0.0.1:9999' })).toMatchObject({ status: 403 });
    expect(await from({ origin: 'null' })).toMatchObject({ status: 403 });
    expect(await from({ 'sec-fetch-site': 'cross-site' })).toMatchObject({ status: 403 });
    expect(await from({ origin: 'http://127.0.0.1:4310' })).toMatchObject({ status: 200 });
  });
  test('pages may load nothing from elsewhere', async () => {
    const policy = String((await server.ask('GET', '/api/workshop')).headers['content-security-policy']);
    expect(policy).toContain("default-src 'none'");
    expect(policy).not.toMatch(/unsafe|https?:/);
  });
  test('its interface is described', async () => {
    const { body } = await server.ask('GET', '/api/openapi.json');
    const paths = Object.keys((body as { paths: object }).paths);
    expect(paths).toEqual(
      expect.arrayContaining([
        '/api/designs/',
        '/api/designs/{id}',
        '/api/designs/{id}/card.pdf',
        '/api/shelf/{id}',
        '/api/cups/{id}',
        '/api/workshop/',
      ]),
    );
  });
});
