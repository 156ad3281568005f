import { mkdtempSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync, gzipSync } from 'node:zlib';
import type { FastifyInstance } from 'fastify';
import { createApp } from '../src/app';
import { listenNear } from '../src/http/listen';
import { memoryOf } from '../src/memory';
import { openStore, type Store } from '../src/store/open-store';
import { newFile } from './memory';

let store: Store;
let app: FastifyInstance;

beforeEach(async () => {
  const screens = mkdtempSync(join(tmpdir(), 'aurantia-screens-'));
  writeFileSync(join(screens, 'index.html'), '<au-root ngCspNonce="NONCE_OF_THIS_PAGE"></au-root>');
  writeFileSync(join(screens, 'main-ABC.js'), 'console.log(1)');
  writeFileSync(join(screens, 'main-ABC.js.gz'), gzipSync('console.log(1)'));
  writeFileSync(join(screens, 'bare-ABC.js'), 'console.log(2)');
  store = await openStore(newFile());
  app = await createApp(memoryOf(store, join(screens, 'workshop.sqlite'), { pictures: false }), screens, { logged: false });
});
afterEach(async () => {
  await app.close();
  await store.destroy();
});

const get = (url: string) => app.inject({ url, headers: { host: '127.0.0.1:4310' } });

test('each page has a nonce of its own, the one its policy names', async () => {
  const seen = new Set<string>();
  for (const url of ['/', '/index.html', '/designs', '/designs/some-id/coats', '/shelf', '/cups']) {
    const { body, headers, statusCode } = await get(url);
    expect(statusCode).toBe(200);
    const nonce = /ngCspNonce="([0-9a-f]+)"/.exec(body)?.[1] ?? 'none';
    expect(String(headers['content-security-policy'])).toContain(`style-src 'self' 'nonce-${nonce}'`);
    expect(headers['cache-control']).toBe('no-store');
    seen.add(nonce);
  }
  expect(seen.size).toBe(6);
});

test('scripts may be kept by the browser for ever: their names change with them', async () => {
  const { headers, statusCode } = await get('/main-ABC.js');
  expect(statusCode).toBe(200);
  expect(headers['cache-control']).toMatch(/immutable/);
});

test('scripts come packed to whoever can unpack them, as they are to others or where they were never packed', async () => {
  const got = async (url: string, encodings: string) => {
    const { headers, rawPayload } = await app.inject({
      url,
      headers: { host: '127.0.0.1:4310', 'accept-encoding': encodings },
    });
    const packed = headers['content-encoding'] === 'gzip';
    return [
      packed,
      (packed ? gunzipSync(rawPayload) : rawPayload).toString(),
      /\w+\/javascript/.test(String(headers['content-type'])),
      headers.vary,
    ];
  };
  for (const encodings of ['gzip, deflate', 'gzip, deflate, br, zstd'])
    expect(await got('/main-ABC.js', encodings)).toEqual([true, 'console.log(1)', true, 'accept-encoding']);
  expect(await got('/main-ABC.js', 'identity')).toEqual([false, 'console.log(1)', true, 'accept-encoding']);
  expect(await got('/bare-ABC.js', 'gzip')).toEqual([false, 'console.log(2)', true, 'accept-encoding']);
});

test('nothing outside the screens is served', async () => {
  for (const url of ['/../package.json', '/%2e%2e/package.json', '/main-XYZ.js', '/etc/passwd']) {
    expect((await get(url)).statusCode).toBe(404);
  }
});

test('a port that is taken is left to whoever has it', async () => {
  const other = createServer();
  const taken = await new Promise<number>((resolve) => {
    other.listen(0, '127.0.0.1', () => {
      const address = other.address();
      resolve(typeof address === 'object' && address ? address.port : 0);
    });
  });
  try {
    const address = await listenNear(app, taken);
    expect(address).not.toContain(String(taken));
    expect((await fetch(`${address}/api/workshop`)).status).toBe(200);
  } finally {
    other.close();
  }
});
