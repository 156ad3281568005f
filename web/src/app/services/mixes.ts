import { Injectable } from '@angular/core';
import type { ShelfAnswer, ShelfItem, ShelfWish } from '@aurantia/core';
import { Observable } from 'rxjs';
import type { MixesReply } from '../workers/mixes-request';
import { newMixesWorker, workerFailed } from '../workers/new-worker';

/** Has the shelf searched for mixes off the main thread. */
@Injectable({ providedIn: 'root' })
export class Mixes {
  /** Emits the best known again and again, completes when all is proven. Unsubscribing stops the search at once. */
  find(wish: ShelfWish, shelf: readonly ShelfItem[]): Observable<ShelfAnswer> {
    return new Observable((subscriber) => {
      const worker = newMixesWorker();
      worker.onmessage = ({ data }: MessageEvent<MixesReply>) => {
        if ('sentence' in data) subscriber.error(new Error(data.sentence));
        else {
          subscriber.next(data.answer);
          if (data.answer.over) subscriber.complete();
        }
      };
      worker.onerror = (event) => subscriber.error(new Error(workerFailed(event)));
      worker.postMessage({ wish, shelf });
      return () => worker.terminate();
    });
  }
}
