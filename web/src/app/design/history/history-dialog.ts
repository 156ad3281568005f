import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { Router } from '@angular/router';
import {
  areaText,
  historySchema,
  planOf,
  tallyOf,
  UnclearRegionError,
  type Design,
  type History,
  type Plan,
} from '@aurantia/core';
import { format } from 'date-fns';
import { v7 } from 'uuid';
import { CupFigure } from '../../parts/cup-view/cup-figure';
import { Api } from '../../services/api';
import { KeptDesigns, keptDesignSchema, type KeptDesign } from '../../services/kept-designs';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { DesignSession } from '../session';
import { BUTTONS } from '../../parts/buttons';

/** Revisions fetched at a time. */
const STRETCH = 20;

/** What the open design was before: every revision that stayed, what changed in it, and the way back to it. */
@Component({
  selector: 'au-history-dialog',
  imports: [BUTTONS, CupFigure, MatDialogModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './history-dialog.html',
  styleUrl: './history-dialog.scss',
})
export class HistoryDialog {
  private readonly api = inject(Api);
  private readonly designs = inject(KeptDesigns);
  private readonly memory = inject(WorkshopMemory);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly session = inject(DesignSession);
  private readonly dialog = inject<MatDialogRef<HistoryDialog>>(MatDialogRef);
  private readonly path = `designs/${encodeURIComponent(this.session.document()?.id ?? '')}`;

  protected readonly current = this.session.saving.revision;
  private readonly revisions = signal<History['revisions']>([]);
  protected readonly more = signal(false);
  protected readonly loading = signal(true);
  protected readonly rows = computed(() =>
    this.revisions().map((one) => ({
      ...one,
      when: format(new Date(one.keptAt), 'd MMM yyyy, HH:mm'),
      lines: one.changes ?? ['This one can’t be read; it is untouched.'],
      begins: one.changes?.length === 0,
    })),
  );
  protected readonly shown = signal<KeptDesign | null>(null);
  protected readonly refused = signal<string | null>(null);
  protected readonly plan = computed(() => {
    const kept = this.shown();
    return kept ? this.planned(kept.document) : null;
  });
  protected readonly areas = computed(() =>
    (this.plan()?.areas.areas ?? []).map(({ id, name, area }) => ({ id, name, size: areaText(area, this.memory.units()) })),
  );
  protected readonly tally = computed(() => {
    const plan = this.plan();
    return plan ? tallyOf(plan, this.memory.units()) : [];
  });
  /** the cup 150 css pixels tall, whatever its size */
  protected readonly scale = computed(() => 150 / (this.plan()?.surface.height ?? 150));

  constructor() {
    this.load();
  }

  protected load(): void {
    this.loading.set(true);
    const from = this.revisions().length;
    this.api.get(`${this.path}/history?from=${from}&limit=${STRETCH}`, historySchema).subscribe({
      next: ({ revisions, more }) => {
        this.loading.set(false);
        this.revisions.update((before) => [...before, ...revisions]);
        this.more.set(more);
        if (from === 0 && revisions.length > 0) this.show(revisions[0].revision);
      },
      error: (error: unknown) => {
        this.loading.set(false);
        this.notices.failed(error, () => this.load());
      },
    });
  }

  protected show(revision: number): void {
    this.api.get(`${this.path}/revisions/${revision}`, keptDesignSchema).subscribe({
      next: (kept) => {
        this.refused.set(null);
        this.shown.set(kept);
      },
      error: (error: unknown) => {
        this.shown.set(null);
        this.refused.set(error instanceof Error ? error.message : String(error));
      },
    });
  }

  /** It goes on top of what there is: nothing in between is lost, and Undo leads back. */
  protected bringBack({ document, revision }: KeptDesign): void {
    const sentence = this.session.change(() => document);
    this.refused.set(sentence);
    if (sentence !== null) return;
    this.dialog.close();
    this.notices.undoable(`Revision ${revision} is on the table again.`, () => this.session.undo());
  }

  protected copy({ document, revision }: KeptDesign): void {
    const name = `${document.name}, as of ${revision}`.slice(0, 80);
    this.designs.create({ ...document, id: v7() as Design['id'], name }).subscribe({
      next: (kept) => {
        this.dialog.close();
        void this.router.navigate(['/designs', kept.document.id, 'cup']);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private planned(document: Design): Plan | null {
    try {
      return planOf(document, this.memory.workshop());
    } catch (error) {
      if (error instanceof UnclearRegionError) return null;
      throw error;
    }
  }
}
