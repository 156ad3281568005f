import ICAL from 'ical.js';
import { costPerMl, type ShelfItem } from '@aurantia/core';
import type { Make } from '@aurantia/core/make';
import { realCost, usualMoneyWays } from '@aurantia/core/money';
import type { Order } from '@aurantia/core/order';
import { faultsOfWeek, placedIn, WeekSearch, wishOf, type WeekBook, type WeekData } from '@aurantia/core/week';
import { makesOf, type Logged } from './make-writing';
import { running, type Running } from './memory';

let server: Running;
beforeEach(async () => (server = await running(undefined, true)));
afterEach(() => server.stop());

const { begin, write } = makesOf(() => server);
const ZONE = 'Europe/Berlin';
const data = async (): Promise<WeekData> => (await server.ask('GET', `/api/week?zone=${ZONE}`)).body;
const orders = async (): Promise<readonly { id: string; document: Order; revision: number }[]> =>
  (await server.ask('GET', '/api/orders')).body;
const order = async (who: string) => (await orders()).find(({ document }) => document.who === who) ?? (await orders())[0];

describe('the week of the demo', () => {
  it('has a job for each order, is planned in time and says what it takes of each jar', async () => {
    const week = await data();
    expect(week.jobs.map(({ who, cups }) => [who, cups])).toEqual([
      ['Aunt Fen', 1],
      ['Lantern fair', 3],
      ['Tilly', 2],
      ['The baker', 1],
      ['Juno', 1],
    ]);
    const { best } = new WeekSearch(wishOf(week, ZONE));
    expect(faultsOfWeek(wishOf(week, ZONE), best)).toEqual([]);
    expect(best.worth).toMatchObject({ unplanned: 0, late: 0 });
    expect(week.takes.every(({ amount }) => amount > 0)).toBe(true);
    expect(new Set(week.takes.map(({ job }) => job)).size).toBe(5);
  });

  it('goes by its order’s make once that is begun, by what is left of it', async () => {
    const fen = await order('Aunt Fen');
    const { status, body } = await server.ask('POST', `/api/orders/${fen.id}/makes`);
    expect(status).toBe(201);
    const id = (body as { make: string }).make;
    const { make } = (await server.ask('GET', `/api/makes/${id}`)).body as { make: Make };
    expect(make).toMatchObject({ label: 'Aunt Fen', cups: 1 });
    const before = (await data()).jobs.find(({ who }) => who === 'Aunt Fen');
    await write(id, 0, { what: 'begun', coat: make.steps[0].coat });
    const under = await data();
    expect(under.jobs.find(({ who }) => who === 'Aunt Fen')?.begun).not.toBeNull();
    // A coat that is under way for half an hour is planned on, like all the others.
    const later = wishOf(under, ZONE, under.now + 30 * 60_000);
    expect(new WeekSearch(later).best.jobs.map(({ job, whyNot }) => [job.who, whyNot])).toEqual(
      under.jobs.map(({ who }) => [who, null]),
    );
    await write(id, 1, { what: 'done', coat: make.steps[0].coat });
    const after = (await data()).jobs.find(({ who }) => who === 'Aunt Fen');
    // The same job, so that what is pinned of it stays pinned.
    expect(after?.id).toBe(before?.id);
    expect(after?.works.length).toBe((before?.works.length ?? 0) - 1);
    expect((await server.ask('POST', `/api/orders/${fen.id}/makes`)).status).toBe(409);
  });

  it('counts the cups of a make that was given up as still to come', async () => {
    const fen = await order('Aunt Fen');
    const { make } = (await server.ask('POST', `/api/orders/${fen.id}/makes`)).body as { make: string };
    await write(make, 0, { what: 'given up', why: 'dropped it' });
    const own = (await data()).jobs.filter(({ who }) => who === 'Aunt Fen');
    expect(own).toHaveLength(1);
    expect(own[0].id).toBe(`${fen.id}/1`);
  });

  it('parts what has more cups than there are arms, and begins as many at once', async () => {
    const fen = await order('Aunt Fen');
    await server.ask('PUT', `/api/orders/${fen.id}`, { parent: fen.revision, document: { ...fen.document, cups: 9 } });
    expect((await data()).jobs.filter(({ who }) => who === 'Aunt Fen').map(({ cups }) => cups)).toEqual([3, 3, 3]);
    const { make } = (await server.ask('POST', `/api/orders/${fen.id}/makes`)).body as { make: string };
    expect(((await server.ask('GET', `/api/makes/${make}`)).body as { make: Make }).make.cups).toBe(3);
    expect((await data()).jobs.filter(({ who }) => who === 'Aunt Fen')).toHaveLength(3);
  });

  it('makes again what an earlier make was, whatever became of the design since', async () => {
    const first = await begin('copper-eaves');
    const design = (await server.ask('GET', '/api/designs/copper-eaves')).body as { document: object; revision: number };
    await server.ask('PUT', '/api/designs/copper-eaves', {
      parent: design.revision,
      document: { ...design.document, name: 'Other' },
    });
    const fen = await order('Aunt Fen');
    await server.ask('PUT', `/api/orders/${fen.id}`, {
      parent: fen.revision,
      document: { ...fen.document, like: first.make.id },
    });
    expect((await data()).jobs.find(({ who }) => who === 'Aunt Fen')?.name).toBe('Copper Eaves');
    const { make } = (await server.ask('POST', `/api/orders/${fen.id}/makes`)).body as { make: string };
    expect(((await server.ask('GET', `/api/makes/${make}`)).body as { make: Make }).make.design.name).toBe('Copper Eaves');
  });

  it('tells an order whose design isn’t here, and plans the others; one that was removed can still be made', async () => {
    await server.ask('DELETE', '/api/designs/peat-fire');
    const fen = await order('Aunt Fen');
    await server.ask('PUT', `/api/orders/${fen.id}`, { parent: fen.revision, document: { ...fen.document, design: 'none' } });
    const { jobs, troubles } = await data();
    expect(jobs).toHaveLength(4);
    expect(troubles).toEqual([expect.objectContaining({ name: 'Aunt Fen', says: expect.stringMatching(/design/) as string })]);
  });

  it('is kept with its pins; a window that knew an older one overwrites nothing', async () => {
    const { book, revision } = await data();
    const keep = (document: unknown, parent: number) => server.ask('PUT', '/api/week', { document, parent });
    const arms: WeekBook = { ...book, means: { ...book.means, arms: 6 } };
    expect((await keep(arms, revision)).status).toBe(200);
    expect((await keep(book, revision)).status).toBe(409);
    expect((await data()).book.means.arms).toBe(6);
    const late = { ...book.means.people[0], hours: [{ from: '18:00', until: '08:00' }, null, null, null, null, null, null] };
    const refused = await keep({ ...book, means: { ...book.means, people: [late] } }, revision + 1);
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringMatching(/nobody works past midnight/)]);
  });
});

describe('outside the program', () => {
  it('the calendar is read by another parser with the same moments, and read again moves what is there', async () => {
    const week = await data();
    const { best } = new WeekSearch(wishOf(week, ZONE), []);
    const placed = placedIn(best);
    await server.ask('PUT', '/api/week', { parent: week.revision, document: { ...week.book, placed } });
    const read = async (rest = '') => {
      const { status, body } = await server.ask('GET', `/api/week/calendar.ics?zone=${ZONE}${rest}`);
      expect(status).toBe(200);
      const calendar = new ICAL.Component(ICAL.parse(body) as never);
      return calendar.getAllSubcomponents('vevent').map((component) => {
        const event = new ICAL.Event(component);
        return {
          uid: event.uid,
          at: event.startDate.toJSDate().getTime() / 60_000,
          until: event.endDate.toJSDate().getTime() / 60_000,
          sequence: event.sequence,
          alarms: component.getAllSubcomponents('valarm').length,
        };
      });
    };
    const all = await read();
    const hands = best.jobs.flatMap(({ job, works }) => works.filter(({ work }) => work.hands > 0).map((one) => ({ job, one })));
    expect(all).toHaveLength(hands.length + best.jobs.length);
    for (const { job, one } of hands)
      expect(all).toContainEqual(
        expect.objectContaining({ uid: `${job.id}/${one.work.key}@aurantia`, at: one.at, until: one.laid }),
      );
    expect(all.every(({ alarms, uid }) => alarms > 0 || uid.endsWith('/done@aurantia'))).toBe(true);
    const one = await read(`&job=${best.jobs[0].job.id}`);
    expect(one.length).toBe(best.jobs[0].works.filter(({ work }) => work.hands > 0).length + 1);
    const ember = await read('&person=ember');
    expect(ember.length).toBe(hands.filter(({ one: { person } }) => person === 'ember').length);
    server.clock.move(5 * 60_000);
    const again = await read();
    expect(again.filter(({ uid }) => all.some((before) => before.uid === uid)).length).toBeGreaterThan(0.9 * all.length);
    expect(again.every(({ sequence }) => sequence > all[0].sequence)).toBe(true);
    expect((await server.ask('GET', `/api/week/calendar.ics?zone=${ZONE}&job=none`)).status).toBe(422);
    expect((await server.ask('GET', '/api/week/calendar.ics?zone=Nowhere/Near')).status).toBe(422);
  });

  it('a day is printed, also an empty one', async () => {
    const { now } = await data();
    for (const day of [new Date(now).toISOString().slice(0, 10), '2030-01-01']) {
      const { status, body } = await server.ask('GET', `/api/week/sheet.pdf?zone=${ZONE}&day=${day}`);
      expect([status, String(body).startsWith('%PDF-')]).toEqual([200, true]);
    }
  });

  it('orders go out as a table and come in again; lines that are none are named', async () => {
    const { body } = await server.ask('GET', '/api/orders/table.csv');
    const table = String(body);
    expect(table).toMatch(/^\ufeffwho,design,cups,due,at,price,state,note\nAunt Fen,Copper Eaves,1,/);
    const more = `${table}Nobody,No such design,1,,,,,\n=HYPERLINK(1),Peat Fire,0,,,,,\nRó,peat fire,2,2030-01-01,,"12,50",,\n`;
    const brought = await server.ask('POST', '/api/orders/table', { text: more });
    expect(brought.body).toMatchObject({
      came: 6,
      refused: [
        { line: 7, says: expect.stringMatching(/no design called “No such design”/) as string },
        { line: 8, says: 'One cup at least.' },
      ],
    });
    expect((await order('Ró')).document).toMatchObject({
      cups: 2,
      price: 12.5,
      due: { day: '2030-01-01', time: '18:00' },
      state: 'taken',
    });
    expect((await server.ask('POST', '/api/orders/table', { text: 'no table' })).status).toBe(422);
  });
});

test('one press removes a person from orders, makes and logs; what was made stays', async () => {
  const fen = await order('Aunt Fen');
  const { make } = (await server.ask('POST', `/api/orders/${fen.id}/makes`)).body as { make: string };
  await write(make, 0, { what: 'note', coat: null, text: 'AUNT FEN wants it browner; aunt fenella doesn’t', next: true });
  await begin('copper-eaves');
  expect((await server.ask('GET', '/api/orders/mentions?who=aunt fen')).body).toEqual({ orders: 1, makes: 2 });
  expect((await server.ask('POST', '/api/orders/forget', { who: 'Aunt Fen' })).body).toEqual({ orders: 1, makes: 2 });
  const whole = JSON.stringify([
    await server.store.selectFrom('cup_order').selectAll().execute(),
    await server.store.selectFrom('make').selectAll().execute(),
    await server.store.selectFrom('make_entry').selectAll().execute(),
    await server.store.selectFrom('make_words').selectAll().execute(),
  ]).toLowerCase();
  expect(whole).not.toMatch(/aunt fen\b/);
  expect(whole).toContain('aunt fenella');
  expect(((await server.ask('GET', `/api/makes/${make}`)).body as { make: Make }).make.label).toBe('someone');
  // What is final is final again.
  await expect(server.store.updateTable('make_entry').set({ document: '{}' }).execute()).rejects.toThrow(/never changes/);
});

test('the money is kept, goes by the logbook for rejects, and refuses a fee that leaves nothing', async () => {
  const { body } = await server.ask('GET', '/api/money');
  const { document, revision, log } = body as { document: object; revision: number; log: object };
  expect(log).toEqual({ made: 0, failed: 0 });
  const refused = await server.ask('PUT', '/api/money', { parent: revision, document: { ...document, fee: 1 } });
  expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringMatching(/all fee nothing is left/)]);
  expect((await server.ask('PUT', '/api/money', { parent: revision, document: { ...document, rate: 20 } })).status).toBe(200);
  const { make } = await begin('copper-eaves', { cups: 3 });
  await write(make.id, 0, { what: 'given up', why: 'ran' });
  expect((await server.ask('GET', '/api/money')).body).toMatchObject({ document: { rate: 20 }, log: { made: 0, failed: 3 } });
});

test('orders, week and money are in a backup, and come back with it', async () => {
  const before = await orders();
  const zip = (await server.app.inject({ method: 'GET', url: '/api/backups/now.zip', headers: { host: '127.0.0.1:4310' } }))
    .rawPayload;
  for (const { id } of before) await server.ask('DELETE', `/api/orders/${id}`);
  const { book, revision } = await data();
  await server.ask('PUT', '/api/week', { parent: revision, document: { ...book, means: { ...book.means, arms: 9 } } });
  const restored = await server.app.inject({
    method: 'POST',
    url: '/api/backups/restore',
    payload: zip,
    headers: { host: '127.0.0.1:4310', 'content-type': 'application/zip' },
  });
  expect(restored.statusCode).toBe(200);
  expect(await orders()).toEqual(before);
  expect((await data()).book.means.arms).toBe(4);
});

test('a make costs its ledger’s own entries times what was paid, to the cent', async () => {
  const { make } = await begin('peat-fire', { cups: 2 });
  let after = 0;
  for (const { coat, amounts } of make.steps) {
    // Poured otherwise than planned, as at any bench.
    const poured = Object.fromEntries(amounts.map(({ key, amount }) => [key, Math.round(amount * 11) / 10]));
    expect((await write(make.id, after, { what: 'done', coat, poured })).status).toBe(200);
    after += 1;
  }
  const glitter = make.steps.find(({ flakes }) => flakes !== null);
  const place = glitter?.flakes?.pours[0].place ?? '';
  expect((await write(make.id, after, { what: 'kept', coat: glitter?.coat, place, ml: 0.5 })).status).toBe(200);
  const { entries } = (await server.ask('GET', `/api/makes/${make.id}`)).body as Logged;
  const shelf = ((await server.ask('GET', '/api/shelf')).body as { document: ShelfItem }[]).map(({ document }) => document);
  const cost = realCost(make, entries, { ways: usualMoneyWays, shelf, failing: 0 });
  let [ledger, told, jars] = [0, 0, 0];
  for (const jar of shelf.filter(({ left }) => left !== null)) {
    const { body } = await server.ask('GET', `/api/shelf/${jar.id}/ledger`);
    const own = (body as { change: number | null; why: string }[]).filter(({ why }) => why.startsWith('Peat Fire, make 1'));
    if (own.length === 0) continue;
    jars += 1;
    ledger -= own.reduce((sum, { change }) => sum + (change ?? 0), 0) * (costPerMl(jar) ?? NaN);
    told += cost.lines.filter(({ item }) => item === jar.id).reduce((sum, line) => sum + (line.cost ?? NaN), 0);
  }
  // What was caught is stock of its own, worth what its parts were.
  expect(shelf.some(({ name }) => name.startsWith('Leftover of Peat Fire'))).toBe(true);
  expect(jars).toBeGreaterThan(6);
  expect(told).toBeCloseTo(ledger, 6);
});
