import { randomStream, type Design, type History } from '@aurantia/core';
import { thinned, type KeptAt } from '../src/designs/thinning';
import { demoFile, running, type Running } from './memory';

const MINUTE = 60_000;
const at = (minutes: number): string => new Date(Date.UTC(2026, 10, 1) + minutes * MINUTE).toISOString();
const listed = (...minutes: number[]): KeptAt[] => minutes.map((minute, i) => ({ number: i + 1, keptAt: at(minute) }));
const stay = (revisions: readonly KeptAt[], now: string): readonly number[] => {
  const gone = new Set(thinned(revisions, new Date(now)));
  return revisions.filter(({ number }) => !gone.has(number)).map(({ number }) => number);
};

describe('what stays of many revisions', () => {
  const everyHalfMinute = listed(...Array.from({ length: 241 }, (_, i) => i / 2));
  test('of the sitting that goes on one every ten minutes, the first and the newest', () => {
    expect(stay(everyHalfMinute, at(120))).toEqual([1, 21, 41, 61, 81, 101, 121, 141, 161, 181, 201, 221, 241]);
  });
  test('of one that is over one an hour and its end; long after, its end', () => {
    const later = [...everyHalfMinute, { number: 242, keptAt: at(600) }];
    expect(stay(later, at(600))).toEqual([1, 121, 241, 242]);
    const muchLater = [...everyHalfMinute, { number: 242, keptAt: at(60 * 24 * 60) }];
    expect(stay(muchLater, at(60 * 24 * 60))).toEqual([1, 241, 242]);
  });
  test('whenever saves come, the first, the newest and the end of every sitting stay, and thinning again takes no more', () => {
    const random = randomStream(11);
    for (let round = 0; round < 200; round += 1) {
      let minute = 0;
      const revisions = listed(
        ...Array.from({ length: 60 }, () => (minute += random() < 0.1 ? 31 + random() * 3000 : random() * 12)),
      );
      const now = at(minute + random() * 100);
      const left = stay(revisions, now);
      const ends = revisions.filter(
        ({ keptAt }, i) => i === 59 || Date.parse(revisions[i + 1].keptAt) - Date.parse(keptAt) > 30 * MINUTE,
      );
      expect(left).toEqual(expect.arrayContaining([1, 60, ...ends.map(({ number }) => number)]));
      expect(
        stay(
          revisions.filter(({ number }) => left.includes(number)),
          now,
        ),
      ).toEqual(left);
    }
  });
});

describe('the history of a design', () => {
  let server: Running;
  const { design, shelf } = demoFile('peat-fire');
  beforeEach(async () => {
    server = await running();
    await server.ask('POST', '/api/designs/import', demoFile('peat-fire'));
  });
  afterEach(() => server.stop());
  const save = async (parent: number, edit: (design: Design) => Design) => {
    const { body } = await server.ask('GET', `/api/designs/${design.id}`);
    return server.ask('PUT', `/api/designs/${design.id}`, { parent, document: edit((body as { document: Design }).document) });
  };
  const history = async (query = ''): Promise<History> =>
    (await server.ask('GET', `/api/designs/${design.id}/history${query}`)).body;
  /** Revisions as if they had been kept so many minutes ago. */
  const aged = async (...ages: number[]) => {
    for (const [i, age] of ages.entries())
      await server.store
        .insertInto('revision')
        .values({
          design_id: design.id,
          number: 100 + i,
          parent: null,
          document: JSON.stringify({ ...design, name: `Aged ${i}` }),
          kept_at: new Date(Date.now() - age * MINUTE).toISOString(),
        })
        .execute();
    await server.store
      .updateTable('design')
      .set({ latest: 99 + ages.length })
      .execute();
  };

  test('says what changed in each, newest first, and gives every one whole', async () => {
    const jar = shelf.find(({ id }) => id === design.blends[0].parts[0].item);
    await save(1, (one) => ({ ...one, name: 'Peat Glow' }));
    await save(2, (one) => ({
      ...one,
      blends: one.blends.map((blend, i) =>
        i > 0 ? blend : { ...blend, parts: [{ ...blend.parts[0], ml: 40 }, ...blend.parts.slice(1)] },
      ),
    }));
    const { revisions, more } = await history();
    expect(more).toBe(false);
    expect(revisions.map(({ revision }) => revision)).toEqual([3, 1]);
    expect(revisions[0].changes?.join(' ')).toContain(`${jar?.name} `);
    expect(revisions[0].changes?.join(' ')).toMatch(/Called “Peat Glow” instead of “Peat Fire”.*→ 40\.0 ml.*All glitter/);
    expect(revisions[1].changes).toEqual([]);
    const { body } = await server.ask('GET', `/api/designs/${design.id}/revisions/1`);
    expect(body).toMatchObject({ revision: 1, document: design });
  });
  test('a window that began on a revision thinned away since is told of the newest all the same', async () => {
    await save(1, (one) => ({ ...one, name: 'Two' }));
    await save(2, (one) => ({ ...one, name: 'Three' }));
    expect(await save(2, (one) => ({ ...one, name: 'Stale' }))).toMatchObject({
      status: 409,
      body: { latest: { revision: 3, document: { name: 'Three' } } },
    });
  });
  test('what one window saved under another’s hands stays, whichever goes on', async () => {
    await save(1, (one) => ({ ...one, name: 'Theirs' }));
    expect((await save(1, (one) => ({ ...one, name: 'Mine' }))).status).toBe(409);
    await save(2, (one) => ({ ...one, name: 'Mine' }));
    await save(3, (one) => ({ ...one, name: 'Mine still' }));
    expect((await history()).revisions.map(({ revision }) => revision)).toEqual([4, 2, 1]);
    const { body } = await server.ask('GET', `/api/designs/${design.id}/revisions/2`);
    expect(body).toMatchObject({ document: { name: 'Theirs' } });
  });
  test('a save thins what lies behind it; pages of what stayed follow on each other', async () => {
    await aged(300, 299, 298, 240, 200, 199, 150, 3, 2, 1);
    await save(109, (one) => ({ ...one, name: 'Now' }));
    const { revisions } = await history();
    expect(revisions.length).toBeLessThan(10);
    const first = await history('?limit=2');
    const second = await history('?from=2&limit=100');
    expect(first.more).toBe(true);
    expect([...first.revisions, ...second.revisions].map(({ revision }) => revision)).toEqual(
      revisions.map(({ revision }) => revision),
    );
    expect(first.revisions.map(({ changes }) => changes)).toEqual(revisions.slice(0, 2).map(({ changes }) => changes));
  });
});
