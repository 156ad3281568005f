import { Injectable } from '@angular/core';
import type { FlakeField } from '@aurantia/core';
import { Observable } from 'rxjs';
import type { FlakeRequest } from '../workers/flake-request';
import { newFlakeWorker } from '../workers/new-worker';

interface Job {
  readonly slot: string;
  readonly request: FlakeRequest;
  done(field: FlakeField): void;
  failed(error: Error): void;
}

/** Hands flake pictures to the worker, one at a time; a newer wish for the same slot replaces an older. */
@Injectable({ providedIn: 'root' })
export class Flakes {
  private worker: Worker | null = null;
  private queue: Job[] = [];
  private running: Job | null = null;

  /** Emits once. Unsubscribing takes the wish back. */
  picture(slot: string, request: FlakeRequest): Observable<FlakeField> {
    return new Observable((subscriber) => {
      const job: Job = {
        slot,
        request,
        done: (field) => (subscriber.next(field), subscriber.complete()),
        failed: (error) => subscriber.error(error),
      };
      this.queue = [...this.queue.filter((one) => one.slot !== slot), job];
      this.next();
      return () => {
        this.queue = this.queue.filter((one) => one !== job);
      };
    });
  }

  private next(): void {
    if (this.running) return;
    const job = this.queue.shift();
    if (!job) return;
    this.running = job;
    const worker = (this.worker ??= newFlakeWorker());
    worker.onmessage = ({ data }: MessageEvent<FlakeField>) => this.finish(() => job.done(data));
    worker.onerror = (event) => this.finish(() => job.failed(new Error(event.message)));
    worker.postMessage(job.request);
  }

  private finish(tell: () => void): void {
    this.running = null;
    tell();
    this.next();
  }
}
