import type { Migration } from 'kysely';
import * as firstTables from './2026-11-25-first-tables';
import * as ledger from './2026-11-25-ledger';
import * as makes from './2026-11-28-makes';
import * as painted from './2026-12-02-painted';
import * as palettes from './2026-11-25-palettes';
import * as photos from './2026-11-29-photos';
import * as readings from './2026-11-29-readings';
import * as revisions from './2026-11-26-revisions';
import * as needs from './2026-11-30-needs';
import * as sharing from './2026-11-30-sharing';
import * as week from './2026-11-30-week';
import * as summaries from './2026-11-26-summaries';
import * as wordsOfMakes from './2026-11-29-words-of-makes';
import * as tags from './2026-11-27-tags';

/** In the order of their names; a landed one is never edited, and a new one's name sorts after all of them. */
export const migrations: Record<string, Migration> = {
  '2026-11-25-first-tables': firstTables,
  '2026-11-25-ledger': ledger,
  '2026-11-25-palettes': palettes,
  '2026-11-26-revisions': revisions,
  '2026-11-26-summaries': summaries,
  '2026-11-27-tags': tags,
  '2026-11-28-makes': makes,
  '2026-11-29-photos': photos,
  '2026-11-29-readings': readings,
  '2026-11-29-words-of-makes': wordsOfMakes,
  '2026-11-30-needs': needs,
  '2026-11-30-sharing': sharing,
  '2026-11-30-week': week,
  '2026-12-02-painted': painted,
};
