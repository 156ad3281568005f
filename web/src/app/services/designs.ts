import { inject, Injectable, signal } from '@angular/core';
import { designSchema, type Design } from '@aurantia/core';
import { tap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';

export const keptDesignSchema = z.object({ document: designSchema, revision: z.int(), keptAt: z.string() });
export type KeptDesign = z.infer<typeof keptDesignSchema>;

/** All designs, newest first. */
@Injectable({ providedIn: 'root' })
export class DesignList {
  private readonly api = inject(Api);
  private readonly notices = inject(Notices);

  readonly designs = signal<readonly KeptDesign[]>([]);
  readonly loaded = signal(false);

  load(): void {
    this.api.get('designs', z.array(keptDesignSchema)).subscribe({
      next: (designs) => {
        this.designs.set(designs);
        this.loaded.set(true);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  /** A design that was just kept, put at its place: first, as the newest. */
  note(kept: KeptDesign): void {
    const known = this.designs().find(({ document }) => document.id === kept.document.id);
    if (known && known.revision < kept.revision) this.designs.set([kept, ...this.designs().filter((one) => one !== known)]);
  }

  create(document: Design): Observable<KeptDesign> {
    return this.api.post('designs', document, keptDesignSchema).pipe(tap((kept) => this.designs.set([kept, ...this.designs()])));
  }

  /** Takes a design file's parsed JSON; the memory checks it and names what is wrong. */
  importFile(file: unknown): Observable<KeptDesign> {
    return this.api
      .post('designs/import', file, keptDesignSchema)
      .pipe(tap((kept) => this.designs.set([kept, ...this.designs()])));
  }

  remove(design: KeptDesign): void {
    const path = `designs/${encodeURIComponent(design.document.id)}`;
    this.api.remove(path).subscribe({
      next: () => {
        this.designs.set(this.designs().filter((one) => one !== design));
        this.notices.undoable(`${design.document.name} is removed.`, () => {
          this.api
            .post(`${path}/restore`, {}, keptDesignSchema)
            .subscribe({ next: () => this.load(), error: (error: unknown) => this.notices.failed(error) });
        });
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }
}
