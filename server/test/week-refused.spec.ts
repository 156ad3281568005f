import { weekDataSchema, WeekSearch, whyNotText, wishOf, type WeekBook, type WeekData } from '@aurantia/core/week';
import { usualMoneyWays, type MoneyWays } from '@aurantia/core/money';
import type { Order } from '@aurantia/core/order';
import { running, type Running } from './memory';

/* What a maker, or a file from elsewhere, may get wrong of orders, week and money: each is told in a sentence, and nothing is lost. */
let server: Running;
beforeAll(async () => (server = await running(undefined, true)));
afterAll(() => server.stop());

const ZONE = 'Europe/Berlin';
const ask = async <Reply>(path: string): Promise<Reply> => (await server.ask('GET', `/api/${path}`)).body as Reply;
const week = () => ask<WeekData>(`week?zone=${ZONE}`);
const orders = () => ask<{ id: string; document: Order; revision: number }[]>('orders');
const money = () => ask<{ document: MoneyWays; revision: number }>('money');
const all = async () => JSON.stringify([await orders(), (await week()).book, await money()]);

/** Asks for what isn't to be had. @returns the sentence it is refused with; everything is as it was */
async function refused(method: 'PUT' | 'POST' | 'GET', path: string, body?: object): Promise<string> {
  const before = await all();
  const reply = await server.ask(method, `/api/${path}`, body);
  expect([reply.status >= 400 && reply.status < 500, reply.status]).toEqual([true, reply.status]);
  expect(await all()).toBe(before);
  const { detail, faults = [] } = reply.body as { detail: string; faults?: { sentence: string }[] };
  return [detail, ...faults.map(({ sentence }) => sentence)].join(' ');
}

describe('an order', () => {
  const changed = async (change: object) => {
    const [{ id, document, revision }] = await orders();
    return refused('PUT', `orders/${id}`, { parent: revision, document: { ...document, ...change } });
  };

  it.each<readonly [string, object, RegExp]>([
    ['of no cups', { cups: 0 }, /One cup at least/],
    ['of half a cup', { cups: 1.5 }, /Cups are whole/],
    ['of more than anybody makes', { cups: 5000 }, /No more than 500 cups/],
    ['at less than nothing', { price: -3 }, /less than nothing/],
    ['due on a day that never comes', { due: { day: '2026-02-30', time: '18:00' } }, /Write the date/],
    ['due at an hour that never comes', { due: { day: '2026-12-05', time: '25:00' } }, /time of day as 18:00/],
    ['in a state nobody knows', { state: 'lost' }, /An order is asked, taken/],
    ['for a name as long as a letter', { who: 'x'.repeat(61) }, /under 60 letters/],
  ])('%s is refused', async (_, change, says) => {
    expect(await changed(change)).toMatch(says);
  });

  it('that another window changed meanwhile isn’t written over', async () => {
    const [{ id, document, revision }] = await orders();
    const { status } = await server.ask('PUT', `/api/orders/${id}`, {
      parent: revision,
      document: { ...document, note: 'first' },
    });
    expect(status).toBe(200);
    expect(await refused('PUT', `orders/${id}`, { parent: revision, document: { ...document, note: 'second' } })).not.toBe('');
    expect((await orders()).find((one) => one.id === id)?.document.note).toBe('first');
  });

  it('of something that isn’t here is never begun', async () => {
    expect(await refused('POST', 'orders/no-such-order/makes')).not.toBe('');
  });
});

describe('a table of orders', () => {
  const told = (text: string) => refused('POST', 'orders/table', { text });

  it.each<readonly [string, string, RegExp]>([
    [
      'a calendar from elsewhere',
      'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nSUMMARY:Fair\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
      /calendar|column|first line/i,
    ],
    ['nothing', '', /column|first line|empty|nothing/i],
    ['a letter', 'Dear maker,\nwould you make me three cups?', /column|first line/i],
  ])('that is %s is told what it should be', async (_, text, says) => {
    expect(await told(text)).toMatch(says);
  });

  it('with wrong lines brings the others in, and names each wrong one by its line', async () => {
    const before = (await orders()).length;
    const lines = [
      'who;design;cups;due',
      'Sorrel;Peat Fire;2;2027-05-01',
      'Sorrel;Peat Fire;none;',
      'Sorrel;Peat Fire;1;soon',
      ';Copper Eaves;1;',
    ];
    const { status, body } = await server.ask('POST', '/api/orders/table', { text: lines.join('\n') });
    expect(status).toBe(200);
    const { came, refused: wrong } = body as { came: number; refused: { line: number; says: string }[] };
    expect([came, wrong.map(({ line }) => line)]).toEqual([2, [3, 4]]);
    expect(wrong.every(({ says }) => says.length > 10)).toBe(true);
    expect((await orders()).length).toBe(before + 2);
  });

  it('of five hundred is planned whole', async () => {
    const lines = Array.from({ length: 500 }, (_, at) => `Guest ${at};Peat Fire;1;`);
    const { body } = await server.ask('POST', '/api/orders/table', { text: ['who;design;cups;due', ...lines].join('\n') });
    expect(body).toMatchObject({ came: 500, refused: [] });
    const { jobs, troubles } = weekDataSchema.parse(await week());
    expect(jobs.filter(({ who }) => who.startsWith('Guest'))).toHaveLength(500);
    expect(troubles).toEqual([]);
    for (const { id, document, revision } of await orders())
      if (document.who.startsWith('Guest'))
        await server.ask('PUT', `/api/orders/${id}`, { parent: revision, document: { ...document, state: 'given up' } });
    expect((await week()).jobs.some(({ who }) => who.startsWith('Guest'))).toBe(false);
  });
});

describe('a week', () => {
  const changed = async (change: (book: WeekBook) => object) => {
    const { book, revision } = await week();
    return refused('PUT', 'week', { parent: revision, document: { ...book, ...change(book) } });
  };
  const hours = (from: string, until: string) => (book: WeekBook) => ({
    means: { ...book.means, people: [{ ...book.means.people[0], hours: Array(7).fill({ from, until }) }] },
  });

  it.each<readonly [string, (book: WeekBook) => object, RegExp]>([
    ['nobody works in', ({ means }) => ({ means: { ...means, people: [] } }), /Somebody has to lay the coats/],
    ['that ends before it began each day', hours('18:00', '07:00'), /ends after it began/],
    ['with days of 25 hours', hours('00:00', '25:00'), /time of day as 07:00/],
    ['with half an arm', ({ means }) => ({ means: { ...means, arms: 1.5 } }), /Arms are whole/],
    ['with fewer arms than none', ({ means }) => ({ means: { ...means, arms: -1 } }), /./],
    ['whose nights freeze', ({ means }) => ({ means: { ...means, nightCelsius: -8 } }), /nothing cures/],
    [
      'away until before one left',
      () => ({
        blocks: [
          { id: 'b', person: null, from: { day: '2026-12-05', time: '10:00' }, until: { day: '2026-12-05', time: '09:00' } },
        ],
      }),
      /ends after it begins/,
    ],
  ])('%s is refused', async (_, change, says) => {
    expect(await changed(change)).toMatch(says);
  });

  it('in a zone that no clock knows isn’t planned', async () => {
    expect(await refused('GET', 'week?zone=Middle/Nowhere')).toMatch(/zone/i);
    expect(await refused('GET', `week/sheet.pdf?zone=${ZONE}&day=tomorrow`)).toMatch(/Write the date/);
  });

  it('gives nobody a calendar of what isn’t planned', async () => {
    expect(await refused('GET', `week/calendar.ics?zone=${ZONE}&person=nobody`)).toMatch(/nothing to put into a calendar/);
  });

  it('without a turner says of each order why it can’t be planned, and how it could', async () => {
    const { book, revision } = await week();
    const without = { ...book, means: { ...book.means, arms: 0 } };
    expect((await server.ask('PUT', '/api/week', { parent: revision, document: without })).status).toBe(200);
    const now = await week();
    const whys = new WeekSearch(wishOf(now, ZONE)).best.jobs.map(({ whyNot }) => whyNot && whyNotText(whyNot));
    expect(whys.length).toBeGreaterThan(4);
    for (const why of whys)
      expect(why).toMatch(/needs \d+ turner arms?, and there is none\. Say how many there are under Hands and arms/);
    expect(await refused('GET', `week/calendar.ics?zone=${ZONE}`)).toMatch(/nothing to put into a calendar/);
    expect((await server.ask('PUT', '/api/week', { parent: now.revision, document: book })).status).toBe(200);
  });
});

describe('an empty workshop', () => {
  it('keeps its first week, and answers everybody meanwhile and afterwards', async () => {
    const empty = await running();
    const { book, revision } = (await empty.ask('GET', `/api/week?zone=${ZONE}`)).body as WeekData;
    const document = { ...book, means: { ...book.means, arms: 6 } };
    const both = await Promise.all([
      empty.ask('PUT', '/api/week', { parent: revision, document }),
      empty.ask('GET', '/api/orders'),
    ]);
    expect(both.map(({ status }) => status)).toEqual([200, 200]);
    expect(((await empty.ask('GET', `/api/week?zone=${ZONE}`)).body as WeekData).book.means.arms).toBe(6);
    await empty.stop();
  });
});

describe('money', () => {
  it.each<readonly [string, Partial<Record<keyof MoneyWays, unknown>>, RegExp]>([
    ['a fee of all of it', { fee: 1 }, /nothing is left/],
    ['a rate of less than nothing', { rate: -1 }, /less than nothing/],
    ['a rate that is no figure', { rate: 'much' }, /is a figure/],
    ['a rounding to nothing', { rounding: 0 }, /Round to 0.01/],
    ['a margin that gives cups away', { margin: -0.1 }, /gives cups away/],
    ['rejects of all', { rejects: 1 }, /find out why/],
    ['a sign that is a word', { sign: 'pounds' }, /under 5 letters/],
  ])('with %s is refused', async (_, change, says) => {
    const { revision } = await money();
    expect(await refused('PUT', 'money', { parent: revision, document: { ...usualMoneyWays, ...change } })).toMatch(says);
  });
});
