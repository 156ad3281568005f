import { inject, Injectable, signal } from '@angular/core';
import { paletteSchema, type Palette } from '@aurantia/core/palettes';
import { tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';

/** The palettes that the workshop keeps. */
@Injectable({ providedIn: 'root' })
export class Palettes {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);
  readonly all = signal<readonly Palette[]>([]);
  readonly loaded = signal(false);

  load(): void {
    this.api.get('palettes', z.array(paletteSchema)).subscribe({
      next: (palettes) => {
        this.all.set(palettes);
        this.loaded.set(true);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  put(palette: Palette): Observable<Palette> {
    return this.api.put(`palettes/${encodeURIComponent(palette.id)}`, palette, paletteSchema).pipe(
      tap((kept) => {
        const others = this.all();
        this.all.set(
          others.some(({ id }) => id === kept.id) ? others.map((one) => (one.id === kept.id ? kept : one)) : [...others, kept],
        );
      }),
    );
  }

  remove(palette: Palette): void {
    this.api.remove(`palettes/${encodeURIComponent(palette.id)}`).subscribe({
      next: () => {
        this.all.set(this.all().filter(({ id }) => id !== palette.id));
        this.notices.undoable(`The palette ${palette.name} is gone.`, () =>
          this.put(palette).subscribe({ error: (error: unknown) => this.notices.failed(error) }),
        );
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
