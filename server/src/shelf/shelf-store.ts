import {
  afterMovement,
  LedgerError,
  shelfItemSchema,
  tidy,
  type LedgerEntry,
  type Movement,
  type ShelfItem,
} from '@aurantia/core';
import { ProblemError } from '../http/problem';
import type { Kept } from '../store/kept';
import { KeptDocuments } from '../store/kept-documents';
import type { Store } from '../store/open-store';
import { together } from '../store/together';

/** A jar as it is to be kept, and the revision it started from. */
export interface SavedItem {
  readonly document: ShelfItem;
  readonly parent: number | null;
}

/** What stands on the shelf. A removed jar can be put back; what is left of one changes by movements alone. */
export class ShelfStore {
  private readonly kept: KeptDocuments<ShelfItem>;

  constructor(private readonly store: Store) {
    this.kept = new KeptDocuments(store, 'shelf_item', 'shelf item', shelfItemSchema);
  }

  all(): Promise<readonly Kept<ShelfItem>[]> {
    return this.kept.all();
  }

  /** The same as it is sent. */
  allAsText(): Promise<string> {
    return this.kept.allAsText();
  }

  /** What was taken off the shelf, the latest first: designs made with it can still be read. */
  gone(): Promise<readonly Kept<ShelfItem>[]> {
    return this.kept.gone();
  }

  /** Everything a plan may name, as a plan wants it. */
  async items(): Promise<ShelfItem[]> {
    return (await this.all()).map(({ document }) => document);
  }

  /**
   * Keeps items as they are described, all or none. What is left of one that is here already stays as
   * counted; a new one's is its first movement.
   * @throws ProblemError 409 with both when one was changed in between
   */
  put(items: readonly SavedItem[], why: string): Promise<readonly Kept<ShelfItem>[]> {
    return together(this.store, async (within) => {
      const shelf = new ShelfStore(within);
      const done: Kept<ShelfItem>[] = [];
      for (const { document, parent } of items) {
        let had: number | null = null;
        const kept = await shelf.kept.put(document.id, document, parent, (before) => {
          had = before?.left ?? null;
          return parent === null ? document : { ...document, left: had };
        });
        if (parent === null && document.left !== had) await shelf.note(document.id, had, document.left, why);
        done.push(kept);
      }
      return done;
    });
  }

  /** Items of a table, all or none: kept as described, and counted anew where the table counts them. */
  bringIn(items: readonly SavedItem[], why: string): Promise<readonly Kept<ShelfItem>[]> {
    return together(this.store, async (within) => {
      const shelf = new ShelfStore(within);
      const done: Kept<ShelfItem>[] = [];
      for (const item of items) {
        const [kept] = await shelf.put([item], why);
        const { left } = item.document;
        done.push(kept.document.left === left ? kept : await shelf.count(kept, left, why));
      }
      return done;
    });
  }

  /**
   * So much came to or went from an item as it stands now, whichever window it is said in.
   * @throws ProblemError 422 when more goes than there is, 404 when there is no such item
   */
  move(id: string, movement: Movement): Promise<Kept<ShelfItem>> {
    return together(this.store, async (within) => {
      const shelf = new ShelfStore(within);
      const { before, kept } = await shelf.kept.change(id, (item) => moved(item, movement));
      if (before.left !== kept.document.left) await shelf.note(id, before.left, kept.document.left, movement.why);
      return kept;
    });
  }

  /**
   * Takes what a coat used, or gives it back where negative; of what nobody counts, or what is gone from the shelf, nothing.
   * More than the count says was there after all: then nothing is left.
   * @returns how much the count went down by
   */
  draw(id: string, amount: number, why: string): Promise<number> {
    return together(this.store, async (within) => {
      const shelf = new ShelfStore(within);
      const here = await shelf.here(id);
      if (!here || here.document.left === null) return 0;
      const took = tidy(Math.min(amount, here.document.left));
      if (took === 0) return 0;
      await shelf.count(here, tidy(here.document.left - took), why);
      return took;
    });
  }

  /** Describes an item anew by what was learnt of it: whoever is describing it elsewhere is told. */
  learn(id: string, edit: (item: ShelfItem) => ShelfItem): Promise<void> {
    return together(this.store, async (within) => {
      const shelf = new ShelfStore(within);
      const { document, revision } = await shelf.one(id);
      await shelf.kept.put(id, shelfItemSchema.parse(edit(document)), revision);
    });
  }

  /** What came and went of an item, the latest first. */
  async ledger(id: string): Promise<LedgerEntry[]> {
    const rows = await this.store
      .selectFrom('ledger')
      .where('item_id', '=', id)
      .selectAll()
      .orderBy('row', 'desc')
      .limit(200)
      .execute();
    return rows.map(({ at, change, left_after: left, why }) => ({ at, change, left, why }));
  }

  /** Adds the items whose ids aren't here yet, and puts back those that were taken off the shelf. */
  addMissing(items: readonly ShelfItem[]): Promise<void> {
    return together(this.store, async (within) => {
      const shelf = new ShelfStore(within);
      const here = new Set((await shelf.all()).map(({ id }) => id));
      const gone = new Set((await shelf.gone()).map(({ id }) => id));
      for (const item of items) {
        if (gone.has(item.id)) await shelf.setRemoved(item.id, false);
        else if (!here.has(item.id)) await shelf.put([{ document: item, parent: null }], 'came with a design');
      }
    });
  }

  one(id: string): Promise<Kept<ShelfItem>> {
    return this.kept.one(id);
  }

  setRemoved(id: string, removed: boolean): Promise<void> {
    return this.kept.setRemoved(id, removed);
  }

  private async here(id: string): Promise<Kept<ShelfItem> | null> {
    try {
      return await this.kept.one(id);
    } catch (error) {
      if (error instanceof ProblemError && error.status === 404) return null;
      throw error;
    }
  }

  private async count({ id }: Kept<ShelfItem>, left: number | null, why: string): Promise<Kept<ShelfItem>> {
    const { before, kept } = await this.kept.change(id, (item) => ({ ...item, left }));
    await this.note(id, before.left, left, why);
    return kept;
  }

  private async note(id: string, had: number | null, left: number | null, why: string): Promise<void> {
    const change = left === null ? null : tidy(left - (had ?? 0));
    await this.store
      .insertInto('ledger')
      .values({ item_id: id, at: new Date().toISOString(), change, left_after: left, why })
      .execute();
  }
}

function moved(item: ShelfItem, movement: Movement): ShelfItem {
  try {
    return afterMovement(item, movement);
  } catch (error) {
    if (error instanceof LedgerError) throw new ProblemError(422, 'Not accepted', error.message);
    throw error;
  }
}
