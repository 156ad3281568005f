import { paletteSchema, type Palette } from '@aurantia/core/palettes';
import { notFound } from '../http/problem';
import { KeptDocuments } from '../store/kept-documents';
import type { Store } from '../store/open-store';

/** The palettes a workshop keeps. */
export class PalettesStore {
  private readonly kept: KeptDocuments<Palette>;

  constructor(store: Store) {
    this.kept = new KeptDocuments(store, 'palette', paletteSchema);
  }

  async all(): Promise<readonly Palette[]> {
    return (await this.kept.all()).map(({ document }) => document);
  }

  /** @throws ProblemError 404 when there is no such palette, or it was taken away */
  async one(id: string): Promise<Palette> {
    const found = (await this.all()).find((palette) => palette.id === id);
    if (!found) throw notFound('palette');
    return found;
  }

  async put(palette: Palette): Promise<Palette> {
    await this.kept.put(palette.id, palette);
    return palette;
  }

  setRemoved(id: string, removed: boolean): Promise<void> {
    return this.kept.setRemoved(id, removed);
  }
}
