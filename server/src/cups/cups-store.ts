import { cupSchema, type Cup } from '@aurantia/core';
import { KeptDocuments } from '../store/kept-documents';
import type { Store } from '../store/open-store';

/** The cups a workshop has measured. Designs carry their own copy, so a change here moves none. */
export class CupsStore extends KeptDocuments<Cup> {
  constructor(store: Store) {
    super(store, 'cup', 'cup', cupSchema);
  }
}
