import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { designFileSchema, settingsSchema, shelfItemSchema } from '@aurantia/core';
import { paletteSchema } from '@aurantia/core/palettes';
import * as z from 'zod';
import { keptCupSchema } from './cups/cups-store';
import type { Memory } from './memory';

const FOLDER = fileURLToPath(new URL('../../demo/', import.meta.url));
const readJson = (name: string): unknown => JSON.parse(readFileSync(`${FOLDER}${name}`, 'utf8'));

/** Fills an empty memory with the workshop “Quince & Ember”; one that has anything in it is left alone. */
export async function fillWithDemo({ designs, shelf, cups, palettes, workshop }: Memory): Promise<void> {
  if ((await shelf.all()).length > 0) return;
  await workshop.setSettings(settingsSchema.parse(readJson('settings.json')));
  await shelf.addMissing(z.array(shelfItemSchema).parse(readJson('shelf.json')));
  for (const palette of z.array(paletteSchema).parse(readJson('palettes.json'))) await palettes.put(palette);
  for (const { id, cup } of z.array(keptCupSchema).parse(readJson('cups.json'))) await cups.put(id, cup);
  for (const name of readdirSync(`${FOLDER}designs`).sort().reverse()) {
    await designs.create(designFileSchema.parse(readJson(`designs/${name}`)).design);
  }
}
