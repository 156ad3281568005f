import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import sharp from 'sharp';
import { v4 } from 'uuid';
import { writeBackup } from '../src/backup/write-backup';
import { newFile, running, type Running } from './memory';
import { makesOf } from './make-writing';

let [file, elsewhere] = ['', ''];
let [server, other]: (Running | null)[] = [null, null];
const here = (): Running => {
  if (!server) throw new Error('not running');
  return server;
};
const makes = makesOf(here);
beforeEach(async () => {
  [file, elsewhere] = [newFile(), newFile()];
  server = await running(file, true);
});
afterEach(async () => {
  await server?.stop();
  await other?.stop();
  [server, other] = [null, null];
});

const photos = (of: string): string => join(dirname(of), 'photos');
const headers = { host: '127.0.0.1:4310' };
/** A photo of a make that was begun for it. */
async function taken(): Promise<{ id: string; large: Buffer }> {
  const { make } = await makes.begin();
  const id = v4();
  const payload = await sharp({ create: { width: 900, height: 600, channels: 3, background: '#c04020' } })
    .jpeg()
    .toBuffer();
  const url = `/api/photos/${id}?make=${make.id}`;
  const { statusCode } = await here().app.inject({
    method: 'PUT',
    url,
    headers: { ...headers, 'content-type': 'image/jpeg' },
    payload,
  });
  expect(statusCode).toBe(200);
  return { id, large: readFileSync(join(photos(file), `${id}.jpg`)) };
}
const saved = async (): Promise<Buffer> =>
  (await here().app.inject({ method: 'GET', url: '/api/backups/now.zip', headers })).rawPayload;
async function send(to: Running, what: 'preview' | 'restore', payload: Uint8Array) {
  const reply = await to.app.inject({
    method: 'POST',
    url: `/api/backups/${what}`,
    headers: { ...headers, 'content-type': 'application/zip' },
    payload: Buffer.from(payload),
  });
  return { status: reply.statusCode, body: reply.json<unknown>() };
}
const ofPhotos = (preview: unknown) => (preview as { kind: string }[]).find(({ kind }) => kind === 'photos');
const into = async (): Promise<Running> => (other = await running(elsewhere));

test('what is saved elsewhere holds the pictures of photos, and brings them into another workshop', async () => {
  const { id, large } = await taken();
  const zip = await saved();
  // Nothing of it stays behind, and it is a backup like any other.
  expect(readdirSync(join(dirname(file), 'backups')).filter((name) => name.startsWith('saved'))).toEqual([]);
  const empty = await into();
  const preview = await send(empty, 'preview', zip);
  expect(ofPhotos(preview.body)).toMatchObject({ comes: ['of Copper Eaves, make 1'], goes: [], changes: [] });
  expect(existsSync(photos(elsewhere))).toBe(false);
  expect((await send(empty, 'restore', zip)).status).toBe(200);
  for (const size of ['large', 'small']) {
    const look = (from: Running) => from.app.inject({ method: 'GET', url: `/api/photos/${id}?size=${size}`, headers });
    expect((await look(empty)).rawPayload.equals((await look(here())).rawPayload)).toBe(true);
  }
  expect(readFileSync(join(photos(elsewhere), `${id}.jpg`)).equals(large)).toBe(true);
  expect(ofPhotos((await send(empty, 'preview', zip)).body)).toMatchObject({ comes: [], changes: [], stays: 1 });
});

test('a picture that went from its folder comes back from it', async () => {
  const { id, large } = await taken();
  const zip = await saved();
  const gone = join(photos(file), `${id}.jpg`);
  rmSync(gone);
  expect(ofPhotos((await send(here(), 'preview', zip)).body)).toMatchObject({ changes: ['of Copper Eaves, make 1'], stays: 0 });
  await send(here(), 'restore', zip);
  expect(readFileSync(gone).equals(large)).toBe(true);
  // What is there already is left as it is: a picture never changes.
  copyFileSync(join(photos(file), `${id}-small.jpg`), gone);
  await send(here(), 'restore', zip);
  expect(readFileSync(gone).equals(large)).toBe(false);
});

test('the backup of a day leaves pictures out; of a photo that would be without one that is said', async () => {
  await taken();
  const daily = await writeBackup(here().store);
  expect(Object.keys(unzipSync(daily)).filter((name) => name.startsWith('pictures'))).toEqual([]);
  const empty = await into();
  const preview = await send(empty, 'preview', daily);
  expect(ofPhotos(preview.body)).toMatchObject({ comes: ['of Copper Eaves, make 1, without its picture'] });
  expect((await send(empty, 'restore', daily)).status).toBe(200);
});

test('a picture that isn’t as it was written restores nothing, nor leaves a piece of one', async () => {
  const { id } = await taken();
  const files = unzipSync(await saved());
  const large = files[`pictures/${id}.jpg`];
  const spoilt = Uint8Array.from(large);
  spoilt[Math.floor(spoilt.length / 2)] ^= 0xff;
  const empty = await into();
  const { status, body } = await send(empty, 'restore', zipSync({ ...files, [`pictures/${id}.jpg`]: spoilt }));
  expect([status, body]).toEqual([422, expect.objectContaining({ detail: expect.stringContaining('is damaged') })]);
  expect(existsSync(photos(elsewhere)) ? readdirSync(photos(elsewhere)) : []).toEqual([]);
  expect((await empty.ask('GET', '/api/makes?over=false')).body).toMatchObject({ makes: [] });
});

test('a picture that no photo of the backup has is brought nowhere', async () => {
  await taken();
  const files = unzipSync(await saved());
  const strays = { 'pictures/../../stray.jpg': strToU8('x'), [`pictures/${v4()}.jpg`]: strToU8('x') };
  const manifest = JSON.parse(strFromU8(files['manifest.json'])) as object;
  const zip = zipSync({ ...files, ...strays, 'manifest.json': strToU8(JSON.stringify(manifest)) });
  const empty = await into();
  expect((await send(empty, 'restore', zip)).status).toBe(200);
  expect(readdirSync(photos(elsewhere))).toHaveLength(2);
  expect(existsSync(join(dirname(elsewhere), 'stray.jpg'))).toBe(false);
});

test('a photo whose id leads out of the folder is none: the backup isn’t read, and nothing is written anywhere', async () => {
  await taken();
  const files = unzipSync(await saved());
  const [photo] = JSON.parse(strFromU8(files['photos.json'])) as object[];
  const wrong = strToU8(JSON.stringify([{ ...photo, id: '../stray' }]));
  const stray = strToU8('x');
  const sum = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex');
  const manifest = JSON.parse(strFromU8(files['manifest.json'])) as { files: object };
  const sums = { ...manifest.files, 'photos.json': sum(wrong), 'pictures/../stray.jpg': sum(stray) };
  const made = { 'photos.json': wrong, 'pictures/../stray.jpg': stray };
  const zip = zipSync({ ...files, ...made, 'manifest.json': strToU8(JSON.stringify({ ...manifest, files: sums })) });
  const { status, body } = await send(await into(), 'restore', zip);
  expect([status, body]).toEqual([422, expect.objectContaining({ detail: expect.stringContaining('isn’t laid out') })]);
  expect(existsSync(join(dirname(elsewhere), 'stray.jpg'))).toBe(false);
});

test('more than can be sent says how else it is restored', async () => {
  const reply = await here().app.inject({
    method: 'POST',
    url: '/api/backups/restore',
    headers: { ...headers, 'content-type': 'application/zip', 'content-length': '2000000000' },
    payload: Buffer.from('PK'),
  });
  expect(reply.statusCode).toBe(413);
  expect(reply.json()).toMatchObject({ detail: expect.stringContaining('npm run -s restore') });
});
