import { HttpClient } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { cupSchema, designPageSchema, shelfItemSchema } from '@aurantia/core';
import { paletteSchema } from '@aurantia/core/palette';
import { forkJoin, switchMap, type Observable } from 'rxjs';
import * as z from 'zod';
import { Api } from './api';
import { Notices } from './notices';
import { UnreadableThings } from './unreadable-things';

const backupSchema = z.object({ name: z.string(), at: z.string(), bytes: z.int() });
export type BackupOnDisk = z.infer<typeof backupSchema>;

const names = z.array(z.string());
const previewSchema = z.array(z.object({ kind: z.string(), comes: names, goes: names, changes: names, stays: z.int() }));
export type RestorePreview = z.infer<typeof previewSchema>;

/** Something that was taken away, and where it is brought back. */
export interface TakenAway {
  readonly kind: 'design' | 'on the shelf' | 'cup' | 'palette';
  readonly id: string;
  readonly name: string;
  readonly path: string;
}

const gone = <Schema extends z.ZodType<{ name: string }>>(document: Schema) => z.array(z.object({ id: z.string(), document }));

/** What the workshop's memory holds beside what is in use: backups, what was taken away. */
@Injectable({ providedIn: 'root' })
export class KeptSafe {
  private readonly api = inject(Api);
  private readonly http = inject(HttpClient);
  private readonly notices = inject(Notices);
  private readonly unreadable = inject(UnreadableThings);
  readonly backups = signal<readonly BackupOnDisk[]>([]);
  readonly takenAway = signal<readonly TakenAway[]>([]);

  load(): void {
    forkJoin({
      backups: this.api.get('backups', z.array(backupSchema)),
      designs: this.api.get('designs/removed?limit=100', designPageSchema),
      shelf: this.api.get('shelf/gone', gone(shelfItemSchema)),
      cups: this.api.get('cups/gone', gone(cupSchema)),
      palettes: this.api.get('palettes/gone', gone(paletteSchema)),
    }).subscribe({
      next: ({ backups, designs, shelf, cups, palettes }) => {
        this.backups.set(backups);
        const away = (kind: TakenAway['kind'], place: string, id: string, name: string): TakenAway => ({
          kind,
          id,
          name,
          path: `${place}/${encodeURIComponent(id)}/restore`,
        });
        this.takenAway.set([
          ...designs.designs.map(({ id, name }) => away('design', 'designs', id, name)),
          ...shelf.map(({ id, document }) => away('on the shelf', 'shelf', id, document.name)),
          ...cups.map(({ id, document }) => away('cup', 'cups', id, document.name)),
          ...palettes.map(({ id, document }) => away('palette', 'palettes', id, document.name)),
        ]);
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
    this.unreadable.look(true);
  }

  bringBack(one: TakenAway): Observable<unknown> {
    return this.api.post(one.path, {}, z.unknown());
  }

  /** What restoring a backup would do; nothing is changed. */
  preview(backup: Blob): Observable<RestorePreview> {
    return this.api.sendZip('backups/preview', backup, previewSchema);
  }

  /** @returns the name of the backup that was made of what was there until now */
  restore(backup: Blob): Observable<{ before: string }> {
    return this.api.sendZip('backups/restore', backup, z.object({ before: z.string() }));
  }

  previewOf({ name }: BackupOnDisk): Observable<{ backup: Blob; preview: RestorePreview }> {
    return this.http
      .get(`/api/backups/${encodeURIComponent(name)}`, { responseType: 'blob' })
      .pipe(switchMap((backup) => forkJoin({ backup: [backup], preview: this.preview(backup) })));
  }
}
