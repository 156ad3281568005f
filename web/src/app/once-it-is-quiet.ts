import { Injectable } from '@angular/core';
import type { PreloadingStrategy, Route } from '@angular/router';
import { EMPTY, Observable, switchMap } from 'rxjs';

/** ms after which the browser is taken to be as quiet as it will get */
const AT_LAST = 2000;

/** Fetches the stages of an open design one after the other once nothing else is going on, so that the next opens at once. */
@Injectable({ providedIn: 'root' })
export class OnceItIsQuiet implements PreloadingStrategy {
  preload(route: Route, load: () => Observable<unknown>): Observable<unknown> {
    return route.data?.['ahead'] === true ? onceItIsQuiet.pipe(switchMap(load)) : EMPTY;
  }
}

/** Emits once when nothing else is going on. */
export const onceItIsQuiet = new Observable<void>((watcher) => {
  // Not every browser says when it is quiet: those of some tablets don't.
  if (!('requestIdleCallback' in globalThis)) {
    const wait = setTimeout(() => {
      watcher.next();
      watcher.complete();
    }, AT_LAST);
    return () => clearTimeout(wait);
  }
  const call = requestIdleCallback(
    () => {
      watcher.next();
      watcher.complete();
    },
    { timeout: AT_LAST },
  );
  return () => cancelIdleCallback(call);
});
