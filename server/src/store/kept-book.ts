import type * as z from 'zod';
import { changedElsewhere } from './kept';
import type { Store } from './open-store';
import { readRow } from './read-row';
import { together } from './together';

/** The one document of its kind, as it is kept. */
export interface KeptOne<Document> {
  readonly document: Document;
  /** 0 while it is as it comes */
  readonly revision: number;
}

/** What a workshop has one of: how its week goes, how it counts its money. */
export class KeptBook<Document> {
  constructor(
    private readonly store: Store,
    private readonly name: 'week' | 'money',
    private readonly schema: z.ZodType<Document>,
    /** asked of the same store as the rest: within a transaction nothing else may be waited for */
    private readonly usual: (within: Store) => Promise<Document>,
  ) {}

  /** One that can’t be read counts as the usual one; `UnreadableRows` lists it. */
  async kept(): Promise<KeptOne<Document>> {
    const row = await this.store.selectFrom('book').where('name', '=', this.name).selectAll().executeTakeFirst();
    const read = row ? readRow(row.document, this.schema) : null;
    return { document: read?.ok ? read.document : await this.usual(this.store), revision: row?.revision ?? 0 };
  }

  /** @throws ProblemError 409 with both when another was kept in between */
  keep(document: Document, parent: number): Promise<KeptOne<Document>> {
    return together(this.store, async (within) => {
      const latest = await new KeptBook(within, this.name, this.schema, this.usual).kept();
      if (latest.revision !== parent) throw changedElsewhere(this.name, latest, { document, parent });
      const row = { document: JSON.stringify(document), revision: parent + 1 };
      await within
        .insertInto('book')
        .values({ name: this.name, ...row })
        .onConflict((conflict) => conflict.column('name').doUpdateSet(row))
        .execute();
      return { document, revision: parent + 1 };
    });
  }
}
