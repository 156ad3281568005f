import { Injectable } from '@angular/core';
import type { FlakeField } from '@aurantia/core';
import { Observable, type Subscriber } from 'rxjs';
import { STOP, type FlakeReply, type FlakeRequest } from '../workers/flake-request';
import { newFlakeWorker, workerFailed, type FlakeCrew } from '../workers/new-worker';

interface Job {
  readonly slot: string;
  readonly request: FlakeRequest;
  readonly page: Subscriber<FlakeField>;
}

/** Hands flake pictures to the worker, one at a time; a newer wish for the same slot replaces an older. */
@Injectable({ providedIn: 'root' })
export class Flakes {
  private worker: FlakeCrew | null = null;
  private queue: Job[] = [];
  private running: Job | null = null;

  /** Emits a large picture coarse at first, and the picture once all flakes lie. Unsubscribing takes the wish back, or stops the work on it. */
  picture(slot: string, request: FlakeRequest): Observable<FlakeField> {
    return new Observable((page) => {
      const job: Job = { slot, request, page };
      this.queue = [...this.queue.filter((one) => one.slot !== slot), job];
      this.next();
      return () => {
        this.queue = this.queue.filter((one) => one !== job);
        if (this.running === job) this.worker?.postMessage(STOP);
      };
    });
  }

  private next(): void {
    if (this.running) return;
    const job = this.queue.shift();
    if (!job) return;
    this.running = job;
    const worker = (this.worker ??= newFlakeWorker());
    worker.onmessage = ({ data }: MessageEvent<FlakeReply>) => {
      if ('field' in data) {
        job.page.next(data.field);
        if (data.field.done === 1) this.finish(() => job.page.complete());
      } else if ('sentence' in data) this.finish(() => job.page.error(new Error(data.sentence)));
      else this.finish(() => undefined);
    };
    worker.onerror = (event) => {
      // A worker that failed answers no more: the next wish gets a new one.
      worker.terminate();
      this.worker = null;
      this.finish(() => job.page.error(new Error(workerFailed(event))));
    };
    worker.postMessage(job.request);
  }

  private finish(tell: () => void): void {
    this.running = null;
    tell();
    this.next();
  }
}
