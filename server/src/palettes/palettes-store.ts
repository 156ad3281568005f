import { paletteSchema, type Palette } from '@aurantia/core/palette';
import { KeptDocuments } from '../store/kept-documents';
import type { Store } from '../store/open-store';

/** The palettes a workshop keeps. */
export class PalettesStore extends KeptDocuments<Palette> {
  constructor(store: Store) {
    super(store, 'palette', 'palette', paletteSchema);
  }
}
