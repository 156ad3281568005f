import { Injectable } from '@angular/core';
import type { Area, Cup, PlannedAreas } from '@aurantia/core';
import { Observable } from 'rxjs';
import type { LayoutReply } from '../workers/layout-request';
import { newLayoutWorker, workerFailed } from '../workers/new-worker';

/** Has a cup split into its areas off the main thread. Only the newest wish is worked on; older ones end without a word. */
@Injectable({ providedIn: 'root' })
export class Layouts {
  private worker: Worker | null = null;
  private running = false;
  private waiting: (() => void) | null = null;

  /** Emits once, or fails with the sentence for a layout that can't be. Unsubscribing takes the wish back. */
  layout(cup: Cup, areas: readonly Area[]): Observable<PlannedAreas> {
    return new Observable((subscriber) => {
      let wanted = true;
      const start = () => {
        if (!wanted) {
          this.next();
          return;
        }
        this.running = true;
        const worker = (this.worker ??= newLayoutWorker());
        worker.onmessage = ({ data }: MessageEvent<LayoutReply>) => {
          if (wanted && data.layout) {
            subscriber.next(data.layout);
            subscriber.complete();
          } else if (wanted) subscriber.error(new Error(data.sentence ?? 'This layout can’t be worked out.'));
          this.next();
        };
        worker.onerror = (event) => {
          // A worker that failed answers no more: the next wish gets a new one.
          worker.terminate();
          this.worker = null;
          if (wanted) subscriber.error(new Error(workerFailed(event)));
          this.next();
        };
        worker.postMessage({ cup, areas });
      };
      if (this.running) this.waiting = start;
      else start();
      return () => (wanted = false);
    });
  }

  private next(): void {
    this.running = false;
    const start = this.waiting;
    this.waiting = null;
    start?.();
  }
}
