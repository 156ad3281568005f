import { CupsStore } from './cups/cups-store';
import { DesignsStore } from './designs/designs-store';
import { PalettesStore } from './palettes/palettes-store';
import { ShelfStore } from './shelf/shelf-store';
import type { Store } from './store/open-store';
import { WorkshopStore } from './workshop/workshop-store';

/** All that the workshop remembers, a store a subject. */
export interface Memory {
  readonly designs: DesignsStore;
  readonly shelf: ShelfStore;
  readonly cups: CupsStore;
  readonly palettes: PalettesStore;
  readonly workshop: WorkshopStore;
}

export const memoryOf = (store: Store): Memory => ({
  designs: new DesignsStore(store),
  shelf: new ShelfStore(store),
  cups: new CupsStore(store),
  palettes: new PalettesStore(store),
  workshop: new WorkshopStore(store),
});
