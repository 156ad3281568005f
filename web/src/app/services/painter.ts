import { DestroyRef, inject, Injectable } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import type { CupPicture } from '@aurantia/core/figure';
import { Observable, type Subscriber } from 'rxjs';
import { onceItIsQuiet } from '../once-it-is-quiet';
import { newPainterWorker, workerFailed } from '../workers/new-worker';
import type { PaintedSubject, PainterReply, PainterRequest } from '../workers/painter-request';
import { WishLine, type PageWish } from './wish-line';

interface Job extends PageWish {
  readonly subject: PaintedSubject;
  readonly how: CupPicture;
  readonly page: Subscriber<ImageBitmap>;
}

/** Has cups painted where there is no graphics card, and small ones everywhere. */
@Injectable({ providedIn: 'root' })
export class Painter {
  private worker: Worker | null = null;
  private readonly line = new WishLine<Job>((job) => this.begin(job));
  /** what the worker was given last, and keeps */
  private known: PaintedSubject | null = null;

  constructor() {
    // It comes ahead, so that a card shows its cup while the program isn't reached.
    onceItIsQuiet.pipe(takeUntilDestroyed(inject(DestroyRef))).subscribe(() => this.ready());
  }

  /**
   * Gives a picture once. A wish that another of its canvas replaced gives none; one that was taken back neither.
   * @param canvas what it is for
   */
  picture(canvas: HTMLCanvasElement, subject: PaintedSubject, how: CupPicture): Observable<ImageBitmap> {
    return new Observable((page) => {
      const job: Job = { slot: canvas, subject, how, page };
      this.line.add(job);
      return () => void this.line.takeBack(job);
    });
  }

  private begin({ subject, how }: Job): void {
    const same = this.known?.field === subject.field && this.known.cup === subject.cup;
    const worker = this.ready();
    this.known = subject;
    worker.postMessage({ subject: same ? null : subject, how } satisfies PainterRequest);
  }

  private ready(): Worker {
    if (this.worker) return this.worker;
    const worker = newPainterWorker();
    worker.onmessage = ({ data }: MessageEvent<PainterReply>) =>
      this.line.done((page) => {
        if ('sentence' in data) return page.error(new Error(data.sentence));
        // Nobody waits for it any more; it is large, and would stay until memory is tidied.
        if (page.closed) data.picture.close();
        page.next(data.picture);
        page.complete();
      });
    worker.onerror = (event) => {
      // A worker that failed answers no more: the next wish gets a new one.
      worker.terminate();
      this.worker = null;
      this.known = null;
      this.line.done((page) => page.error(new Error(workerFailed(event))));
    };
    this.worker = worker;
    return worker;
  }
}
