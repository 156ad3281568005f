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
  /** does work on all of it, all or nothing */
  together<Result>(work: (memory: Memory) => Promise<Result>): Promise<Result>;
}

/** @param folder where backups are kept */
export const memoryOf = (store: Store, folder: string): Memory => ({
  designs: new DesignsStore(store),
  shelf: new ShelfStore(store),
  cups: new CupsStore(store),
  palettes: new PalettesStore(store),
  workshop: new WorkshopStore(store),
  unreadable: new UnreadableRows(store),
  backups: new Backups(store, folder),
  together: (work) => together(store, (within) => work(memoryOf(within, folder))),
});
