import { defaultSettings, startingItem, type DesignPage, type MovedOn, type ShelfItem } from '@aurantia/core';
import { demoFile, newFile, running, type Running } from './memory';

let server: Running;
beforeEach(async () => {
  server = await running(newFile(), true);
});
afterEach(() => server.stop());

test('the demo has its six designs, shelf, cups and settings', async () => {
  const { designs } = (await server.ask('GET', '/api/designs')).body as DesignPage;
  expect(designs.map(({ name }) => name).sort()).toEqual([
    'Apiary Noon',
    'Copper Eaves',
    'Orchard Frost',
    'Peat Fire',
    'Slate & Saffron',
    'Thistle Weave',
  ]);
  expect((await server.ask('GET', '/api/shelf')).body).toHaveLength(37);
  expect((await server.ask('GET', '/api/cups')).body).toHaveLength(9);
  expect((await server.ask('GET', '/api/workshop')).body).toMatchObject({ document: { name: 'Quince & Ember', celsius: 21.4 } });
});

interface KeptItem {
  id: string;
  document: ShelfItem;
  revision: number;
}
const put = (document: ShelfItem, parent: number | null) => server.ask('PUT', `/api/shelf/${document.id}`, { parent, document });
const move = (id: string, why: string, amount: number | null) =>
  server.ask('POST', `/api/shelf/${id}/movements`, { why, amount });
const shelf = async () => (await server.ask('GET', '/api/shelf')).body as KeptItem[];

test('what came and went of a jar is in its ledger, with why; nothing is noted when nothing moved', async () => {
  const item = { ...startingItem('paint', 'whitewash'), left: null };
  await put(item, null);
  await move('whitewash', 'bought', 100);
  await put({ ...item, note: 'thick' }, 1);
  await move('whitewash', 'spilt', 12.5);
  await move('whitewash', 'counted anew', 87.5);
  await move('whitewash', 'counted anew', null);
  expect((await server.ask('GET', '/api/shelf/whitewash/ledger')).body).toMatchObject([
    { change: null, left: null, why: 'counted anew' },
    { change: -12.5, left: 87.5, why: 'spilt' },
    { change: 100, left: 100, why: 'bought' },
  ]);
  expect(await move('whitewash', 'x'.repeat(200), 1)).toMatchObject({ status: 422 });
  expect(await move('whitewash', 'spilt', 1)).toMatchObject({
    status: 422,
    body: { detail: expect.stringContaining('Count it anew') },
  });
});

test('fifty movements from two windows at once are fifty movements; a renamed jar keeps its count', async () => {
  await put({ ...startingItem('glitter', 'shared'), left: 100 }, null);
  const replies = await Promise.all(Array.from({ length: 50 }, () => move('shared', 'used on a cup', 1)));
  expect(replies.map(({ status }) => status)).toEqual(Array(50).fill(200));
  const [kept] = (await shelf()).filter(({ id }) => id === 'shared');
  expect(kept.document.left).toBe(50);
  const renamed = { ...kept.document, name: 'Gorse', left: 100 };
  expect(await put(renamed, kept.revision)).toMatchObject({ status: 200, body: { document: { name: 'Gorse', left: 50 } } });
});

test('a jar, a cup, a palette or settings changed elsewhere meanwhile answer with both, and keep the first', async () => {
  const item = startingItem('glitter', 'fought-over');
  expect(await put(item, null)).toMatchObject({ status: 200, body: { revision: 1 } });
  expect(await put({ ...item, name: 'Theirs' }, 1)).toMatchObject({ status: 200 });
  const mine = { ...item, name: 'Mine' };
  expect(await put(mine, 1)).toMatchObject({
    status: 409,
    body: { latest: { document: { name: 'Theirs' }, revision: 2 }, yours: { document: mine, parent: 1 } },
  });
  expect(await put(mine, null)).toMatchObject({ status: 409 });
  expect((await shelf()).find(({ id }) => id === item.id)).toMatchObject({ document: { name: 'Theirs' } });
  for (const place of ['cups', 'palettes']) {
    const [{ id, document, revision }] = (await server.ask('GET', `/api/${place}`)).body as {
      id: string;
      document: object;
      revision: number;
    }[];
    const save = (name: string) =>
      server.ask('PUT', `/api/${place}/${id}`, { parent: revision, document: { ...document, name } });
    expect(await save('Theirs')).toMatchObject({ status: 200 });
    expect(await save('Mine')).toMatchObject({ status: 409, body: { latest: { document: { name: 'Theirs' } } } });
  }
  const { document, revision } = (await server.ask('GET', '/api/workshop')).body as { document: object; revision: number };
  const save = (name: string) => server.ask('PUT', '/api/workshop', { parent: revision, document: { ...document, name } });
  expect(await save('Theirs')).toMatchObject({ status: 200 });
  expect(await save('Mine')).toMatchObject({ status: 409, body: { latest: { document: { name: 'Theirs' } } } });
});

test('many items come in together, or none of them; what is taken off is among the gone', async () => {
  const items = ['a', 'b'].map((id) => ({ parent: null, document: { ...startingItem('glitter', `many-${id}`), left: 5 } }));
  const before = (await shelf()).length;
  const faulty = { parent: null, document: { ...items[0].document, id: 'many-c', left: -1 } };
  expect(await server.ask('POST', '/api/shelf/many', [...items, faulty])).toMatchObject({ status: 422 });
  const stale = { ...items[0], parent: 7 };
  expect((await server.ask('POST', '/api/shelf/many', [items[1], stale])).status).toBe(404);
  expect(await shelf()).toHaveLength(before);
  expect(await server.ask('POST', '/api/shelf/many', items)).toMatchObject({ status: 200 });
  expect(await shelf()).toHaveLength(before + 2);
  await server.ask('POST', '/api/shelf/many', [{ parent: 1, document: { ...items[0].document, left: 3, note: 'from a list' } }]);
  expect((await server.ask('GET', '/api/shelf/many-a/ledger')).body).toMatchObject([
    { change: -2, left: 3, why: 'from a file' },
    { change: 5, why: 'from a file' },
  ]);
  await server.ask('DELETE', '/api/shelf/many-b');
  expect(((await server.ask('GET', '/api/shelf/gone')).body as KeptItem[]).map(({ id }) => id)).toContain('many-b');
});

test.each(['glitter', 'ink', 'pearl', 'paint', 'resin', 'glue', 'film'] as const)(
  'a %s goes on the shelf, off it and back',
  async (kind) => {
    const item: ShelfItem = { ...startingItem(kind, `new-${kind}`), left: 12.5 };
    expect(await put(item, null)).toMatchObject({ status: 200, body: { document: item } });
    const has = async () => (await shelf()).some(({ id }) => id === item.id);
    expect(await has()).toBe(true);
    await server.ask('DELETE', `/api/shelf/${item.id}`);
    expect(await has()).toBe(false);
    await server.ask('POST', `/api/shelf/${item.id}/restore`, {});
    expect(await has()).toBe(true);
  },
);

test('a faulty item is refused by field', async () => {
  const item = { ...startingItem('resin', 'r'), ratio: [0, 1] };
  expect(await server.ask('PUT', '/api/shelf/r', { parent: null, document: item })).toMatchObject({
    status: 422,
    body: { faults: [{ path: 'document.ratio[0]', sentence: 'A part is above zero.' }] },
  });
});

test('a cup is measured, changed and removed; a design keeps its own copy', async () => {
  const { cup } = demoFile('copper-eaves').design;
  const wider = { ...cup, stations: [cup.stations[0], { height: 205, circumference: 300 }] };
  expect(await server.ask('PUT', '/api/cups/tapered-890', { parent: 1, document: wider })).toMatchObject({ status: 200 });
  expect((await server.ask('GET', '/api/designs/copper-eaves')).body).toMatchObject({ document: { cup } });
  expect((await server.ask('DELETE', '/api/cups/tapered-890')).status).toBe(204);
  expect((await server.ask('DELETE', '/api/cups/nowhere')).status).toBe(404);
});

test('settings are kept, and bad ones aren’t', async () => {
  const save = (parent: number, spoonStep: number) =>
    server.ask('PUT', '/api/workshop', { parent, document: { ...defaultSettings, spoonStep } });
  expect(await save(1, 0.25)).toMatchObject({ status: 200 });
  expect(await save(2, 0)).toMatchObject({ status: 422, body: { detail: 'The finest step is 0.1 ml.' } });
  expect((await server.ask('GET', '/api/workshop')).body).toMatchObject({ document: { spoonStep: 0.25 }, revision: 2 });
});

// The wider but shorter paper for each of them, the other one for the two that say most.
test.each([
  ['Letter', '612 792', (): boolean => true],
  ['A4', '595.28 841.89', (id: string): boolean => id === 'apiary-noon' || id === 'copper-eaves'],
])('the card is a PDF of one page for the demo’s designs, on %s', async (paper, box, among) => {
  const { designs } = (await server.ask('GET', '/api/designs')).body as DesignPage;
  const some = designs.filter(({ id }) => among(id));
  expect(some.length).toBeGreaterThanOrEqual(2);
  for (const { id } of some) {
    const { body, headers } = await server.ask('GET', `/api/designs/${id}/card.pdf?paper=${paper}`);
    expect(headers['content-type']).toBe('application/pdf');
    expect(body as string).toContain(`/MediaBox [0 0 ${box}]`);
    expect(body as string).toContain('/Count 1\n');
  }
});

test('a design without a coat has a card too', async () => {
  const bare = { ...demoFile('peat-fire').design, id: 'bare', coats: [] };
  await server.ask('POST', '/api/designs', bare);
  expect((await server.ask('GET', '/api/designs/bare/card.pdf')).headers['content-type']).toBe('application/pdf');
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
    const from = (headers: Record<string, string>) =>
      server.ask('PUT', '/api/workshop', { parent: 1, document: defaultSettings }, headers);
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

describe('a page that stays open', () => {
  const look = async (stamp?: string) =>
    (await server.ask('GET', `/api/workshop/moved-on${stamp === undefined ? '' : `?stamp=${encodeURIComponent(stamp)}`}`))
      .body as MovedOn;

  test('is told what was counted, kept, taken off and put back since it looked, and nothing where nothing was', async () => {
    const { stamp } = await look();
    expect((await look(stamp)).since).toBeNull();
    const glue = startingItem('glue', 'new-glue');
    await put(glue, null);
    for (const amount of [9, 3]) await move('penny-rain', 'counted anew', amount);
    const { since, stamp: next } = await look(stamp);
    expect(since?.left).toEqual([{ id: 'penny-rain', left: 3 }]);
    expect(since?.cups).toBeNull();
    const now = (await shelf()).map(({ id, revision }) => ({ id, revision }));
    expect(since?.shelf).toEqual(now);
    expect(now.at(-1)).toEqual({ id: 'new-glue', revision: 1 });
    // One goes and another comes back: as many as before, and not the same.
    await server.ask('DELETE', '/api/shelf/new-glue');
    const { stamp: without } = await look(next);
    await server.ask('DELETE', '/api/shelf/penny-rain');
    await server.ask('POST', '/api/shelf/new-glue/restore');
    const ids = (await look(without)).since?.shelf?.map(({ id }) => id);
    expect(ids).toContain('new-glue');
    expect(ids).not.toContain('penny-rain');
  });

  test('hears of settings and cups too, and is told all from whatever stamp', async () => {
    const { stamp } = await look();
    await server.ask('PUT', '/api/workshop', { parent: 1, document: { ...defaultSettings, humidity: 70 } });
    const [cup] = (await server.ask('GET', '/api/cups')).body as { id: string }[];
    await server.ask('DELETE', `/api/cups/${cup.id}`);
    const { since } = await look(stamp);
    expect(since?.settings).toBe(2);
    expect(since?.cups).toHaveLength(8);
    expect(since?.shelf).toBeNull();
    for (const odd of ['', 'NaN~1', '-1', '99999999~', '1'.repeat(300)]) expect((await look(odd)).since?.cups).toHaveLength(8);
    expect((await server.ask('GET', `/api/workshop/moved-on?stamp=${'1'.repeat(301)}`)).status).toBe(422);
  });
});
