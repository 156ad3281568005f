import { Injectable, type OnDestroy } from '@angular/core';
import { Observable } from 'rxjs';
import { workerFailed } from '../workers/new-worker';
import { WorkerError } from './worker-error';

/** What a worker says where it can't do what it is asked. */
interface Refusal {
  readonly sentence: string;
}

/** How long a worker is kept that nobody asks anything, ms. */
const REST = 60_000;

/**
 * Has workers answer. One of a kind rests here once it has answered: to begin one costs a quarter of a second of reading its code
 * and warming up, which whoever asks next is spared.
 */
@Injectable({ providedIn: 'root' })
export class Workers implements OnDestroy {
  private readonly resting = new Map<() => Worker, { readonly worker: Worker; readonly leaves: ReturnType<typeof setTimeout> }>();

  /**
   * Asks a worker that has nothing else to do, again and again answered until an answer is the last; fails with the sentence that
   * the worker says, or with what its failure is to a maker. Unsubscribing before ends the work, and the worker with it.
   */
  ask<Reply extends object>(
    make: () => Worker,
    request: unknown,
    isLast: (reply: Exclude<Reply, Refusal>) => boolean,
  ): Observable<Exclude<Reply, Refusal>> {
    return new Observable((subscriber) => {
      const worker = this.rested(make);
      let works = true;
      const done = () => {
        works = false;
        this.rest(make, worker);
      };
      worker.onmessage = ({ data }: MessageEvent<Exclude<Reply, Refusal> | Refusal>) => {
        if ('sentence' in data) {
          done();
          return subscriber.error(new WorkerError(data.sentence));
        }
        const last = isLast(data);
        if (last) done();
        subscriber.next(data);
        if (last) subscriber.complete();
      };
      worker.onerror = (event) => subscriber.error(new WorkerError(workerFailed(event)));
      worker.postMessage(request);
      return () => {
        if (works) worker.terminate();
      };
    });
  }

  ngOnDestroy(): void {
    for (const { worker, leaves } of this.resting.values()) {
      clearTimeout(leaves);
      worker.terminate();
    }
    this.resting.clear();
  }

  private rested(make: () => Worker): Worker {
    const rested = this.resting.get(make);
    if (!rested) return make();
    clearTimeout(rested.leaves);
    this.resting.delete(make);
    return rested.worker;
  }

  private rest(make: () => Worker, worker: Worker): void {
    worker.onmessage = null;
    worker.onerror = null;
    if (this.resting.has(make)) return worker.terminate();
    const leaves = setTimeout(() => {
      this.resting.delete(make);
      worker.terminate();
    }, REST);
    this.resting.set(make, { worker, leaves });
  }
}
