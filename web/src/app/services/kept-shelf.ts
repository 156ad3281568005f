import { cupSchema, shelfItemSchema, type Cup, type Movement, type ShelfItem } from '@aurantia/core';
import { map, tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { KeptList } from './kept-list';
import { keptSchema } from './ordered-saving';

export const keptItem = keptSchema(shelfItemSchema).extend({ id: z.string() });

/** The shelf as this page knows it; what is left of a jar changes by movements alone. */
export class KeptShelf extends KeptList<ShelfItem> {
  constructor() {
    super('shelf', shelfItemSchema, ({ name }) => name);
  }

  add(item: ShelfItem, why: string): Observable<ShelfItem> {
    const path = `${this.address(item.id)}?why=${encodeURIComponent(why)}`;
    return this.api.put(path, { parent: null, document: item }, keptItem).pipe(
      tap((kept) => this.take(item.id, kept)),
      map(({ document }) => document),
    );
  }

  move(id: string, movement: Movement): Observable<ShelfItem> {
    return this.api.post(`${this.address(id)}/movements`, movement, keptItem).pipe(
      tap((kept) => this.counted([{ id, left: kept.document.left }])),
      map(({ document }) => document),
    );
  }

  bringIn(items: readonly ShelfItem[]): Observable<unknown> {
    const known = new Set(this.entries().map(({ id }) => id));
    const saved = items.map((document) => ({
      document,
      parent: known.has(document.id) ? this.saving.revisionOf(document.id) : null,
    }));
    return this.api
      .post(`shelf/many`, saved, z.array(keptItem))
      .pipe(tap((kept) => kept.forEach((one) => this.take(one.document.id, one))));
  }

  /** Only the counts move: what is being typed of a jar stays. */
  counted(counts: readonly { readonly id: string; readonly left: number | null }[]): void {
    const left = new Map(counts.map((one) => [one.id, one.left]));
    this.recount((item) => {
      const now = left.get(item.id);
      return now === undefined || now === item.left ? item : { ...item, left: now };
    });
  }
}

/** The cups as this page knows them. */
export class KeptCups extends KeptList<Cup> {
  constructor() {
    super('cups', cupSchema, ({ name }) => name);
  }
}
