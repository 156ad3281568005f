import * as fc from 'fast-check';
import type { DesignId } from '../src';
import { MOST_CUPS_A_MAKE, type MakeId } from '../src/make';
import {
  batchesOf,
  cupsAtATime,
  cupsToBegin,
  jobOfOrder,
  orderOfJob,
  ordersCsv,
  orderSchema,
  readOrders,
  withoutName,
  withoutNameIn,
  type Order,
  type OrderId,
} from '../src/order';

const designs = [
  { id: 'one' as DesignId, name: 'Copper Eaves' },
  { id: 'two' as DesignId, name: '=Odd, "name"' },
];
let made = 0;
const newId = () => `o${(made += 1)}` as OrderId;

const words = fc.string({ maxLength: 40, unit: 'grapheme' }).map((text) =>
  text
    .replaceAll(/[\r\n]/g, ' ')
    .replaceAll('\u0000', ' ')
    .trim(),
);
const order: fc.Arbitrary<Order> = fc.record({
  id: fc.constant('x' as OrderId),
  who: words,
  design: fc.constantFrom(...designs.map(({ id }) => id)),
  like: fc.constant(null),
  cups: fc.integer({ min: 1, max: 500 }),
  due: fc.option(fc.record({ day: fc.constantFrom('2026-12-05', '2027-02-28'), time: fc.constantFrom('08:00', '23:59') })),
  price: fc.option(fc.integer({ min: 0, max: 99999 }).map((cents) => cents / 100)),
  state: fc.constantFrom('asked', 'taken', 'ready', 'handed over', 'given up'),
  note: words,
  makes: fc.constant([]),
});

it('orders come back from a table as they went, whatever stands in them', () => {
  fc.assert(
    fc.property(fc.array(order, { minLength: 1, maxLength: 5 }), (orders) => {
      const read = readOrders(ordersCsv(orders, designs), designs, newId);
      expect(read.refused).toEqual([]);
      const plain = (all: readonly Order[]) => all.map((one) => ({ ...one, id: '' }));
      expect(plain(read.orders)).toEqual(plain(orders.map((one) => orderSchema.parse(one))));
    }),
  );
});

it('a table with other columns, in another order, is read; what is wrong with a line is said', () => {
  const { orders, refused } = readOrders(
    'Cups;Design;Colour;Price\n2;copper eaves;blue;12,50\n0;Copper Eaves;;\n1;Copper Eaves;;much\n1;;;\n',
    designs,
    newId,
  );
  expect(orders).toEqual([expect.objectContaining({ cups: 2, price: 12.5, who: '', due: null, state: 'taken' })]);
  expect(refused.map(({ line, says }) => `${line}: ${says}`)).toEqual([
    '3: One cup at least.',
    '4: A price is a figure, as 42 or 42.50.',
    '5: There is no design called “”. Name it as it is called here.',
  ]);
});

it.each([
  ['nothing at all', ''],
  ['no table', 'hello'],
  ['bytes', 'who,design\u0000'],
  ['a calendar', 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nEND:VCALENDAR\r\n'],
])('%s is refused with what to do', (_, text) => {
  expect(() => readOrders(text, designs, newId)).toThrow(/first line names the columns|as CSV|\(CSV\)/);
});

it('cups are parted evenly over as many as are laid at once', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 500 }), fc.integer({ min: 0, max: 30 }), (cups, most) => {
      const batches = batchesOf(cups, most);
      expect(batches.reduce((sum, one) => sum + one, 0)).toBe(cups);
      expect(Math.max(...batches)).toBeLessThanOrEqual(Math.max(1, most));
      expect(Math.max(...batches) - Math.min(...batches)).toBeLessThanOrEqual(1);
      expect(batches).toHaveLength(Math.ceil(cups / Math.max(1, most)));
    }),
  );
});

it('as many are laid at once as turn, one where nothing turns, and never more than hands can lay', () => {
  expect([0, 1, 6, 500].map(cupsAtATime)).toEqual([1, 1, 6, MOST_CUPS_A_MAKE]);
});

it('what is still to be begun of an order is what its makes have not; one that was given up has none', () => {
  const cups: Readonly<Record<string, number>> = { first: 2, givenUp: 0, second: 5 };
  const left = (...makes: string[]) => cupsToBegin({ cups: 6, makes: makes as MakeId[] }, (make) => cups[make] ?? 0);
  expect([left(), left('first'), left('first', 'givenUp'), left('first', 'second')]).toEqual([6, 4, 4, 0]);
});

it('a job tells whose it is, whatever an order is called; what is no order’s tells so', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), fc.nat({ max: 500 }), (order, at) => {
      fc.pre(!order.includes('\n'));
      expect(orderOfJob(jobOfOrder(order as OrderId, at))).toEqual({ order, at });
    }),
  );
  expect(orderOfJob('a-make')).toBeNull();
  expect(orderOfJob('a/b')).toBeNull();
});

it('a name is taken away as a word of its own, in any letters, and nothing else with it', () => {
  expect(withoutName('For ROSE; rose’s cup. Rosemary stays. Aunt  Rose too', 'Rose')).toBe(
    'For someone; someone’s cup. Rosemary stays. Aunt  someone too',
  );
  expect(withoutName('Łucja i ŁUCJA', 'łucja')).toBe('someone i someone');
  expect(withoutName('a+b (c)', 'a+b')).toBe('someone (c)');
  expect(withoutName('as it is', ' ')).toBe('as it is');
  expect(withoutNameIn({ text: 'Rose', key: 'Rose', all: [{ text: 'no Rose' }] }, 'rose', ['text'])).toEqual({
    text: 'someone',
    key: 'Rose',
    all: [{ text: 'no someone' }],
  });
});
