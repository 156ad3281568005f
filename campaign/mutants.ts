import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { metricUnits, planOf, readDesignFile, readMeasure, shelfItemSchema } from '@aurantia/core';
import { readCups } from '@aurantia/core/cups-file';
import { outlineFromSvg } from '@aurantia/core/outline-file';
import { paletteCsv, paletteJson, paletteSchema, readPalette, type PaletteId } from '@aurantia/core/palette';
import { guessedMapping, itemsOfTable, readShelfTable, shelfCsv, TableError } from '@aurantia/core/shelf-table';
import type { FastifyInstance } from 'fastify';
import * as z from 'zod';
import { createApp } from '../server/src/app';
import { BackupError, readBackup } from '../server/src/backup/backup-file';
import { writeBackup } from '../server/src/backup/write-backup';
import { fillWithDemo } from '../server/src/demo';
import { memoryOf } from '../server/src/memory';
import { openStore } from '../server/src/store/open-store';
import { mutated, mutatedBytes } from './mutate';
import { count, fault, type Part } from './report';

const DEMO = join(import.meta.dirname, '..', 'demo');
const text = (name: string): string => readFileSync(join(DEMO, name), 'utf8');
const designs = readdirSync(join(DEMO, 'designs')).map((name) => text(join('designs', name)));
const shelf = shelfItemSchema.array().parse(JSON.parse(text('shelf.json')));
const palettes = z.array(paletteSchema).parse(JSON.parse(text('palettes.json')));
const svgs = [
  '<svg viewBox="0 0 10 10"><g transform="rotate(20)"><path d="M0 0C3 1 7 1 10 0L10 10H0Z"/><circle cx="5" cy="5" r="2"/></g></svg>',
  '<svg><polygon points="0,0 10,0 5,9"/><rect width="3" height="4" transform="scale(2)"/></svg>',
];

/** How long reading and planning one file may take, ms: what takes longer hangs the program. */
const PATIENCE = 5000;

interface Reader {
  readonly name: string;
  read(): unknown;
}

const given = <Value>(of: readonly Value[], random: () => number): Value => of[Math.floor(random() * of.length)];

/** A file of some kind, spoilt somehow, into the reader it is for: it is read or refused in words, soon, and never throws. */
export function mutantIntoReaders(part: Part, random: () => number): void {
  const bad = (source: string) => mutated(source, random);
  const readers: readonly Reader[] = [
    {
      name: 'design file',
      read: () => {
        const read = readDesignFile(bad(given(designs, random)));
        if (!read.ok) return read.faults.length;
        const { design, settings, shelf: jars } = read.file;
        return planOf(design, { settings, shelf: jars });
      },
    },
    {
      name: 'list of cups',
      read: () =>
        readCups(bad(given([text('cups.json'), 'name,kind,round_1_mm,height_2_mm,round_2_mm\nX,tapered,220,200,280\n'], random))),
    },
    {
      name: 'palette',
      read: () =>
        readPalette(
          bad(
            given(
              palettes.flatMap((one) => [paletteJson(one), paletteCsv(one)]),
              random,
            ),
          ),
          'x' as PaletteId,
          'x.csv',
        ),
    },
    { name: 'outline', read: () => outlineFromSvg(bad(given(svgs, random)), 'x.svg') },
    {
      name: 'shelf table',
      read: () => {
        const table = readShelfTable(bad(shelfCsv(shelf.slice(0, 6))));
        return itemsOfTable(table, guessedMapping(table.headings), shelf, () => 'new');
      },
    },
    {
      name: 'typed figure',
      read: () =>
        readMeasure(bad('9 3/8 in'), given(['length', 'ml', 'temperature', 'percent', 'plain'] as const, random), metricUnits),
    },
  ];
  const reader = given(readers, random);
  const begun = performance.now();
  try {
    reader.read();
  } catch (error) {
    if (!(error instanceof TableError)) fault(part, `a ${reader.name} made its reader throw`, error);
  }
  const took = performance.now() - begun;
  if (took > PATIENCE) fault(part, `a ${reader.name} hung its reader`, `${took.toFixed(0)} ms`);
  count(part, 'mutated files into readers');
}

/** The whole server on a file of its own, with the demo in it. */
export async function serverUnderTest(): Promise<{ app: FastifyInstance; backup: Uint8Array; stop(): Promise<void> }> {
  const file = join(mkdtempSync(join(tmpdir(), 'aurantia-campaign-')), 'workshop.sqlite');
  const store = await openStore(file);
  const memory = memoryOf(store, file, { pictures: false });
  await fillWithDemo(memory);
  const app = await createApp(memory, null, { logged: false });
  return {
    app,
    backup: await writeBackup(store),
    stop: async () => {
      await app.close();
      await store.destroy();
    },
  };
}

/** A spoilt body or address to a route: it is taken or refused in words, and never breaks anything. */
export async function mutantIntoRoutes(
  part: Part,
  random: () => number,
  server: { app: FastifyInstance; backup: Uint8Array },
): Promise<void> {
  const jar = shelf[Math.floor(random() * shelf.length)];
  const design = given(designs, random);
  const [method, url, body] = given(
    [
      ['PUT', `/api/shelf/${jar.id}`, JSON.stringify({ parent: 1, document: jar })],
      ['POST', `/api/shelf/${jar.id}/movements`, '{"why":"spilt","amount":1}'],
      ['POST', '/api/shelf/many', JSON.stringify([{ parent: null, document: jar }])],
      ['PUT', '/api/workshop', JSON.stringify({ parent: 1, document: JSON.parse(text('settings.json')) as unknown })],
      ['POST', '/api/designs/import', design],
      ['POST', '/api/designs', JSON.stringify((JSON.parse(design) as { design: unknown }).design)],
      ['PUT', '/api/cups/tapered-890', '{"parent":1,"document":{}}'],
      ['GET', '/api/designs/peat-fire/card.pdf', ''],
      ['GET', '/api/designs/peat-fire/template.svg?what=wrap', ''],
      ['GET', '/api/palettes/lantern-week/samples.pdf', ''],
    ] as const,
    random,
  );
  const spoilAddress = random() < 0.3;
  try {
    const reply = await server.app.inject({
      method,
      url: spoilAddress ? encodeURI(mutated(url, random).replace(/\p{Cs}/gu, '\uFFFD')).replace(/^\/*/, '/') : url,
      headers: { host: '127.0.0.1:4310', ...(body ? { 'content-type': 'application/json' } : {}) },
      ...(body ? { payload: random() < 0.9 ? mutated(body, random) : body } : {}),
    });
    if (reply.statusCode >= 500) fault(part, `${method} ${url} broke`, reply.body.slice(0, 300));
    // Whatever was sent, the lists still read.
    const lists = await server.app.inject({ method: 'GET', url: '/api/shelf', headers: { host: '127.0.0.1:4310' } });
    if (lists.statusCode !== 200) fault(part, `after ${method} ${url} the shelf is unreadable`, lists.body.slice(0, 300));
  } catch (error) {
    fault(part, `${method} ${url} threw`, error);
  }
  try {
    readBackup(mutatedBytes(server.backup, random));
  } catch (error) {
    if (!(error instanceof BackupError)) fault(part, 'a backup made its reader throw', error);
  }
  count(part, 'mutated bodies and addresses into routes');
}
