import type { Workshop } from '@aurantia/core';
import { DesignsStore } from '../designs/designs-store';
import { ShelfStore } from '../shelf/shelf-store';
import { openReader } from '../store/open-reader';
import { stampOf } from '../workshop/stamp';
import { WorkshopStore } from '../workshop/workshop-store';

/** A workshop's file as a thread reads it, beside the program that writes it; what plans are worked out against is kept. */
export class Reading {
  readonly store;
  readonly designs;
  private kept: { readonly stamp: string; readonly workshop: Workshop } | null = null;

  constructor(readonly file: string) {
    this.store = openReader(file);
    this.designs = new DesignsStore(this.store);
  }

  /** What a plan is worked out against today, and the stamp it goes by. */
  async workshop(): Promise<{ readonly stamp: string; readonly workshop: Workshop }> {
    const today = new Date().toISOString().slice(0, 10);
    const stamp = await stampOf(this.store, today);
    if (this.kept?.stamp !== stamp) {
      const settings = await new WorkshopStore(this.store).settings();
      const shelf = await new ShelfStore(this.store).items();
      this.kept = { stamp, workshop: { settings, shelf, today } };
    }
    return this.kept;
  }
}
