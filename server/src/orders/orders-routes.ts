import { designIdSchema, forSpreadsheets } from '@aurantia/core';
import {
  orderSchema,
  ordersCsv,
  readOrders,
  OrdersTableError,
  batchesOf,
  cupsAtATime,
  cupsToBegin,
  type Order,
  type OrderId,
} from '@aurantia/core/order';
import type { FastifyPluginAsyncZod } from 'fastify-type-provider-zod';
import { v7 } from 'uuid';
import * as z from 'zod';
import type { MakeId } from '@aurantia/core/make';
import { asFile } from '../http/handed-over';
import { byId } from '../http/id-param';
import { keptRoutes } from '../http/kept-routes';
import { ProblemError } from '../http/problem';
import type { Memory } from '../memory';

const mentions = z.object({ orders: z.int(), makes: z.int() });
const who = z.string().trim().min(1, 'Say whom.').max(60);

/** Orders: the list, as a table in and out, a person taken away, and from an order to its make. */
export const ordersRoutes: FastifyPluginAsyncZod<Memory> = async (
  app,
  { orders, designs, makes, makeChanges, week, clock, aside, together },
) => {
  keptRoutes(app, orders, orderSchema);

  const named = () => designs.names();

  // What there is to order, by name.
  app.get(
    '/designs',
    { schema: { response: { 200: z.array(z.object({ id: designIdSchema, name: z.string() })) } } },
    async () => [...(await named())],
  );

  app.get('/table.csv', async (_, reply) => {
    const all = (await orders.all()).map(({ document }) => document);
    return reply
      .header(...asFile('orders.csv'))
      .type('text/csv; charset=utf-8')
      .send(forSpreadsheets(ordersCsv(all, await named())));
  });

  app.post(
    '/table',
    {
      schema: {
        body: z.strictObject({ text: z.string().max(2_000_000, 'This table is too long. Split it.') }),
        response: { 200: z.object({ came: z.int(), refused: z.array(z.object({ line: z.int(), says: z.string() })) }) },
      },
    },
    async ({ body }) => {
      try {
        const { orders: read, refused } = readOrders(body.text, await named(), () => v7() as OrderId);
        await together(async (within) => {
          for (const order of read) await within.orders.put(order.id, order, null);
        });
        makeChanges.tell('');
        return { came: read.length, refused: [...refused] };
      } catch (error) {
        if (error instanceof OrdersTableError) throw new ProblemError(422, 'Not read', error.message);
        throw error;
      }
    },
  );

  app.get('/mentions', { schema: { querystring: z.object({ who }), response: { 200: mentions } } }, ({ query }) =>
    orders.mentions(query.who),
  );

  app.post(
    '/forget',
    { config: { for: 'here' }, schema: { body: z.strictObject({ who }), response: { 200: mentions } } },
    async ({ body }) => {
      const found = await orders.forget(body.who);
      makeChanges.tell('');
      return found;
    },
  );

  // The next cups of an order are begun: as many at once as there are arms for, however many are still to come.
  app.post(
    '/:id/makes',
    { schema: { params: byId, response: { 201: z.object({ make: z.string() }) } } },
    async ({ params }, reply) => {
      const { document: order, revision } = await orders.one(params.id);
      const cups = await nextCups(order);
      const id = v7() as MakeId;
      const wish = { id, design: order.design, cups, label: order.who, ...(order.like ? { like: order.like } : {}) };
      const make = await aside.do('make', {
        wish,
        number: await makes.nextNumber(order.design),
        at: new Date(clock.now()).toISOString(),
      });
      await together(async (within) => {
        await within.makes.begin(make);
        await within.orders.put(order.id, { ...order, state: 'taken', makes: [...order.makes, id] }, revision);
      });
      makeChanges.tell(id);
      return reply.code(201).send({ make: id });
    },
  );

  async function nextCups(order: Order): Promise<number> {
    const begun = new Map<MakeId, number>();
    for (const id of order.makes) begun.set(id, await makes.cupsOf(id));
    const left = cupsToBegin(order, (id) => begun.get(id) ?? 0);
    if (left === 0)
      throw new ProblemError(409, 'All begun', 'All cups of this order are begun already. Look at the bench, or order more.');
    const { document } = await week.kept();
    return batchesOf(left, cupsAtATime(document.means.arms))[0];
  }
};
