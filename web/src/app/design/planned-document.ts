import { computed, DestroyRef, effect, inject, Injectable, linkedSignal, signal, untracked } from '@angular/core';
import { layoutWeight, planOf, UnclearRegionError, type Design, type Plan, type PlannedAreas } from '@aurantia/core';
import { animationFrameScheduler, map, Subject, switchMap, tap, timer, type Observable, type Subscription } from 'rxjs';
import { Layouts } from '../services/layouts';
import { WorkshopMemory } from '../services/workshop';
import { DocumentHistory } from './document-history';

/** Outlines of more points than this are laid out by the worker: they may take longer than a frame. */
const LONG_WORK = 2500;
/** Between two long layouts while something is dragged: at least so many ms, and so many times what showing the last one took. */
const REST = { least: 150, times: 8 };

/** The open document and its plan; a layout that takes longer than a frame is worked out by the worker, the plan follows. */
@Injectable()
export class PlannedDocument {
  private readonly memory = inject(WorkshopMemory);
  private readonly layouts = inject(Layouts);
  private readonly history = inject(DocumentHistory);
  readonly document = signal<Design | null>(null);
  /** a layout that the worker couldn't do */
  readonly failed$ = new Subject<unknown>();
  private readonly laidOut = signal<{ design: Design; layout: PlannedAreas } | null>(null);
  /** what the worker found last, perhaps for a step of a drag that is over */
  private readonly laidPlan = computed(() => {
    const laid = this.laidOut();
    return laid && this.memory.loaded() ? planOf(laid.design, this.memory.workshop(), laid.layout) : null;
  });
  /** The plan of the document; while a long layout is worked out elsewhere, the last good one. */
  readonly plan = linkedSignal<Design | null, Plan | null>({
    source: () => (this.memory.loaded() ? this.document() : null),
    computation: (document, before) => {
      if (!document) return null;
      const workshop = this.memory.workshop();
      const laid = this.laidOut();
      if (laid && sameLayout(laid.design, document)) return planOf(document, workshop, laid.layout);
      if (!isLong(document)) return planOf(document, workshop);
      const lasts = [this.laidPlan(), before?.value];
      return lasts.find((last) => last?.design === document.id) ?? planOf(document, workshop);
    },
  });
  private readonly long = computed(() => isLong(this.document()));
  /** whether the plan is still that of the document before the last change */
  readonly behind = computed(() => {
    const document = this.document();
    const laid = this.laidOut();
    return document !== null && this.long() && !(laid && sameLayout(laid.design, document));
  });

  constructor() {
    this.layOutElsewhere();
  }

  /** Why a change can't be planned, a sentence: areas that can't be told apart. Long layouts are tried by the worker. */
  unclear(before: Design, after: Design): string | null {
    if (sameLayout(before, after) || isLong(after) || !this.memory.loaded()) return null;
    try {
      planOf(after, this.memory.workshop());
      return null;
    } catch (error) {
      if (error instanceof UnclearRegionError) return error.message;
      throw error;
    }
  }

  /** Long layouts go to the worker, one at a time: a hand that drags sees its handle at once, and the areas a few times a second. */
  private layOutElsewhere(): void {
    let wish: Subscription | null = null;
    const ask = () => {
      const design = this.document();
      if (!design || !this.behind() || (wish && !wish.closed)) return;
      wish = this.layouts
        .layout(design.cup, design.areas)
        .pipe(
          tap((layout) => this.laidOut.set({ design, layout })),
          switchMap(() => shown()),
          switchMap((took) => timer(this.history.moving() ? Math.max(REST.least, REST.times * took) : 0)),
        )
        .subscribe({
          complete: () => queueMicrotask(ask),
          error: (error: unknown) => {
            this.failed$.next(error);
            queueMicrotask(ask);
          },
        });
    };
    effect(() => {
      if (this.behind()) untracked(ask);
      else if (!this.document() || !this.long()) this.laidOut.set(null);
    });
    inject(DestroyRef).onDestroy(() => wish?.unsubscribe());
  }
}

const isLong = (design: Design | null): boolean => design !== null && layoutWeight(design.areas) > LONG_WORK;

const sameLayout = (one: Design, other: Design): boolean => one.cup === other.cup && one.areas === other.areas;

/** Emits once what was just set is on the screen, with the ms that took. */
const shown = (): Observable<number> => {
  const begun = performance.now();
  return timer(0, animationFrameScheduler).pipe(
    switchMap(() => timer(0)),
    map(() => performance.now() - begun),
  );
};
