import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { designSchema, type Design } from '@aurantia/core';
import { catchError, concatMap, debounceTime, EMPTY, filter, fromEvent, interval, merge, of, Subject } from 'rxjs';
import * as z from 'zod';
import { Api, ApiError } from '../services/api';
import { DesignList } from '../services/designs';
import { keptDesignSchema, type KeptDesign } from '../services/kept-designs';
import { Drafts } from '../services/drafts';
import { Notices } from '../services/notices';

export type SavingState = 'kept' | 'keeping' | 'offline' | 'conflict' | 'refused' | 'removed' | 'no room';

const conflictSchema = z.object({ latest: keptDesignSchema });

/** How long a maker pauses before the design is kept, ms. */
const PAUSE = 600;
/** How often an unreachable program is tried again, ms. */
const TRY_AGAIN = 3000;

/** Keeps the open design: each save names its parent, waits while offline, stops at a conflict. */
@Injectable()
export class Autosave {
  private readonly api = inject(Api);
  private readonly drafts = inject(Drafts);
  private readonly list = inject(DesignList);
  private readonly notices = inject(Notices);

  readonly state = signal<SavingState>('kept');
  readonly revision = signal(0);
  readonly keptAt = signal<string | null>(null);
  /** the newer version that stands in the way */
  readonly conflict = signal<KeptDesign | null>(null);
  readonly kept$ = new Subject<KeptDesign>();

  private readonly typed$ = new Subject<void>();
  private waiting: Design | null = null;
  private parent = 0;

  constructor() {
    const back = merge(fromEvent(window, 'online'), interval(TRY_AGAIN)).pipe(
      takeUntilDestroyed(),
      filter(() => this.state() === 'offline' || this.state() === 'no room'),
    );
    // Leaving the workspace ends the typing at once: what waited is sent, and a save under way is
    // let finish.
    const typed = this.typed$.pipe(takeUntilDestroyed(), debounceTime(PAUSE));
    merge(typed, back)
      .pipe(concatMap(() => this.save()))
      .subscribe();
    inject(DestroyRef).onDestroy(() => this.kept$.complete());
  }

  /** Goes on from a kept revision: the next save goes on top of it. */
  start(kept: KeptDesign): void {
    this.waiting = null;
    this.conflict.set(null);
    this.noteKept(kept);
  }

  /** A changed document, to be kept soon; at once in this browser. */
  offer(document: Design, parent = this.parent): void {
    this.parent = parent;
    this.waiting = document;
    void this.drafts.keep(document.id, { parent, document });
    if (this.state() === 'conflict') return;
    if (this.state() === 'removed') return;
    if (this.state() !== 'offline' && this.state() !== 'no room') this.state.set('keeping');
    this.typed$.next();
  }

  private save() {
    const document = this.waiting;
    if (!document || this.state() === 'conflict' || this.state() === 'removed') return EMPTY;
    this.waiting = null;
    return this.api.put(`designs/${encodeURIComponent(document.id)}`, { parent: this.parent, document }, keptDesignSchema).pipe(
      concatMap((kept) => {
        this.noteKept(kept);
        this.list.changed();
        this.kept$.next(kept);
        if (this.waiting) {
          this.state.set('keeping');
          void this.drafts.keep(document.id, { parent: kept.revision, document: this.waiting });
        } else {
          void this.drafts.drop(document.id);
        }
        return of(kept);
      }),
      catchError((error: unknown) => {
        this.waiting ??= document;
        this.stumble(error, document);
        return EMPTY;
      }),
    );
  }

  /** A design that was removed elsewhere while it was worked on here comes back, with what was typed since. */
  bringBack(id: string): void {
    this.api.post(`designs/${encodeURIComponent(id)}/restore`, {}, keptDesignSchema).subscribe({
      next: () => {
        this.state.set('keeping');
        this.typed$.next();
      },
      error: (error: unknown) => this.notices.failed(error),
    });
  }

  private noteKept(kept: KeptDesign): void {
    this.parent = kept.revision;
    this.revision.set(kept.revision);
    this.keptAt.set(kept.keptAt);
    this.state.set('kept');
  }

  private stumble(error: unknown, sent: Design): void {
    if (error instanceof ApiError && error.offline) {
      this.state.set('offline');
      return;
    }
    // The memory can't write just now (a full disk, a locked file): what was typed waits, and is tried again.
    if (error instanceof ApiError && error.problem.status === 507) {
      if (this.state() !== 'no room') this.notices.failed(error);
      this.state.set('no room');
      return;
    }
    if (error instanceof ApiError && error.problem.status === 410) {
      this.state.set('removed');
      this.notices.offer(error.problem.detail, 'Bring it back', () => this.bringBack(sent.id));
      return;
    }
    const newer = error instanceof ApiError && error.problem.status === 409 ? conflictSchema.safeParse(error.problem) : null;
    if (newer?.success && sameDesign(newer.data.latest.document, sent)) {
      // Our own save had come through; only its answer was lost, to a reload or a dropped line.
      const typedSince = this.waiting === sent ? null : this.waiting;
      this.start(newer.data.latest);
      void this.drafts.drop(sent.id);
      if (typedSince) this.offer(typedSince);
      return;
    }
    if (newer?.success) {
      this.conflict.set(newer.data.latest);
      this.state.set('conflict');
      return;
    }
    this.state.set('refused');
    this.notices.failed(error);
  }
}

/** Alike in everything but the order in which fields were written. */
const sameDesign = (one: Design, other: Design): boolean =>
  JSON.stringify(designSchema.parse(one)) === JSON.stringify(designSchema.parse(other));
