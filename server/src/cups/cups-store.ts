import { cupSchema, type Cup } from '@aurantia/core';
import * as z from 'zod';
import { KeptDocuments } from '../store/kept-documents';
import type { Store } from '../store/open-store';

export const keptCupSchema = z.strictObject({ id: z.string().min(1).max(64), cup: cupSchema });
export type KeptCup = z.infer<typeof keptCupSchema>;

/** The cups a workshop has measured. Designs carry their own copy, so a change here moves none. */
export class CupsStore {
  private readonly kept: KeptDocuments<Cup>;

  constructor(store: Store) {
    this.kept = new KeptDocuments(store, 'cup', cupSchema);
  }

  async all(): Promise<readonly KeptCup[]> {
    return (await this.kept.all()).map(({ id, document }) => ({ id, cup: document }));
  }

  async put(id: string, cup: Cup): Promise<KeptCup> {
    await this.kept.put(id, cup);
    return { id, cup };
  }

  setRemoved(id: string, removed: boolean): Promise<void> {
    return this.kept.setRemoved(id, removed);
  }
}
