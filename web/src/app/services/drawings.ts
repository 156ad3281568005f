import { DestroyRef, inject, Injectable } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import type { Drawing } from '../drawn/drawing';
import { paintDrawing } from '../drawn/paint-drawing';
import { onceItIsQuiet } from '../once-it-is-quiet';
import type { DrawingsReply, DrawingsRequest } from '../workers/drawings-request';
import { newDrawingsWorker } from '../workers/new-worker';
import { WishLine } from './wish-line';
import { SentRegions } from './sent-regions';

interface Job {
  readonly slot: HTMLCanvasElement;
  readonly drawing: Drawing;
  readonly page: Page;
}

/** A canvas that waits for its picture. */
interface Page {
  readonly hang: (picture: ImageBitmap | null) => void;
  readonly complete: () => void;
}

/**
 * Two of each of the two canvases that a drag changes: while one picture comes back the next is drawn, as a page busy with a
 * step takes it only once the next step has begun.
 */
const UNDER_WAY = 4;

/** Has walls drawn: at once, or off the page's thread while a hand drags, when all of a step has to fit into a frame. */
@Injectable({ providedIn: 'root' })
export class Drawings {
  /** null until it has come, and where it can't: what is drawn is drawn here then */
  private worker: Worker | null = null;
  private readonly line = new WishLine<Job>((job) => this.begin(job), UNDER_WAY);
  private readonly sent = new SentRegions();
  /** canvases whose pictures under way are still wanted, by how often they were taken back */
  private readonly round = new WeakMap<HTMLCanvasElement, number>();

  constructor() {
    onceItIsQuiet.pipe(takeUntilDestroyed(inject(DestroyRef))).subscribe(() => this.come());
  }

  /** @param held whether a hand drags: the picture may come a moment later then, and only the newest has to */
  draw(canvas: HTMLCanvasElement, drawing: Drawing, held: boolean): void {
    if (!held || !this.worker) {
      this.leave(canvas);
      drawHere(canvas, drawing);
      return;
    }
    const round = this.round.get(canvas);
    const hang = (picture: ImageBitmap | null) => {
      if (this.round.get(canvas) !== round) picture?.close();
      else if (picture) hung(canvas, picture);
      else drawHere(canvas, drawing);
    };
    this.line.add({ slot: canvas, drawing, page: { hang, complete: () => undefined } });
  }

  /** What is under way for a canvas isn't wanted any more. */
  private leave(canvas: HTMLCanvasElement): void {
    this.round.set(canvas, (this.round.get(canvas) ?? 0) + 1);
    this.sent.leave(canvas);
  }

  private begin({ slot, drawing }: Job): void {
    if (!this.worker) return this.line.done((page) => page.hang(null));
    const { marks, come, go } = this.sent.send(slot, drawing.marks);
    this.worker.postMessage({ come, go, drawing: { ...drawing, marks } } satisfies DrawingsRequest);
  }

  private come(): void {
    const worker = newDrawingsWorker();
    worker.onmessage = ({ data }: MessageEvent<DrawingsReply>) => {
      if (data === 'here') this.worker = worker;
      else this.line.done((page) => page.hang(data.picture));
    };
    worker.onerror = (event) => {
      // It is told to nobody: all that is lost is that a drag goes a little less smoothly.
      event.preventDefault();
      worker.terminate();
      this.worker = null;
      while (this.line.now()) this.line.done((page) => page.hang(null));
    };
  }
}

function drawHere(canvas: HTMLCanvasElement, drawing: Drawing): void {
  const context = canvas.getContext('2d');
  if (context) paintDrawing(context, drawing);
}

function hung(canvas: HTMLCanvasElement, picture: ImageBitmap): void {
  const { width, height } = picture;
  if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
  const context = canvas.getContext('2d');
  context?.setTransform(1, 0, 0, 1, 0, 0);
  context?.clearRect(0, 0, width, height);
  context?.drawImage(picture, 0, 0);
  picture.close();
}
