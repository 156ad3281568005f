import { existsSync, readdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import sharp from 'sharp';
import { v4, v7 } from 'uuid';
import type { Make, MakePhotos } from '@aurantia/core/make';
import { newFile, running, type Running } from './memory';

let server: Running;
let file: string;
let make: Make;
beforeEach(async () => {
  file = newFile();
  server = await running(file, true);
  make = ((await server.ask('POST', '/api/makes', { id: v7(), design: 'copper-eaves' })).body as { make: Make }).make;
});
afterEach(() => server.stop());

const put = async (id: string, payload: Buffer, type = 'image/jpeg', of: string = make.id) => {
  const reply = await server.app.inject({
    method: 'PUT',
    url: `/api/photos/${id}?make=${of}`,
    headers: { host: '127.0.0.1:4310', 'content-type': type },
    payload,
  });
  return { status: reply.statusCode, body: reply.json<MakePhotos & { detail?: string }>() };
};
const picture = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#c04020' } });
const look = async (id: string, size: string) =>
  (await server.app.inject({ method: 'GET', url: `/api/photos/${id}?size=${size}`, headers: { host: '127.0.0.1:4310' } }))
    .rawPayload;

test('a photo is kept upright, without what the camera wrote into it, with a small one of it', async () => {
  const id = v4();
  const taken = await picture(3000, 2000)
    .withExif({ IFD0: { Copyright: 'someone', Make: 'a camera' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  const { status, body } = await put(id, taken);
  expect(status).toBe(200);
  // Another one under its id writes nothing over.
  expect((await put(id, await picture(20, 20).jpeg().toBuffer())).body.photos).toEqual(body.photos);
  // Held on its side, it comes out higher than wide.
  expect(body.photos).toMatchObject([{ id, make: make.id, number: 1, width: 1600, height: 2400, reading: null }]);
  const [large, small] = [await sharp(await look(id, 'large')).metadata(), await sharp(await look(id, 'small')).metadata()];
  expect(large).toMatchObject({ format: 'jpeg', width: 1600, height: 2400 });
  expect(large.exif).toBeUndefined();
  expect(large.orientation).toBeUndefined();
  expect(Math.max(small.width, small.height)).toBe(320);
  expect(existsSync(join(dirname(file), 'photos', `${id}.jpg`))).toBe(true);
});

test('what is no picture, half of one, or far too large is refused with a sentence, and nothing is kept of it', async () => {
  const whole = await picture(800, 600).jpeg().toBuffer();
  const huge = await sharp({ create: { width: 9000, height: 8000, channels: 3, background: '#fff' } })
    .png({ compressionLevel: 9 })
    .toBuffer();
  const refused: [Buffer, string, RegExp][] = [
    [Buffer.from('Dear diary'), 'image/jpeg', /no picture/],
    [whole.subarray(0, whole.length / 2), 'image/jpeg', /cut short/],
    [huge, 'image/png', /64 million pixels/],
    [Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>'), 'image/png', /no picture/],
  ];
  for (const [bytes, type, says] of refused) {
    const { status, body } = await put(v4(), bytes, type);
    expect([status, body.detail]).toEqual([422, expect.stringMatching(says)]);
  }
  expect((await put(v4(), whole, 'image/jpeg', 'none')).status).toBe(404);
  expect((await put('..%2F..%2Fworkshop', whole)).status).toBe(422);
  expect((await server.ask('GET', `/api/photos?make=${make.id}`)).body).toEqual({ photos: [], others: [] });
  const folder = join(dirname(file), 'photos');
  expect(existsSync(folder) ? readdirSync(folder) : []).toEqual([]);
});

test('what was read off it is kept, lies beside other makes of the design, and goes with it', async () => {
  const id = v4();
  await put(id, await picture(300, 400).png().toBuffer(), 'image/png');
  const reading = {
    handles: { rimLeft: [50, 50], rimRight: [250, 50], footLeft: [70, 380], footRight: [230, 380] },
    card: { at: [20, 20], is: '#c8c8c8' },
    faces: 180,
    places: [{ id: 'foot', name: 'Foot', lab: [50, 20, 20], hex: '#a05040', off: 1.2, spread: 1.5, share: 0.4 }],
  };
  const read = await server.ask('PUT', `/api/photos/${id}/reading`, reading);
  expect((read.body as MakePhotos).photos[0].reading).toEqual(reading);
  expect((await server.ask('PUT', `/api/photos/${id}/reading`, { ...reading, faces: 999 })).status).toBe(422);
  const next = ((await server.ask('POST', '/api/makes', { id: v7(), design: 'copper-eaves' })).body as { make: Make }).make;
  expect((await server.ask('GET', `/api/photos?make=${next.id}`)).body).toMatchObject({
    photos: [],
    others: [{ id, number: 1 }],
  });
  expect((await server.ask('DELETE', `/api/photos/${id}`)).status).toBe(200);
  expect(readdirSync(join(dirname(file), 'photos'))).toEqual([]);
  expect((await server.ask('GET', `/api/photos/${id}`)).status).toBe(404);
});
