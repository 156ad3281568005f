import { inject, Injectable } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router } from '@angular/router';
import { catchError, concatMap, debounceTime, EMPTY, filter, fromEvent, merge, Subject } from 'rxjs';
import { WorkshopMemory } from './workshop';

/** ms in which several reasons to look again are one. */
const SETTLED = 150;

/**
 * Keeps the workshop as this page knows it up with what others do to it: a coat laid at the bench takes from the shelf,
 * a tablet and another window write to the same one. It looks again at each new place, whenever somebody comes back to the
 * page, and where it is told that something happened.
 */
@Injectable({ providedIn: 'root' })
export class Following {
  private readonly told = new Subject<void>();

  constructor() {
    const memory = inject(WorkshopMemory);
    const elsewhere = inject(Router).events.pipe(filter((event) => event instanceof NavigationEnd));
    const back = fromEvent(document, 'visibilitychange').pipe(filter(() => document.visibilityState === 'visible'));
    merge(elsewhere, back, fromEvent(window, 'focus'), this.told)
      .pipe(
        debounceTime(SETTLED),
        // It is looked again with the next step; what else fails while the program isn't reached is said.
        concatMap(() => memory.follow().pipe(catchError(() => EMPTY))),
        takeUntilDestroyed(),
      )
      .subscribe();
  }

  /** Something happened that may have changed it. */
  look(): void {
    this.told.next();
  }
}
