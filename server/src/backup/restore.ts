import { tagRows } from '../designs/design-marks';
import { noteWords } from '../makes/found-makes';
import { wordsInRows } from '../makes/make-words';
import { namesInText } from '../designs/names-of';
import type { Store } from '../store/open-store';
import { together } from '../store/together';
import { withoutTriggers } from '../store/without-triggers';
import { textOf, type Snapshot } from './snapshot';

/**
 * Makes the workshop what a snapshot holds, all or nothing.
 * Revisions are final while the workshop runs; the triggers that see to it stand aside within this one transaction.
 */
export function restore(store: Store, snapshot: Snapshot): Promise<void> {
  return together(store, async (within) => {
    await withoutTriggers(within, async () => {
      for (const table of [
        'summary',
        'held_revision',
        'design_tag',
        'photo',
        'make_words',
        'reading',
        'room',
        'make_entry',
        'make',
        'ledger',
        'revision',
        'design',
        'shelf_item',
        'cup',
        'palette',
        'cup_order',
        'book',
        'workshop',
        'set_aside',
      ] as const)
        await within.deleteFrom(table).execute();
      await write(within, snapshot);
    });
  });
}

async function write(within: Store, snapshot: Snapshot): Promise<void> {
  for (const { revisions, tags = [], archived_at = null, ...design } of snapshot.designs) {
    const latest = revisions.find(({ number }) => number === design.latest);
    const names = namesInText(latest ? textOf(latest) : '');
    await within
      .insertInto('design')
      .values({ ...design, archived_at, ...names })
      .execute();
    if (tags.length > 0) await within.insertInto('design_tag').values(tagRows(design.id, tags)).execute();
    for (const { number, parent, kept_at, held, ...body } of revisions) {
      if (held) await within.insertInto('held_revision').values({ design_id: design.id, number }).execute();
      await within
        .insertInto('revision')
        .values({ design_id: design.id, number, parent, kept_at, document: textOf(body) })
        .execute();
    }
  }
  for (const { id, kind, removed_at, revision, ...body } of snapshot.shelf)
    await within
      .insertInto('shelf_item')
      .values({ id, kind, removed_at, revision, document: textOf(body) })
      .execute();
  for (const entry of snapshot.ledger) await within.insertInto('ledger').values(entry).execute();
  for (const [table, rows] of [
    ['cup', snapshot.cups],
    ['palette', snapshot.palettes],
    ['cup_order', snapshot.orders],
  ] as const)
    for (const { id, removed_at, revision, ...body } of rows)
      await within
        .insertInto(table)
        .values({ id, removed_at, revision, document: textOf(body) })
        .execute();
  for (const { entries, document, text, ...make } of snapshot.makes) {
    const body = { document, ...(text === undefined ? {} : { text }) };
    await within
      .insertInto('make')
      .values({ ...make, document: textOf(body) })
      .execute();
    await noteWords(within, make.id, wordsInRows(textOf(body), entries.map(textOf)));
    for (const { id, at, ...body } of entries)
      await within
        .insertInto('make_entry')
        .values({ make_id: make.id, id, at, document: textOf(body) })
        .execute();
  }
  for (const { document, text, ...reading } of snapshot.readings)
    await within
      .insertInto('reading')
      .values({ ...reading, document: textOf({ document, ...(text === undefined ? {} : { text }) }) })
      .execute();
  for (const photo of snapshot.photos) await within.insertInto('photo').values(photo).execute();
  for (const moment of snapshot.room) await within.insertInto('room').values(moment).execute();
  for (const { name, revision, ...body } of snapshot.books)
    await within
      .insertInto('book')
      .values({ name, revision, document: textOf(body) })
      .execute();
  for (const { revision, ...body } of snapshot.workshop)
    await within
      .insertInto('workshop')
      .values({ id: 1, revision, settings: textOf(body) })
      .execute();
  for (const { kind, id, at, ...body } of snapshot.setAside)
    await within
      .insertInto('set_aside')
      .values({ kind, id, at, document: textOf(body) })
      .execute();
}
