import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cupSchema, designFileSchema, settingsSchema, shelfItemSchema } from '@aurantia/core';
import { paletteSchema } from '@aurantia/core/palette';
import * as z from 'zod';
import type { Memory } from './memory';
import { PROGRAM_FOLDER } from './program-folder';

const cupOfFile = z.strictObject({ id: z.string().min(1).max(64), cup: cupSchema });
const FOLDER = join(PROGRAM_FOLDER, 'demo');
const readJson = (name: string): unknown => JSON.parse(readFileSync(join(FOLDER, name), 'utf8'));

/** Fills an empty memory with the workshop “Quince & Ember”; one that has anything in it is left alone. */
export const fillWithDemo = (memory: Memory): Promise<void> => memory.together(fill);

async function fill({ designs, shelf, cups, palettes, workshop }: Memory): Promise<void> {
  if ((await shelf.all()).length > 0) return;
  await workshop.setSettings(settingsSchema.parse(readJson('settings.json')), (await workshop.kept()).revision);
  await shelf.addMissing(z.array(shelfItemSchema).parse(readJson('shelf.json')));
  for (const palette of z.array(paletteSchema).parse(readJson('palettes.json'))) await palettes.put(palette.id, palette, null);
  for (const { id, cup } of z.array(cupOfFile).parse(readJson('cups.json'))) await cups.put(id, cup, null);
  for (const name of readdirSync(join(FOLDER, 'designs')).sort().reverse()) {
    await designs.create(designFileSchema.parse(readJson(`designs/${name}`)).design);
  }
}
