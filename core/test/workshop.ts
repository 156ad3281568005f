import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  designSchema,
  settingsSchema,
  shelfItemSchema,
  type Coat,
  type CoatId,
  type Design,
  type DesignFile,
  type Workshop,
  designFileSchema,
  itemOf,
  planOf,
  type ItemOf,
  type Plan,
  type ShelfItem,
} from '../src';

// As both kinds of module understand it: the campaign draws designs from here too.
const DEMO = fileURLToPath(new URL('../../demo/', import.meta.url));
const json = (name: string): unknown => JSON.parse(readFileSync(join(DEMO, name), 'utf8'));

/** The demo's shelf and settings. */
export const workshop: Workshop = {
  settings: settingsSchema.parse(json('settings.json')),
  shelf: shelfItemSchema.array().parse(json('shelf.json')),
};

export const demoNames = [
  'copper-eaves',
  'apiary-noon',
  'thistle-weave',
  'slate-and-saffron',
  'peat-fire',
  'orchard-frost',
] as const;
export const demoText = (name: (typeof demoNames)[number]): string => readFileSync(join(DEMO, 'designs', `${name}.json`), 'utf8');
export const demoFile = (name: (typeof demoNames)[number]): DesignFile => designFileSchema.parse(JSON.parse(demoText(name)));

/** A glitter of the demo's shelf. */
export function jar(id: string): ItemOf<'glitter'> {
  const item = itemOf(workshop.shelf, id, 'glitter');
  if (!item) throw new Error(`no ${id}`);
  return item;
}

/** A blend of a demo design, by its area's name, as planned. */
export function blendOf(
  name: (typeof demoNames)[number],
  area: string,
  on: readonly ShelfItem[] = workshop.shelf,
): Plan['blends'][number] {
  const { design, settings } = demoFile(name);
  const blend = planOf(design, { shelf: [...on], settings }).blends.find(({ areaName }) => areaName === area);
  if (!blend) throw new Error(`no ${area}`);
  return blend;
}

const cup = {
  name: 'Test cup',
  shape: 'tapered',
  material: 'steel',
  stations: [
    { height: 0, circumference: 220 },
    { height: 180, circumference: 280 },
  ],
  lipStrip: 10,
  volume: 700,
};

/** A two-band design on a cup of its own, with the coats given. */
export function designWith(coats: readonly object[], more: object = {}): Design {
  return designSchema.parse({
    version: 1,
    id: 'test',
    name: 'Test',
    cup,
    areas: [
      { kind: 'band', id: 'low', name: 'Low', from: 0, to: 80 },
      { kind: 'band', id: 'high', name: 'High', from: 80, to: 170 },
    ],
    blends: [
      { area: 'low', parts: [{ item: 'penny-rain', ml: 6 }] },
      {
        area: 'high',
        parts: [
          { item: 'rust-road', ml: 4 },
          { item: 'lamp-oil', ml: 2 },
        ],
      },
    ],
    coats: coats.map((coat, index) => ({ id: `coat-${index}`, ...coat })),
    ...more,
  });
}

export const coat = {
  base: { kind: 'base', on: 'all', paint: 'brick-red', passes: 2 },
  wipe: { kind: 'glue', on: 'all', glue: 'resin-wipe', resin: 'slow-1-1' },
  brush: { kind: 'glue', on: 'all', glue: 'brush-on', resin: null },
  glitter: { kind: 'glitter', on: 'all' },
  press: { kind: 'press', on: 'all' },
  seal: { kind: 'seal', on: 'all', passes: 1 },
  resin: { kind: 'resin', on: 'all', resin: 'slow-1-1', thickness: 0.45 },
  ink: { kind: 'ink', on: 'all', resin: 'slow-1-1', ink: 'tarn', thickness: 0.35, load: 1 },
  sand: { kind: 'sand' },
  rest: { kind: 'rest', hours: 72 },
} as const;

export const ids = (design: Design): readonly CoatId[] => design.coats.map((one: Coat) => one.id);
