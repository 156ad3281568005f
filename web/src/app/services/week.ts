import { computed, inject, Injectable, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import {
  jobSchema,
  movedBetween,
  movedSince,
  placedIn,
  weekBookSchema,
  weekDataSchema,
  wishOf,
  type JobMoved,
  type Placed,
  type WeekBook,
  type WeekData,
  type WeekPlan,
} from '@aurantia/core/week';
import { orderOfJob, type Order } from '@aurantia/core/order';
import { combineLatest, filter, map, switchMap, take, type Observable, type Subscription } from 'rxjs';
import * as z from 'zod';
import { newWeekWorker } from '../workers/new-worker';
import type { WeekPlanned, WeekRequest, WeekRoom } from '../workers/week-request';
import { Api } from './api';
import { Workers } from './workers';
import { Notices } from './notices';
import { keptElsewhere, OrderedSaving } from './ordered-saving';
import { WorkshopTime } from './workshop-time';

const keptSchema = z.object({ document: weekBookSchema, revision: z.int() });
const jobsSchema = z.object({
  jobs: z.array(jobSchema),
  troubles: z.array(z.object({ says: z.string() }).loose()),
});

/** What moved a plan: what was changed here, or what came meanwhile at the bench, by the clock or in another window. */
type MovedBy = 'change' | 'meanwhile';

/** Tries that a plan anew is worth, and one that only follows what is there. */
const TRIES = { anew: 6000, follow: 600 } as const;

/** The zone of the wall clock beside this screen. */
export const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The week as this page knows it: what there is to do, and the plan, worked out in a worker. */
@Injectable({ providedIn: 'root' })
export class Week {
  private readonly workers = inject(Workers);
  private readonly api = inject(Api);
  private readonly time = inject(WorkshopTime);
  private readonly notices = inject(Notices);
  private working: Subscription | null = null;
  private readonly saving = new OrderedSaving<WeekBook>((_, document, parent) =>
    this.api.put('week', { parent: parent ?? 0, document }, keptSchema),
  );

  readonly data = signal<WeekData | null>(null);
  readonly planned = signal<WeekPlanned | null>(null);
  readonly busy = signal(false);
  /** what moved last, and by what; null where nothing did yet */
  readonly moved = signal<{ readonly by: MovedBy; readonly jobs: readonly JobMoved[] } | null>(null);
  readonly plan = computed(() => this.planned()?.plan ?? null);
  /** what there is to do, once it is here */
  private readonly here = toObservable(this.data).pipe(filter((data) => data !== null));

  /** Asks what there is to do now, and follows the plan that was kept. */
  load(): void {
    this.api.get(`week?zone=${encodeURIComponent(ZONE)}`, weekDataSchema).subscribe({
      next: (data) => {
        this.time.set(data.now);
        this.take(data);
        if (!this.plan()) this.moved.set(null);
        this.work(data, data.book.placed.length > 0 ? data.book.placed : null, 'meanwhile');
      },
      error: (error: unknown) => this.notices.failed(error, () => this.load()),
    });
  }

  /** Works the whole week out anew, whatever stood where; what is pinned stays. */
  planAnew(): void {
    const data = this.data();
    if (data) this.work(data, null, 'change');
  }

  /** Enough: the best so far stands. */
  stop(): void {
    this.working?.unsubscribe();
    this.working = null;
    this.busy.set(false);
    this.keepPlan();
  }

  /** Other hands or arms, other blocks or pins: the plan follows, with as little moved as can be. */
  change(change: Partial<Omit<WeekBook, 'placed'>>): void {
    const data = this.data();
    if (!data) return;
    const plan = this.plan();
    const next = { ...data, book: { ...data.book, ...change } };
    this.keep(next.book, () => {
      // Other arms part orders otherwise: what there is to do is asked anew.
      if (change.means) this.reloadJobs(plan);
      else this.work(next, plan && placedIn(plan), 'change');
    });
  }

  /** What a change would come to, without making it. */
  whatIf(
    change: Partial<Omit<WeekBook, 'placed'>>,
  ): Observable<{ readonly plan: WeekPlan; readonly moved: readonly JobMoved[] }> {
    const [data, plan] = [this.data(), this.plan()];
    const wish = data && { ...wishOf(data, ZONE, this.time.now()), ...change };
    return this.workers
      .ask<WeekPlanned>(newWeekWorker, { asks: 'plan', wish, before: null, tries: TRIES.follow }, ({ done }) => done)
      .pipe(map((answer) => ({ plan: answer.plan, moved: plan ? movedBetween(plan, answer.plan) : [] })));
  }

  /** Whether there is room for an order that isn’t taken yet, and when it has to be begun. */
  roomFor(order: Order): Observable<WeekRoom> {
    const asked = this.api.post(`week/jobs?zone=${encodeURIComponent(ZONE)}`, order, jobsSchema);
    return combineLatest([this.here, asked]).pipe(
      take(1),
      switchMap(([data, { jobs, troubles }]) => {
        const [trouble] = troubles;
        if (trouble) throw new Error(trouble.says);
        const plan = this.plan();
        // One that is changed takes its own place.
        const others = data.jobs.filter(({ id }) => orderOfJob(id)?.order !== order.id);
        const request: WeekRequest = {
          asks: 'room',
          wish: { ...wishOf(data, ZONE, this.time.now()), jobs: others },
          before: plan ? placedIn(plan) : [],
          jobs,
        };
        return this.workers.ask<WeekRoom>(newWeekWorker, request, () => true);
      }),
    );
  }

  private take(data: WeekData): void {
    this.saving.note('week', data.revision);
    this.data.set(data);
  }

  private reloadJobs(plan: WeekPlan | null): void {
    this.api.get(`week?zone=${encodeURIComponent(ZONE)}`, weekDataSchema).subscribe({
      next: (data) => {
        this.take(data);
        this.work(data, plan && placedIn(plan), 'change');
      },
      error: (error: unknown) => this.notices.failed(error, () => this.reloadJobs(plan)),
    });
  }

  private work(data: WeekData, before: readonly Placed[] | null, by: MovedBy): void {
    this.working?.unsubscribe();
    const was = this.plan();
    this.busy.set(true);
    const wish = wishOf(data, ZONE, this.time.now());
    const request: WeekRequest = { asks: 'plan', wish, before, tries: before ? TRIES.follow : TRIES.anew };
    this.working = this.workers
      .ask<WeekPlanned>(newWeekWorker, request, ({ done }) => done)
      .subscribe({
        next: (planned) => {
          this.planned.set(planned);
          if (was) this.moved.set({ by, jobs: movedBetween(was, planned.plan) });
          else if (before) this.moved.set({ by, jobs: movedSince(before, planned.plan) });
        },
        error: (error: unknown) => {
          this.busy.set(false);
          this.notices.failed(error);
        },
        complete: () => {
          this.busy.set(false);
          this.keepPlan();
        },
      });
  }

  /** Keeps the plan where it isn’t the one that is kept. */
  private keepPlan(): void {
    const [data, plan] = [this.data(), this.plan()];
    if (!data || !plan) return;
    const placed = placedIn(plan);
    if (JSON.stringify(placed) !== JSON.stringify(data.book.placed)) this.keep({ ...data.book, placed });
  }

  /** Shown at once, and kept in its order: a plan that ends meanwhile and a pin never go over each other. */
  private keep(book: WeekBook, then: () => void = () => undefined): void {
    const data = this.data();
    if (!data) return;
    this.data.set({ ...data, book });
    this.saving.save('week', book).subscribe({
      next: ({ revision }) => {
        const now = this.data();
        if (now) this.data.set({ ...now, revision });
        then();
      },
      error: (error: unknown) => {
        if (keptElsewhere(error, weekBookSchema)) this.notices.say('The week was changed in another window; that is shown now.');
        else this.notices.failed(error);
        this.load();
      },
    });
  }
}
