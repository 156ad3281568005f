import { computed, DestroyRef, effect, inject, Injectable, linkedSignal, signal, untracked } from '@angular/core';
import {
  withFix,
  designSchema,
  faultsOf,
  layoutWeight,
  planOf,
  UnclearRegionError,
  type CoatId,
  type Design,
  type Fix,
  type Plan,
  type PlannedAreas,
} from '@aurantia/core';
import { animationFrameScheduler, map, switchMap, tap, timer, type Observable, type Subscription } from 'rxjs';
import { v7 } from 'uuid';
import { Api, ApiError } from '../services/api';
import { DesignList, keptDesignSchema, type KeptDesign } from '../services/designs';
import { Layouts } from '../services/layouts';
import { Drafts } from '../services/drafts';
import { Notices } from '../services/notices';
import { WorkshopMemory } from '../services/workshop';
import { Autosave } from './autosave';

/** Outlines of more points than this are laid out by the worker: they may take longer than a frame. */
const LONG_WORK = 2500;
/** Between two long layouts while something is dragged: at least so many ms, and so many times what showing the last one took. */
const REST = { least: 150, times: 8 };

/** The open design: its document, its plan, the way back and forth. Lives as long as the workspace. */
@Injectable()
export class DesignSession {
  private readonly api = inject(Api);
  private readonly drafts = inject(Drafts);
  private readonly notices = inject(Notices);
  private readonly list = inject(DesignList);
  private readonly memory = inject(WorkshopMemory);
  readonly saving = inject(Autosave);

  readonly document = signal<Design | null>(null);
  readonly missing = signal<string | null>(null);
  private readonly layouts = inject(Layouts);
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
  /** changes of one name in a row: a drag, a key held down */
  private readonly gesture = signal<string | null>(null);
  readonly moving = computed(() => this.gesture() !== null);
  private readonly past = signal<readonly Design[]>([]);
  private readonly future = signal<readonly Design[]>([]);
  readonly canUndo = computed(() => this.past().length > 0);
  readonly canRedo = computed(() => this.future().length > 0);

  constructor() {
    const elsewhere = new BroadcastChannel('aurantia designs');
    elsewhere.onmessage = ({ data }: MessageEvent<{ id: string; revision: number }>) => this.changedElsewhere(data);
    inject(DestroyRef).onDestroy(() => elsewhere.close());
    this.layOutElsewhere();
    inject(DestroyRef).onDestroy(() => this.endGesture());
    this.saving.kept$.subscribe((kept) => elsewhere.postMessage({ id: kept.document.id, revision: kept.revision }));
  }

  open(id: string): void {
    this.api.get(`designs/${encodeURIComponent(id)}`, keptDesignSchema).subscribe({
      next: (kept) => void this.begin(kept),
      error: (error: unknown) => {
        if (error instanceof ApiError && error.problem.status === 404) this.missing.set(error.problem.detail);
        else this.notices.failed(error, () => this.open(id));
      },
    });
  }

  /**
   * Takes a change if the design stays sound, else leaves the last good one.
   * @param gesture changes of one name in a row are one step back: a drag, a key held down
   * @returns the sentence to show beside the field, or null when it was taken
   */
  change(edit: (design: Design) => Design, gesture: string | null = null): string | null {
    const before = this.document();
    if (!before) return null;
    const after = edit(before);
    if (after === before) return null;
    const read = designSchema.safeParse(after);
    if (!read.success) return faultsOf(read.error)[0]?.sentence ?? 'This can’t be kept.';
    const unclear = this.unclear(before, after);
    if (unclear) return unclear;
    const goesOn = gesture !== null && gesture === this.gesture();
    this.gesture.set(gesture);
    if (goesOn) {
      this.document.set(after);
      return null;
    }
    // The edited object, not the parsed copy, so that unchanged parts stay the same objects.
    this.past.set([...this.past().slice(-99), before]);
    this.future.set([]);
    this.take(after);
    this.gesture.set(gesture);
    return null;
  }

  /** A drag or a held key ended: what it came to is kept. */
  endGesture(): void {
    const document = this.document();
    if (untracked(this.gesture) === null || !document) return;
    this.gesture.set(null);
    this.saving.offer(document);
  }

  fix(fix: Fix): void {
    const refused = this.change((design) => withFix(design, fix, this.memory.workshop(), v7() as CoatId));
    if (refused) this.notices.say(refused);
  }

  undo(): void {
    const before = this.past().at(-1);
    const now = this.document();
    if (!before || !now) return;
    this.past.set(this.past().slice(0, -1));
    this.future.set([...this.future(), now]);
    this.take(before);
  }

  redo(): void {
    const next = this.future().at(-1);
    const now = this.document();
    if (!next || !now) return;
    this.future.set(this.future().slice(0, -1));
    this.past.set([...this.past(), now]);
    this.take(next);
  }

  /** Goes on with the version from the other window; ours stays one undo away. */
  takeTheirs(): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    this.past.set([...this.past(), ours]);
    this.document.set(conflict.document);
    this.saving.start(conflict);
    void this.drafts.drop(ours.id);
  }

  /** Puts ours on top of theirs as the next revision; theirs stays in the history. */
  putOursOnTop(): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    this.saving.start(conflict);
    this.take(ours);
  }

  /** Keeps ours as a design of its own and leaves theirs as it is. */
  keepOursApart(then: (kept: KeptDesign) => void): void {
    const conflict = this.saving.conflict();
    const ours = this.document();
    if (!conflict || !ours) return;
    const copy: Design = { ...ours, id: v7() as Design['id'], name: `${ours.name}, mine`.slice(0, 80) };
    this.list.create(copy).subscribe({
      next: (kept) => {
        this.takeTheirs();
        then(kept);
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private async begin(kept: KeptDesign): Promise<void> {
    this.past.set([]);
    this.future.set([]);
    this.missing.set(null);
    this.saving.start(kept);
    const draft = await this.drafts.take(kept.document.id);
    if (!draft) {
      this.document.set(kept.document);
      return;
    }
    // Typed before, never kept: go on from it, onto the revision it was typed on.
    this.document.set(draft.document);
    this.past.set([kept.document]);
    this.saving.offer(draft.document, draft.parent);
  }

  /** Areas that can't be told apart are refused like any other fault; long layouts are tried by the worker. */
  private unclear(before: Design, after: Design): string | null {
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
          switchMap((took) => timer(this.moving() ? Math.max(REST.least, REST.times * took) : 0)),
        )
        .subscribe({
          complete: () => queueMicrotask(ask),
          error: (error: unknown) => {
            this.notices.failed(error);
            if (this.canUndo()) this.undo();
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

  private take(document: Design): void {
    this.gesture.set(null);
    this.document.set(document);
    this.saving.offer(document);
  }

  private changedElsewhere({ id, revision }: { id: string; revision: number }): void {
    if (this.document()?.id !== id || revision <= this.saving.revision() || this.saving.state() !== 'kept') return;
    this.api.get(`designs/${encodeURIComponent(id)}`, keptDesignSchema).subscribe((kept) => {
      if (this.saving.state() !== 'kept') return;
      this.saving.start(kept);
      this.document.set(kept.document);
      // The steps back lead to what that window changed: going them would write over it.
      this.past.set([]);
      this.future.set([]);
      this.notices.say(`Changed in another window: this is revision ${kept.revision} now, and Undo begins anew.`);
    });
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
