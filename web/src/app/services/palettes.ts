import { computed, inject, Injectable, signal } from '@angular/core';
import { paletteSchema, type Palette } from '@aurantia/core/palette';
import type { Observable } from 'rxjs';
import { KeptList } from './kept-list';
import { Notices } from './notices';

/** The palettes that the workshop keeps. */
@Injectable({ providedIn: 'root' })
export class Palettes {
  private readonly notices = inject(Notices);
  private readonly kept = new KeptList<Palette>('palettes', paletteSchema, ({ name }) => name);
  readonly all = computed(() => this.kept.entries().map(({ document }) => document));
  readonly loaded = signal(false);

  load(): void {
    this.kept.fetch().subscribe({
      next: () => this.loaded.set(true),
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  put(palette: Palette): Observable<Palette> {
    return this.kept.put(palette.id, palette);
  }

  remove(palette: Palette): void {
    this.kept.remove(palette.id, `The palette ${palette.name} is gone.`);
  }
}
