import { mkdtempSync, writeFileSync } from 'node:fs';
import { request, type IncomingHttpHeaders } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Make } from '@aurantia/core/make';
import { typedCode, type Sharing } from '@aurantia/core/sharing';
import type { FastifyInstance } from 'fastify';
import { v7 } from 'uuid';
import { createApp } from '../src/app';
import { memoryOf } from '../src/memory';
import { PairingCode } from '../src/sharing/pairing-code';
import { openStore, type Store } from '../src/store/open-store';
import { demoFile, newFile } from './memory';

interface Reply {
  readonly status: number;
  readonly text: string;
  readonly headers: IncomingHttpHeaders;
}

let store: Store;
let app: FastifyInstance;
/** where it listens for the network; a loopback address of its own stands for one */
let network: string;

beforeEach(async () => {
  const screens = mkdtempSync(join(tmpdir(), 'aurantia-screens-'));
  writeFileSync(join(screens, 'index.html'), '<body data-asking="ASKING_OF_THIS_PAGE">');
  writeFileSync(join(screens, 'main-ABC.js'), 'console.log(1)');
  const file = newFile();
  store = await openStore(file);
  app = await createApp(memoryOf(store, file, { pictures: false }), screens, {
    logged: false,
    movableClock: true,
    shareAt: { address: '127.0.0.1', port: 0 },
  });
  await here('PUT', '', { on: true });
  network = new URL((await sharing()).addresses[0]).host;
});
afterEach(async () => {
  await app.close();
  await store.destroy();
});

/** At the workshop's own computer. */
async function here(method: 'GET' | 'PUT' | 'POST' | 'DELETE', path: string, body?: object) {
  const reply = await app.inject({
    method,
    url: `/api/sharing${path}`,
    headers: { host: '127.0.0.1:4310' },
    ...(body ? { payload: body } : {}),
  });
  return { status: reply.statusCode, body: reply.json<Sharing & { detail: string }>() };
}
const sharing = async (): Promise<Sharing> => (await here('GET', '')).body;

/** From the network, as any program could ask. */
const ask = (method: string, path: string, headers: Record<string, string> = {}, body?: object): Promise<Reply> =>
  new Promise((resolve, reject) => {
    const sent = body === undefined ? {} : { 'content-type': 'application/json' };
    const asked = request(`http://${network}${path}`, { method, headers: { ...sent, ...headers }, agent: false }, (reply) => {
      let text = '';
      reply.on('data', (part: Buffer) => (text += part.toString()));
      reply.once('end', () => resolve({ status: reply.statusCode ?? 0, text, headers: reply.headers }));
    });
    asked.once('error', reject);
    asked.end(body === undefined ? undefined : JSON.stringify(body));
  });

const codeFor = async (sees: 'bench' | 'all'): Promise<string> =>
  (await here('POST', '/code', { name: 'Tablet', sees })).body.code?.code ?? '';
/** @returns what the device shows from now on */
async function pair(sees: 'bench' | 'all'): Promise<Record<string, string>> {
  const { status, headers } = await ask('POST', '/api/sharing/pair', {}, { code: await codeFor(sees) });
  expect(status).toBe(204);
  const [cookie = ''] = headers['set-cookie'] ?? [];
  expect(cookie).toMatch(/HttpOnly/);
  expect(cookie).toMatch(/SameSite=Strict/);
  return { cookie: cookie.split(';')[0] };
}

test('a stranger on the network gets the page for a code and the program’s own files, and nothing of the workshop', async () => {
  for (const [method, path] of [
    ['GET', '/api/designs'],
    ['GET', '/api/makes'],
    ['GET', '/api/makes/changes'],
    ['GET', '/api/workshop'],
    ['GET', '/api/backups'],
    ['GET', '/api/sharing'],
    ['GET', '/api/openapi.json'],
    ['GET', '/nowhere'],
    ['GET', '//api/designs'],
    ['GET', '/pair/../api/designs'],
    ['PUT', '/api/sharing'],
    ['POST', '/api/sharing/code'],
    ['POST', '/api/makes'],
    ['DELETE', '/api/designs/any'],
  ]) {
    const { status, text } = await ask(method, path);
    expect([method, path, status]).toEqual([method, path, 401]);
    expect(text).toContain('type it here at /pair');
  }
  expect((await ask('GET', '/pair')).status).toBe(200);
  expect((await ask('GET', '/main-ABC.js')).status).toBe(200);
  const page = await ask('GET', '/designs', { accept: 'text/html' });
  expect([page.status, page.headers.location]).toEqual([302, '/pair']);
});

test('a name that another page re-points to this computer isn’t answered, nor a change that another page sends', async () => {
  const shown = await pair('all');
  expect((await ask('GET', '/api/designs', { ...shown, host: 'cups.example:80' })).status).toBe(421);
  expect((await ask('GET', '/api/designs', { ...shown, host: '127.0.0.1:1' })).status).toBe(421);
  const change = { path: '/api/designs/none/restore', origin: 'http://elsewhere.example' };
  expect((await ask('POST', change.path, { ...shown, origin: change.origin }, {})).status).toBe(403);
  expect((await ask('POST', change.path, { ...shown, origin: `http://${network}` }, {})).status).toBe(404);
});

test('a code lets one device in, once', async () => {
  const code = await codeFor('bench');
  const typed = code.toLowerCase().replace(' ', '-');
  expect((await ask('POST', '/api/sharing/pair', {}, { code: typed })).status).toBe(204);
  const again = await ask('POST', '/api/sharing/pair', {}, { code: typed });
  expect(again.status).toBe(403);
  expect(again.text).toContain('No code waits');
  expect((await sharing()).paired).toMatchObject([{ name: 'Tablet', sees: 'bench' }]);
});

test('five wrong tries void a code, whoever tried', async () => {
  const code = await codeFor('all');
  for (const left of ['4 more tries', '3 more tries', '2 more tries', 'One more try', 'No code waits'])
    expect((await ask('POST', '/api/sharing/pair', {}, { code: 'AAAA AAAA' })).text).toContain(left);
  expect((await ask('POST', '/api/sharing/pair', {}, { code })).status).toBe(403);
  expect((await sharing()).paired).toEqual([]);
});

test('a code is void after ten minutes, and when another is drawn', () => {
  let now = 1_000_000;
  const codes = new PairingCode(() => now);
  const wish = { name: 'Tablet', sees: 'all' } as const;
  const first = codes.draw(wish).code;
  const second = codes.draw(wish).code;
  expect(codes.try(first)).toEqual({ left: 4 });
  now += 10 * 60_000 - 1;
  expect(codes.alive?.code).toBe(second);
  now += 1;
  expect(codes.try(second)).toEqual({ left: 0 });
  const third = codes.draw(wish).code;
  expect(codes.try(third)).toEqual({ right: wish });
});

test('a device at the bench sees makes, their log and the devices; one that was given all sees all but who is let in', async () => {
  const [bench, all] = [await pair('bench'), await pair('all')];
  const open = ['/api/makes', '/api/workshop', '/api/devices', '/bench', '/log', '/'];
  const more = ['/api/designs', '/api/shelf', '/api/cups', '/api/learnt', '/api/palettes', '/designs', '/api/openapi.json'];
  const money = ['/api/orders', '/api/orders/table.csv', '/api/week?zone=UTC', '/api/money', '/week', '/week/money'];
  for (const path of money) expect([path, (await ask('GET', path, bench)).status]).toEqual([path, 403]);
  for (const path of open) expect([path, (await ask('GET', path, bench)).status]).toEqual([path, 200]);
  for (const path of more) expect([path, (await ask('GET', path, bench)).status]).toEqual([path, 403]);
  for (const path of [...open, ...more]) expect([path, (await ask('GET', path, all)).status]).toEqual([path, 200]);
  for (const shown of [bench, all]) {
    expect((await ask('GET', '/api/sharing', shown)).status).toBe(403);
    expect((await ask('POST', '/api/clock', shown, { on: 60 })).status).toBe(403);
  }
  expect((await ask('POST', '/api/makes', bench, {})).status).toBe(403);
  expect((await ask('GET', '/bench', bench)).text).toContain('data-asking="bench"');
});

test('a device at the bench is told of a make all but what its jars cost', async () => {
  const [bench, all] = [await pair('bench'), await pair('all')];
  const file = demoFile('copper-eaves');
  expect(file.shelf.some(({ paid }) => paid !== null)).toBe(true);
  expect((await ask('POST', '/api/designs/import', all, file)).status).toBe(201);
  const begun = await ask('POST', '/api/makes', all, { id: v7(), design: file.design.id });
  const { make } = JSON.parse(begun.text) as { make: Make };
  const prices = (text: string) => (JSON.parse(text) as { make: Make }).make.shelf.filter(({ paid }) => paid !== null).length;
  const entry = { id: v7(), what: 'note', coat: null, text: 'seen at the bench' };
  for (const path of [`/api/makes/${make.id}`, `/api/makes/${make.id}/file`]) {
    expect([path, prices((await ask('GET', path, bench)).text)]).toEqual([path, 0]);
    expect(prices((await ask('GET', path, all)).text)).toBe(prices(begun.text));
  }
  const written = await ask('POST', `/api/makes/${make.id}/entries`, bench, { after: 0, entry });
  expect([written.status, prices(written.text)]).toEqual([200, 0]);
  expect(prices(begun.text)).toBeGreaterThan(3);
});

test('what a device shows is worth nothing with another secret, and isn’t in the file', async () => {
  const { cookie } = await pair('all');
  const [id, secret] = cookie.replace(/^.*=/, '').split('.');
  expect((await ask('GET', '/api/designs', { cookie: `aurantia-paired=${id}.${'A'.repeat(43)}` })).status).toBe(401);
  expect((await ask('GET', '/api/designs', { cookie: `aurantia-paired=${id}` })).status).toBe(401);
  expect(JSON.stringify(await store.selectFrom('paired').selectAll().execute())).not.toContain(secret);
});

test('a device that is taken away is cut off in the middle of what it hears, and gets nothing more', async () => {
  const shown = await pair('bench');
  const [{ id }] = (await sharing()).paired;
  const heard = new Promise<string>((resolve) => {
    const asked = request(`http://${network}/api/makes/changes`, { headers: shown, agent: false }, (reply) => {
      reply.once('data', () => void here('DELETE', `/paired/${id}`));
      reply.once('close', () => resolve('cut'));
      reply.once('error', () => resolve('cut'));
    });
    asked.end();
  });
  expect(await heard).toBe('cut');
  expect((await ask('GET', '/api/makes', shown)).status).toBe(401);
});

test('switched off nothing answers on the network; switched on again devices that were let in still are', async () => {
  const shown = await pair('bench');
  const off = await here('PUT', '', { on: false });
  expect(off.body).toMatchObject({ on: false, addresses: [], code: null });
  await expect(ask('GET', '/pair')).rejects.toThrow(/ECONNREFUSED/);
  expect((await here('POST', '/code', { name: 'Tablet', sees: 'bench' })).body.detail).toContain('Switch sharing on first');
  network = new URL((await here('PUT', '', { on: true })).body.addresses[0]).host;
  expect((await ask('GET', '/api/makes', shown)).status).toBe(200);
});

test('an address that isn’t this computer’s is a sentence, not an end', async () => {
  const other = await createApp(memoryOf(store, newFile(), { pictures: false }), null, {
    logged: false,
    shareAt: { address: '203.0.113.7', port: 0 },
  });
  await other.sharing.turn(true);
  const { on, trouble } = await other.sharing.now();
  expect([on, trouble]).toEqual([false, expect.stringContaining('AURANTIA_SHARE_AT')]);
  await other.close();
});

test('a code as it is shown can be typed back', async () => {
  const shown = await codeFor('bench');
  expect(shown).toMatch(/^[A-Z2-9]{4} [A-Z2-9]{4}$/);
  const { code } = await sharing();
  expect(code?.links[0]).toBe(`http://${network}/pair#${typedCode(shown)}`);
});
