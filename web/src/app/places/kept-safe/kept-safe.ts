import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogModule } from '@angular/material/dialog';
import { format } from 'date-fns';
import { countText } from '@aurantia/core';
import { KeptSafe, type BackupOnDisk, type RestorePreview, type TakenAway } from '../../services/kept-safe';
import { UnreadableThings, type Unreadable } from '../../services/unreadable-things';
import { Notices } from '../../services/notices';
import { saveText } from '../../services/save-file';
import { FileField } from '../../parts/fields/file-field';
import { BUTTONS } from '../../parts/buttons';

interface Restoring {
  readonly name: string;
  readonly backup: Blob;
  readonly preview: RestorePreview;
}

/** Backups in and out, what was taken away, and what can't be read: nothing of a workshop is out of reach. */
@Component({
  selector: 'au-kept-safe',
  imports: [BUTTONS, MatDialogModule, FileField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './kept-safe.html',
  styleUrl: './kept-safe.scss',
})
export class KeptSafeDialog {
  private readonly safe = inject(KeptSafe);
  private readonly notices = inject(Notices);

  protected readonly backups = computed(() =>
    this.safe.backups().map((one) => ({
      one,
      when: format(new Date(one.at), 'd MMM yyyy, HH:mm'),
      size: `${Math.ceil(one.bytes / 1024)} kB`,
      before: one.name.includes('before-restore'),
    })),
  );
  protected readonly takenAway = this.safe.takenAway;
  protected readonly unreadable = inject(UnreadableThings).rows;
  protected readonly restoring = signal<Restoring | null>(null);
  protected readonly refused = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly lines = computed(() =>
    (this.restoring()?.preview ?? []).map(({ kind, comes, goes, changes, stays }) => ({
      kind,
      comes: list(comes),
      goes: list(goes),
      changes: list(changes),
      stays,
    })),
  );
  /** the same as what is there now: nothing to restore */
  protected readonly same = computed(() =>
    (this.restoring()?.preview ?? []).every(({ comes, goes, changes }) => comes.length + goes.length + changes.length === 0),
  );

  constructor() {
    this.safe.load();
  }

  protected bring(file: File): void {
    this.busy.set(true);
    this.safe.preview(file).subscribe({
      next: (preview) => this.look({ name: file.name, backup: file, preview }),
      error: (error: unknown) => this.refuse(error),
    });
  }

  protected lookInto(one: BackupOnDisk): void {
    this.busy.set(true);
    this.safe.previewOf(one).subscribe({
      next: ({ backup, preview }) => this.look({ name: one.name, backup, preview }),
      error: (error: unknown) => this.refuse(error),
    });
  }

  protected restore({ backup }: Restoring): void {
    this.busy.set(true);
    this.safe.restore(backup).subscribe({
      // Everything on every page may be another now: this one begins anew.
      next: () => location.assign('/designs'),
      error: (error: unknown) => this.refuse(error),
    });
  }

  protected bringBack(one: TakenAway): void {
    this.safe.bringBack(one).subscribe({
      next: () => {
        this.safe.load();
        this.notices.offer(`${one.name} is back.`, 'Show it', () => location.assign(placeOf(one)));
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  protected save({ kind, id, text }: Unreadable): void {
    saveText(`${kind}-${id}`.replace(/[^\p{L}\p{N}]+/gu, '-') + '.txt', text, 'text/plain');
  }

  protected nameOf = ({ kind, id }: Unreadable): string => (kind === 'settings' ? 'The settings' : `The ${kind} “${id}”`);

  private look(restoring: Restoring): void {
    this.busy.set(false);
    this.refused.set(null);
    this.restoring.set(restoring);
  }

  private refuse(error: unknown): void {
    this.busy.set(false);
    this.restoring.set(null);
    this.refused.set(error instanceof Error ? error.message : String(error));
  }
}

/** The first few by name, and how many more. */
function list(names: readonly string[]): string {
  const shown = names.slice(0, 3).join(', ');
  const more = names.length - 3;
  return more > 0 ? `${shown} and ${countText(more, 'other')}` : shown;
}

const placeOf = ({ kind, id }: TakenAway): string =>
  ({
    design: `/designs/${encodeURIComponent(id)}/cup`,
    'on the shelf': `/shelf?item=${encodeURIComponent(id)}`,
    cup: '/cups',
    palette: '/shelf/palettes',
  })[kind];
