import { orderSchema, withoutName, withoutNameIn, SOMEONE, type Order } from '@aurantia/core/order';
import { logEntrySchema, makeSchema } from '@aurantia/core/make';
import { noteWords } from '../makes/found-makes';
import { wordsInRows } from '../makes/make-words';
import { KeptDocuments } from '../store/kept-documents';
import type { Store } from '../store/open-store';
import { readRow } from '../store/read-row';
import { withoutTriggers } from '../store/without-triggers';
import { together } from '../store/together';

/** What was found of a person, or taken away of them. */
export interface Mentions {
  readonly orders: number;
  readonly makes: number;
}

/** Fields of a make’s notes and its log that somebody may have written a name into. */
const WRITTEN = ['text', 'says', 'why'] as const;

/** Cups that somebody waits for. */
export class OrdersStore extends KeptDocuments<Order> {
  constructor(private readonly within: Store) {
    super(within, 'cup_order', 'order', orderSchema);
  }

  /** Where a person is named. */
  async mentions(who: string): Promise<Mentions> {
    const { orders, makes } = await this.found(who);
    return { orders: orders.length, makes: makes.length };
  }

  /**
   * Takes a person's name away wherever it was written: orders, also those that were taken away, makes and their logs. What was
   * made stays; whom for is no longer told. Backups that were saved before still have it.
   */
  forget(who: string): Promise<Mentions> {
    return together(this.within, async (within) => {
      const { orders, makes } = await new OrdersStore(within).found(who);
      for (const { id, document } of orders)
        await within.updateTable('cup_order').set({ document }).where('id', '=', id).execute();
      await withoutTriggers(within, async () => {
        for (const { id, document, label, entries } of makes) {
          await within.updateTable('make').set({ document, label }).where('id', '=', id).execute();
          for (const entry of entries)
            await within.updateTable('make_entry').set({ document: entry.document }).where('row', '=', entry.row).execute();
        }
      });
      for (const { id, document } of makes) {
        // What it is found by is worked out anew.
        await within.deleteFrom('make_words').where('make_id', '=', id).execute();
        const log = await within.selectFrom('make_entry').where('make_id', '=', id).select('document').orderBy('row').execute();
        await noteWords(
          within,
          id,
          wordsInRows(
            document,
            log.map((row) => row.document),
          ),
        );
      }
      return { orders: orders.length, makes: makes.length };
    });
  }

  /** Rows that name them, each as it is without the name. */
  private async found(who: string) {
    const orders = (await this.within.selectFrom('cup_order').select(['id', 'document']).execute()).flatMap((row) => {
      const read = readRow(row.document, orderSchema);
      if (!read.ok) return [];
      const { document } = read;
      const own = document.who.trim().toLocaleLowerCase() === who.trim().toLocaleLowerCase();
      const without = { ...document, who: own ? SOMEONE : withoutName(document.who, who), note: withoutName(document.note, who) };
      const text = JSON.stringify(without);
      return text === JSON.stringify(document) ? [] : [{ id: row.id, document: text }];
    });
    const entries = (await this.within.selectFrom('make_entry').select(['row', 'make_id', 'document']).execute()).flatMap(
      (row) => {
        const read = readRow(row.document, logEntrySchema);
        if (!read.ok) return [];
        const text = JSON.stringify(withoutNameIn(read.document, who, WRITTEN));
        return text === JSON.stringify(read.document) ? [] : [{ row: row.row, make: row.make_id, document: text }];
      },
    );
    const makes = (await this.within.selectFrom('make').select(['id', 'document', 'label']).execute()).flatMap((row) => {
      const read = readRow(row.document, makeSchema);
      if (!read.ok) return [];
      const own = entries.filter(({ make }) => make === row.id);
      const { label, notes } = read.document;
      const document = JSON.stringify({
        ...read.document,
        label: withoutName(label, who),
        notes: withoutNameIn(notes, who, WRITTEN),
      });
      if (document === JSON.stringify(read.document) && own.length === 0) return [];
      return [{ id: row.id, document, label: withoutName(row.label, who), entries: own }];
    });
    return { orders, makes };
  }
}
