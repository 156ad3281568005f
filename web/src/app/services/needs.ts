import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { jarNeedsSchema, type JarNeed } from '@aurantia/core/make';
import { catchError, debounceTime, EMPTY, filter, merge, Subject, switchMap } from 'rxjs';
import { Api } from './api';
import { Asking } from './asking';
import { WorkshopMemory } from './workshop';

/** ms in which several reasons to look again are one. */
const SETTLED = 600;

/** What the cups on the bench will take from the shelf: looked at again whenever the shelf, or the place, is another. */
@Injectable({ providedIn: 'root' })
export class Needs {
  private readonly api = inject(Api);
  private readonly memory = inject(WorkshopMemory);
  private readonly changed = new Subject<void>();
  /** what runs out first is the first; null until it is known */
  readonly needs = signal<readonly JarNeed[] | null>(null);
  readonly short = computed(() => (this.needs() ?? []).filter(({ short }) => short > 0));

  constructor() {
    if (!inject(Asking).all) return;
    const elsewhere = inject(Router).events.pipe(filter((event) => event instanceof NavigationEnd));
    merge(this.changed, elsewhere)
      .pipe(
        debounceTime(SETTLED),
        // It is asked for again with the next step; what else fails while the program isn't reached is said.
        switchMap(() => this.api.get('makes/needs', jarNeedsSchema).pipe(catchError(() => EMPTY))),
        takeUntilDestroyed(),
      )
      .subscribe(({ needs }) => this.needs.set(needs));
    effect(() => {
      if (this.memory.loaded() && this.memory.shelf()) untracked(() => this.changed.next());
    });
  }
}
