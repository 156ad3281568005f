import { inject, Injectable } from '@angular/core';
import type { ShelfAnswer, ShelfItem, ShelfWish } from '@aurantia/core';
import { map, type Observable } from 'rxjs';
import type { MixesReply } from '../workers/mixes-request';
import { newMixesWorker } from '../workers/new-worker';
import { Workers } from './workers';

/** Has the shelf searched for mixes off the main thread. */
@Injectable({ providedIn: 'root' })
export class Mixes {
  private readonly workers = inject(Workers);
  /** Emits the best known again and again, completes when all is proven. Unsubscribing stops the search at once. */
  find(wish: ShelfWish, shelf: readonly ShelfItem[]): Observable<ShelfAnswer> {
    return this.workers
      .ask<MixesReply>(newMixesWorker, { wish, shelf }, ({ answer }) => answer.over)
      .pipe(map(({ answer }) => answer));
  }
}
