import { Injectable } from '@angular/core';
import type { CupPicture } from '@aurantia/core/figure';
import { Observable, type Subscriber } from 'rxjs';
import { newPainterWorker, workerFailed } from '../workers/new-worker';
import type { PaintedSubject, PainterReply, PainterRequest } from '../workers/painter-request';

interface Job {
  readonly slot: string;
  readonly subject: PaintedSubject;
  readonly how: CupPicture;
  readonly page: Subscriber<ImageBitmap>;
}

/** Has cups painted where there is no graphics card, one at a time; a newer wish for the same slot replaces one that waits. */
@Injectable({ providedIn: 'root' })
export class Painter {
  private worker: Worker | null = null;
  private queue: Job[] = [];
  private running: Job | null = null;
  /** what the worker was given last, and keeps */
  private known: PaintedSubject | null = null;

  /** Gives a picture once. A wish that another of its slot replaced, or that was taken back, gives none. */
  picture(slot: string, subject: PaintedSubject, how: CupPicture): Observable<ImageBitmap> {
    return new Observable((page) => {
      const job: Job = { slot, subject, how, page };
      const older = this.queue.filter((one) => one.slot === slot);
      this.queue = [...this.queue.filter((one) => one.slot !== slot), job];
      for (const one of older) one.page.complete();
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
    const worker = (this.worker ??= newPainterWorker());
    worker.onmessage = ({ data }: MessageEvent<PainterReply>) =>
      this.finish(() => {
        if ('sentence' in data) return job.page.error(new Error(data.sentence));
        // Nobody waits for it any more; it is large, and would stay until memory is tidied.
        if (job.page.closed) data.picture.close();
        job.page.next(data.picture);
        job.page.complete();
      });
    worker.onerror = (event) => {
      // A worker that failed answers no more: the next wish gets a new one.
      worker.terminate();
      this.worker = null;
      this.known = null;
      this.finish(() => job.page.error(new Error(workerFailed(event))));
    };
    const { subject, how } = job;
    const same = this.known?.field === subject.field && this.known.cup === subject.cup;
    this.known = subject;
    worker.postMessage({ subject: same ? null : subject, how } satisfies PainterRequest);
  }

  private finish(tell: () => void): void {
    this.running = null;
    tell();
    this.next();
  }
}
