import type { Workshop } from '@aurantia/core';
import { Backups } from './backup/backups';
import { CupsStore } from './cups/cups-store';
import { DesignsStore } from './designs/designs-store';
import { PalettesStore } from './palettes/palettes-store';
import { ShelfStore } from './shelf/shelf-store';
import type { Store } from './store/open-store';
import { together } from './store/together';
import { UnreadableRows } from './store/unreadable-rows';
import { WorkshopStore } from './workshop/workshop-store';

/** All that the workshop remembers, a store a subject. */
export interface Memory {
  readonly designs: DesignsStore;
  readonly shelf: ShelfStore;
  readonly cups: CupsStore;
  readonly palettes: PalettesStore;
  readonly workshop: WorkshopStore;
  readonly unreadable: UnreadableRows;
  readonly backups: Backups;
  /** what a plan is worked out against today */
  planned(): Promise<Workshop>;
  /** does work on all of it, all or nothing */
  together<Result>(work: (memory: Memory) => Promise<Result>): Promise<Result>;
}

/** @param folder where backups are kept */
export const memoryOf = (store: Store, folder: string): Memory => {
  const [shelf, workshop] = [new ShelfStore(store), new WorkshopStore(store)];
  return {
    designs: new DesignsStore(store),
    shelf,
    cups: new CupsStore(store),
    palettes: new PalettesStore(store),
    workshop,
    unreadable: new UnreadableRows(store),
    backups: new Backups(store, folder),
    planned: async () => ({
      settings: await workshop.settings(),
      shelf: await shelf.items(),
      today: new Date().toISOString().slice(0, 10),
    }),
    together: (work) => together(store, (within) => work(memoryOf(within, folder))),
  };
};
