import { Injectable } from '@angular/core';
import type { FlakeField } from '@aurantia/core';
import { Observable, type Subscriber } from 'rxjs';
import { STOP, type FlakeReply, type FlakeRequest } from '../workers/flake-request';
import { newFlakeWorker, workerFailed, type FlakeCrew } from '../workers/new-worker';
import { FieldsSeen } from './fields-seen';
import { WishLine, type PageWish } from './wish-line';

interface Job extends PageWish {
  readonly request: FlakeRequest;
  readonly page: Subscriber<FlakeField>;
}

/**
 * Hands flake pictures to the worker, one at a time; a newer wish for the same slot replaces an older. What was shown lately is
 * here at once.
 */
@Injectable({ providedIn: 'root' })
export class Flakes {
  private worker: FlakeCrew | null = null;
  private readonly line = new WishLine<Job>((job) => this.begin(job));
  private readonly seen = new FieldsSeen();

  /** Emits a large picture coarse at first, and the picture once all flakes lie. Unsubscribing takes the wish back, or stops the work on it. */
  picture(slot: string, request: FlakeRequest): Observable<FlakeField> {
    return new Observable((page) => {
      const before = this.seen.of(request);
      if (before) {
        page.next(before);
        page.complete();
        return;
      }
      const job: Job = { slot, request, page };
      this.line.add(job);
      return () => {
        if (this.line.takeBack(job)) this.worker?.postMessage(STOP);
      };
    });
  }

  private begin({ request }: Job): void {
    const worker = (this.worker ??= this.crew());
    worker.postMessage(request);
  }

  private crew(): FlakeCrew {
    const crew = newFlakeWorker();
    crew.onmessage = ({ data }: MessageEvent<FlakeReply>) => {
      const job = this.line.now();
      if ('field' in data && data.field.done < 1) return job?.page.next(data.field);
      if ('field' in data && job) this.seen.keep(job.request, data.field);
      this.line.done((page) => {
        if ('sentence' in data) return page.error(new Error(data.sentence));
        if ('field' in data) page.next(data.field);
        page.complete();
      });
    };
    crew.onerror = (event) => {
      // A worker that failed answers no more: the next wish gets a new one.
      crew.terminate();
      this.worker = null;
      this.line.done((page) => page.error(new Error(workerFailed(event))));
    };
    return crew;
  }
}
