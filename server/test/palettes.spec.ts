import type { Palette } from '@aurantia/core/palette';
import { running, type Running } from './memory';

let server: Running;
beforeAll(async () => (server = await running(undefined, true)));
afterAll(() => server.stop());

const palette = { id: 'dusk', name: 'Dusk', colours: [{ name: 'Soot', colour: '#2e2b2c', mix: null }] };
const all = async () =>
  ((await server.ask('GET', '/api/palettes')).body as { document: Palette }[]).map(({ document }) => document.id);
const put = (id: string, document: unknown, parent: number | null = null) =>
  server.ask('PUT', `/api/palettes/${id}`, { parent, document });

test('a palette is kept, changed, taken away and put back', async () => {
  expect(await all()).toEqual(['lantern-week']);
  expect(await put('dusk', palette)).toMatchObject({ status: 200, body: { document: palette, revision: 1 } });
  await put('dusk', { ...palette, name: 'Late dusk' }, 1);
  expect((await server.ask('GET', '/api/palettes')).body).toMatchObject([{}, { document: { name: 'Late dusk' } }]);
  expect(await server.ask('DELETE', '/api/palettes/dusk')).toMatchObject({ status: 204 });
  expect(await all()).toEqual(['lantern-week']);
  expect(await server.ask('POST', '/api/palettes/dusk/restore', {})).toMatchObject({ status: 200 });
  expect(await all()).toEqual(['lantern-week', 'dusk']);
});

test.each([
  ['no colour at all', 'dusk', { ...palette, colours: [] }, 'document.colours'],
  [
    'a colour that is none',
    'dusk',
    { ...palette, colours: [{ name: 'Soot', colour: 'black', mix: null }] },
    'document.colours[0].colour',
  ],
])('%s is refused by field', async (_, id, body, path) => {
  expect(await put(id, body)).toMatchObject({ status: 422, body: { faults: [{ path }] } });
});

test('another palette’s address is refused, and what isn’t there is a sentence', async () => {
  expect(await put('dawn', palette)).toMatchObject({ status: 422, body: { title: 'Two ids' } });
  expect(await server.ask('DELETE', '/api/palettes/none')).toMatchObject({ status: 404 });
  expect(await server.ask('GET', '/api/palettes/none/samples.pdf')).toMatchObject({ status: 404 });
});

test('sample sheets come as PDF on the workshop’s paper, or on another', async () => {
  for (const address of ['/api/palettes/lantern-week/samples.pdf', '/api/palettes/lantern-week/samples.pdf?paper=Letter']) {
    const { status, headers, body } = await server.ask('GET', address);
    expect({ status, type: headers['content-type'] }).toEqual({ status: 200, type: 'application/pdf' });
    expect(String(body)).toMatch(/^%PDF/);
  }
});
