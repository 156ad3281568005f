import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cupSchema, designFileSchema, settingsSchema, shelfItemSchema } from '@aurantia/core';
import { moneyWaysSchema } from '@aurantia/core/money';
import { orderSchema } from '@aurantia/core/order';
import { paletteSchema } from '@aurantia/core/palette';
import { weekBookSchema } from '@aurantia/core/week';
import { addDays, format } from 'date-fns';
import * as z from 'zod';
import type { Memory } from './memory';
import { PROGRAM_FOLDER } from './program-folder';

const cupOfFile = z.strictObject({ id: z.string().min(1).max(64), cup: cupSchema });
const FOLDER = join(PROGRAM_FOLDER, 'demo');
const readJson = (name: string): unknown => JSON.parse(readFileSync(join(FOLDER, name), 'utf8'));

/** Fills an empty memory with the workshop “Quince & Ember”; one that has anything in it is left alone. */
export const fillWithDemo = (memory: Memory): Promise<void> => memory.together(fill);

/** An order of the demo: due so many days after the day it is filled on. */
const orderOfFile = orderSchema
  .omit({ due: true })
  .extend({ dueIn: z.int(), at: z.string() })
  .transform(({ dueIn, at, ...order }) => ({
    ...order,
    due: { day: format(addDays(new Date(), dueIn), 'yyyy-MM-dd'), time: at },
  }));

async function fill({ designs, shelf, cups, palettes, workshop, orders, week, money }: Memory): Promise<void> {
  if ((await shelf.all()).length > 0) return;
  await workshop.setSettings(settingsSchema.parse(readJson('settings.json')), (await workshop.kept()).revision);
  await shelf.addMissing(z.array(shelfItemSchema).parse(readJson('shelf.json')));
  for (const palette of z.array(paletteSchema).parse(readJson('palettes.json'))) await palettes.put(palette.id, palette, null);
  for (const { id, cup } of z.array(cupOfFile).parse(readJson('cups.json'))) await cups.put(id, cup, null);
  for (const name of readdirSync(join(FOLDER, 'designs')).sort().reverse()) {
    await designs.create(designFileSchema.parse(readJson(`designs/${name}`)).design);
  }
  await week.keep(weekBookSchema.parse(readJson('week.json')), 0);
  await money.keep(moneyWaysSchema.parse(readJson('money.json')), 0);
  for (const order of z.array(orderOfFile).parse(readJson('orders.json')))
    await orders.put(order.id, orderSchema.parse(order), null);
}
