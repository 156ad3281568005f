import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MAT_DIALOG_DATA, MatDialogModule, MatDialogRef } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { heightOf, type CoatId, type Cup, type Design, type DesignId, type Finding } from '@aurantia/core';
import { widestRadius } from '@aurantia/core/figure';
import type { Mend, RefitWays } from '@aurantia/core/refit';
import { catchError, concat, map, of, switchMap } from 'rxjs';
import { v7 } from 'uuid';
import { BUTTONS } from '../../parts/buttons';
import { Chips } from '../../parts/chips/chips';
import { Choice } from '../../parts/fields/choice';
import { Icon } from '../../parts/icons/icon';
import { Workers } from '../../services/workers';
import { KeptDesigns } from '../../services/kept-designs';
import { Notices } from '../../services/notices';
import { WorkshopMemory } from '../../services/workshop';
import { newRefitWorker } from '../../workers/new-worker';
import type { Refitted, RefitReply } from '../../workers/refit-request';

interface Answer {
  readonly refitted: Refitted | null;
  readonly sentence: string | null;
}
/** Room for both cups side by side, css pixels. */
const ROOM = { width: 240, height: 285 } as const;
const WORKING: Answer = { refitted: null, sentence: null };

/** A design on another cup: both side by side, what becomes another, and what no longer fits with its fix. */
@Component({
  selector: 'au-refit-dialog',
  imports: [BUTTONS, MatDialogModule, Chips, Choice, Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './refit-dialog.html',
  styleUrl: './refit-dialog.scss',
})
export class RefitDialog {
  private readonly workers = inject(Workers);
  private readonly memory = inject(WorkshopMemory);
  private readonly designs = inject(KeptDesigns);
  private readonly notices = inject(Notices);
  private readonly router = inject(Router);
  private readonly dialog = inject<MatDialogRef<RefitDialog>>(MatDialogRef);
  protected readonly design = inject<Design>(MAT_DIALOG_DATA);

  protected readonly heights = [
    { value: 'share', name: 'by share' },
    { value: 'mm', name: 'in mm' },
  ] as const satisfies readonly { value: RefitWays['heights']; name: string }[];
  protected readonly teeth = [
    { value: 'number', name: 'as many' },
    { value: 'width', name: 'as wide' },
  ] as const satisfies readonly { value: RefitWays['teeth']; name: string }[];
  protected readonly motifs = [
    { value: 'scaled', name: 'as many, to scale' },
    { value: 'same size', name: 'of one size' },
  ] as const satisfies readonly { value: RefitWays['motifs']; name: string }[];

  protected readonly cups = computed(() => this.memory.cups().filter(({ cup }) => cup.name !== this.design.cup.name));
  private readonly chosen = signal<string | null>(null);
  protected readonly cup = computed(() => (this.cups().find(({ id }) => id === this.chosen()) ?? this.cups().at(0))?.cup ?? null);
  protected readonly chips = computed(() => this.cups().map(({ id, cup }) => ({ id, name: cup.name, on: cup === this.cup() })));
  protected readonly ways = signal<RefitWays>({ heights: 'share', teeth: 'number', motifs: 'scaled' });
  protected readonly busy = signal(false);
  /** those taken so far; another cup, or another way, begins anew */
  protected readonly mends = linkedSignal<unknown, readonly Mend[]>({
    source: computed(() => [this.cup(), this.ways()]),
    computation: () => [],
  });

  private readonly asked = computed(() => {
    const cup = this.cup();
    return cup && { design: this.design, cup, ways: this.ways(), workshop: this.memory.workshop(), mends: this.mends() };
  });
  protected readonly answer = toSignal(
    toObservable(this.asked).pipe(
      switchMap((asked) => {
        if (!asked) return of(WORKING);
        const work = this.workers
          .ask<RefitReply>(newRefitWorker, asked, () => true)
          .pipe(
            map((refitted): Answer => ({ refitted, sentence: null })),
            catchError((error: unknown) =>
              of({ refitted: null, sentence: error instanceof Error ? error.message : 'This can’t be worked out.' }),
            ),
          );
        return concat(of(WORKING), work);
      }),
    ),
    { initialValue: WORKING },
  );
  protected readonly pictures = computed(() => {
    const drawings = this.answer().refitted?.drawings;
    const cup = this.cup();
    if (!drawings || !cup) return null;
    const [own, other] = [this.design.cup, cup];
    const wide = ({ stations }: Cup) => 2 * widestRadius(stations);
    const scale = Math.min(ROOM.height / Math.max(heightOf(own), heightOf(other)), ROOM.width / (wide(own) + wide(other)));
    const picture = (svg: string, one: Cup) => ({
      source: `data:image/svg+xml,${encodeURIComponent(svg)}`,
      height: Math.round(heightOf(one) * scale),
    });
    return { before: picture(drawings.before, this.design.cup), after: picture(drawings.after, cup) };
  });

  protected change(ways: Partial<RefitWays>): void {
    this.ways.set({ ...this.ways(), ...ways });
  }

  protected choose(id: string): void {
    this.chosen.set(id);
  }

  protected mend({ fix }: Finding): void {
    if (fix) this.mends.set([...this.mends(), { fix, id: v7() as CoatId }]);
  }

  protected keep(): void {
    const refitted = this.answer().refitted;
    if (!refitted) return;
    const name = `${this.design.name}, ${refitted.design.cup.name}`.slice(0, 80);
    this.busy.set(true);
    this.designs.create({ ...refitted.design, id: v7() as DesignId, name }).subscribe({
      next: ({ document }) => {
        this.dialog.close();
        void this.router.navigate(['/designs', document.id, 'areas']);
      },
      error: (error: unknown) => {
        this.busy.set(false);
        this.notices.failed(error);
      },
    });
  }
}
