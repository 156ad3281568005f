import type { Design, DesignFile } from '@aurantia/core';
import { sql } from 'kysely';
import { demoFile, running, type Running } from './memory';

interface Kept {
  document: Design;
  revision: number;
  keptAt: string;
}
interface Problem {
  title: string;
  status: number;
  detail: string;
  faults?: { path: string; sentence: string }[];
  latest?: Kept;
  yours?: { parent: number; document: Design };
}

let server: Running;
const { design } = demoFile('peat-fire');
const renamed = (name: string): Design => ({ ...design, name });

beforeEach(async () => {
  server = await running();
});
afterEach(() => server.stop());

const create = async () => (await server.ask('POST', '/api/designs', design)).body as Kept;
const save = (parent: number, name: string) =>
  server.ask('PUT', `/api/designs/${design.id}`, { parent, document: renamed(name) });

test('a design is kept, listed, opened and saved on top of its parent', async () => {
  expect(await create()).toMatchObject({ revision: 1, document: design });
  const second = await save(1, 'Second');
  expect(second).toMatchObject({ status: 200, body: { revision: 2 } });
  expect((await server.ask('GET', '/api/designs')).body).toMatchObject({
    total: 1,
    designs: [{ id: design.id, name: 'Second', revision: 2 }],
  });
  expect((await server.ask('GET', `/api/designs/${design.id}`)).body).toEqual(second.body);
});

test('every revision stays as it was, and the file itself refuses to change one', async () => {
  await create();
  await save(1, 'Second');
  const first = (await server.ask('GET', `/api/designs/${design.id}/revisions/1`)).body as Kept;
  expect(first.document).toEqual(design);
  await expect(sql`update revision set document = '{}'`.execute(server.store)).rejects.toThrow('never changed');
  await expect(sql`delete from revision`.execute(server.store)).rejects.toThrow('newest revision of a design is never deleted');
});

test('a stale save gets both versions and overwrites nothing', async () => {
  await create();
  await save(1, 'Theirs');
  const { status, body, headers } = await save(1, 'Mine');
  const problem = body as Problem;
  expect(status).toBe(409);
  expect(headers['content-type']).toMatch('application/problem+json');
  expect(problem.latest).toMatchObject({ revision: 2, document: { name: 'Theirs' } });
  expect(problem.yours).toMatchObject({ parent: 1, document: { name: 'Mine' } });
  expect(problem.detail).toMatch(/Nothing was overwritten/);
  expect((await server.ask('GET', `/api/designs/${design.id}`)).body).toMatchObject({
    revision: 2,
    document: { name: 'Theirs' },
  });
});

test('of many saves at once onto one parent, exactly one is kept', async () => {
  await create();
  const statuses = (await Promise.all(Array.from({ length: 8 }, (_, i) => save(1, `Save ${i}`)))).map(({ status }) => status);
  expect(statuses.filter((status) => status === 200)).toHaveLength(1);
  expect(statuses.filter((status) => status === 409)).toHaveLength(7);
});

test('a removed design is out of the list and can be brought back', async () => {
  await create();
  expect((await server.ask('DELETE', `/api/designs/${design.id}`)).status).toBe(204);
  expect((await server.ask('GET', '/api/designs')).body).toEqual({ total: 0, designs: [], groups: [] });
  expect((await server.ask('POST', `/api/designs/${design.id}/restore`, {})).body).toMatchObject({
    document: { name: design.name },
  });
  expect((await server.ask('GET', '/api/designs')).body).toMatchObject({ total: 1 });
});

describe('files', () => {
  test('one comes in with its jars, and again as a copy', async () => {
    const file = demoFile('peat-fire');
    expect((await server.ask('POST', '/api/designs/import', file)).status).toBe(201);
    const again = (await server.ask('POST', '/api/designs/import', file)).body as Kept;
    expect(again.document.name).toBe('Peat Fire, copy');
    expect(again.document.id).not.toBe(design.id);
    const shelf = (await server.ask('GET', '/api/shelf')).body as { document: object }[];
    expect(shelf.map(({ document }) => document)).toEqual(file.shelf);
  });
  test('a jar that is already here is left as it is; one that was taken off the shelf is put back', async () => {
    const file = demoFile('peat-fire');
    const [first, second] = file.shelf;
    await server.ask('PUT', `/api/shelf/${first.id}`, { parent: null, document: { ...first, name: 'Mine', left: 3 } });
    await server.ask('PUT', `/api/shelf/${second.id}`, { parent: null, document: second });
    await server.ask('DELETE', `/api/shelf/${second.id}`);
    await server.ask('POST', '/api/designs/import', file);
    const shelf = (await server.ask('GET', '/api/shelf')).body as { id: string; document: { name: string } }[];
    expect(shelf.find(({ id }) => id === first.id)?.document.name).toBe('Mine');
    expect(shelf.map(({ id }) => id)).toContain(second.id);
  });
  test('a removed design’s own file brings it back; its first revisions stay', async () => {
    await create();
    const { body: file } = await server.ask('GET', `/api/designs/${design.id}/file`);
    await server.ask('POST', '/api/designs/import', demoFile('peat-fire'));
    await server.ask('DELETE', `/api/designs/${design.id}`);
    expect((await server.ask('GET', '/api/designs/removed')).body).toMatchObject({ designs: [{ id: design.id }] });
    const back = await server.ask('POST', '/api/designs/import', { ...(file as object), shelf: demoFile('peat-fire').shelf });
    expect(back).toMatchObject({ status: 201, body: { document: { id: design.id }, revision: 2 } });
    expect((await server.ask('GET', '/api/designs/removed')).body).toMatchObject({ total: 0 });
  });
  test('a design whose jar was removed goes out with it, and comes back in', async () => {
    const file = demoFile('peat-fire');
    await server.ask('POST', '/api/designs/import', file);
    for (const { id } of file.shelf) await server.ask('DELETE', `/api/shelf/${id}`);
    const { body } = await server.ask('GET', `/api/designs/${design.id}/file`);
    expect((body as DesignFile).shelf.map(({ id }) => id).sort()).toEqual(file.shelf.map(({ id }) => id).sort());
    expect((await server.ask('POST', '/api/designs/import', body)).status).toBe(201);
    expect((await server.ask('GET', '/api/shelf')).body).toHaveLength(file.shelf.length);
  });
  test('a file that can’t come in leaves no jar of it behind', async () => {
    const file = demoFile('peat-fire');
    await sql`create trigger no_designs before insert on design begin select raise(abort, 'not today'); end`.execute(
      server.store,
    );
    expect((await server.ask('POST', '/api/designs/import', file)).status).toBe(500);
    expect((await server.ask('GET', '/api/shelf')).body).toEqual([]);
  });
  test('saving into a removed design is refused, and says how to go on', async () => {
    await create();
    await server.ask('DELETE', `/api/designs/${design.id}`);
    expect(await save(1, 'Lost?')).toMatchObject({ status: 410, body: { detail: expect.stringContaining('Bring it back') } });
    await server.ask('POST', `/api/designs/${design.id}/restore`, {});
    expect(await save(1, 'Kept')).toMatchObject({ status: 200 });
  });
  test('what goes out comes back in', async () => {
    await server.ask('POST', '/api/designs/import', demoFile('peat-fire'));
    const { body, headers } = await server.ask('GET', `/api/designs/${design.id}/file`);
    expect(headers['content-disposition']).toBe('attachment; filename=peat-fire.aurantia.json');
    expect((body as { design: Design }).design).toEqual(design);
    expect((await server.ask('POST', '/api/designs/import', body)).status).toBe(201);
  });
});

describe('what can’t be kept is named, and nothing changes', () => {
  test.each<[string, unknown, string, RegExp]>([
    [
      'an area off the cup',
      {
        ...design,
        areas: design.areas.map((area) => ({ ...area, upper: { level: { by: 'foot', mm: 400 }, teeth: null } })),
      },
      'document.areas[0].upper.level',
      /ends at 150 mm/,
    ],
    ['no name', { ...design, name: '' }, 'document.name', /name/],
    ['another version', { ...design, version: 3 }, 'document.version', /another version/],
    ['a foreign field', { ...design, script: '<script>' }, 'document', /“script”/],
  ])('%s', async (_, document, path, sentence) => {
    await create();
    const { status, body } = await server.ask('PUT', `/api/designs/${design.id}`, { parent: 1, document });
    expect(status).toBe(422);
    expect((body as Problem).faults).toEqual(expect.arrayContaining([{ path, sentence: expect.stringMatching(sentence) }]));
    expect((await server.ask('GET', `/api/designs/${design.id}`)).body).toMatchObject({ revision: 1 });
  });
  test('no JSON, too much, another kind of content, an unknown design', async () => {
    expect(await server.ask('POST', '/api/designs', '{"name":')).toMatchObject({
      status: 400,
      body: { detail: expect.stringMatching(/JSON/) },
    });
    expect(await server.ask('POST', '/api/designs', JSON.stringify({ name: 'x'.repeat(3e6) }))).toMatchObject({
      status: 413,
      body: { title: 'Too large' },
    });
    expect(await server.ask('POST', '/api/designs', 'name=x', { 'content-type': 'text/plain' })).toMatchObject({ status: 415 });
    expect(await server.ask('GET', '/api/designs/nowhere')).toMatchObject({
      status: 404,
      body: { detail: expect.stringMatching(/isn’t here/) },
    });
    expect(await server.ask('PUT', '/api/designs/nowhere', { parent: 1, document: design })).toMatchObject({ status: 404 });
  });
});

describe('what an earlier version of the program kept', () => {
  const old = {
    ...design,
    version: 1,
    id: 'old-one',
    areas: [
      { kind: 'band', id: 'low', name: 'Low', from: 0, to: 60 },
      { kind: 'base', id: 'under', name: 'Underside' },
    ],
    blends: [],
    coats: [],
    cup: {
      name: 'Old cup',
      shape: 'straight',
      material: 'steel',
      stations: design.cup.stations.map(({ height }) => ({ height, circumference: 240 })),
      lipStrip: 10,
      volume: null,
    },
  };
  const rawly = async () => {
    await server.store
      .insertInto('design')
      .values({ id: 'old-one', latest: 1, kept_at: '2026-01-01T00:00:00.000Z', removed_at: null })
      .execute();
    await server.store
      .insertInto('revision')
      .values({
        design_id: 'old-one',
        number: 1,
        parent: null,
        document: JSON.stringify(old),
        kept_at: '2026-01-01T00:00:00.000Z',
      })
      .execute();
  };
  const now = {
    version: 2,
    areas: [
      {
        kind: 'band',
        lower: { level: { by: 'foot', mm: 0 }, teeth: null },
        upper: { level: { by: 'foot', mm: 60 } },
        masked: false,
        locked: false,
      },
      { kind: 'base' },
    ],
    cup: { recess: null, handle: null, seam: '', typical: false },
  };
  test('opens as one of this version, and its revision stays as it was written', async () => {
    await rawly();
    expect((await server.ask('GET', '/api/designs/old-one')).body).toMatchObject({ document: now, revision: 1 });
    expect((await server.ask('GET', '/api/designs/old-one/file')).body).toMatchObject({ version: 2, design: now });
    const [row] = await server.store.selectFrom('revision').where('design_id', '=', 'old-one').select('document').execute();
    expect(JSON.parse(row.document)).toEqual(old);
  });
  test('and a save goes on top of it in this version', async () => {
    await rawly();
    const opened = (await server.ask('GET', '/api/designs/old-one')).body as { document: object };
    const { status, body } = await server.ask('PUT', '/api/designs/old-one', {
      parent: 1,
      document: { ...opened.document, name: 'New name' },
    });
    expect({ status, body }).toMatchObject({ status: 200, body: { revision: 2, document: { ...now, name: 'New name' } } });
  });
  test('a file or a draft of that version comes in too', async () => {
    const { status, body } = await server.ask('POST', '/api/designs', { ...old, id: 'drafted' });
    expect({ status, body }).toMatchObject({ status: 201, body: { document: now } });
  });
});
