import type { Stance } from '@aurantia/core/figure';
import { Subscription } from 'rxjs';
import type { Painter } from '../../services/painter';
import type { PaintedSubject } from '../../workers/painter-request';

/** How a flat cup is to be shown: sizes in css pixels, each so many dots wide; its turn in radians. */
export interface FlatShown {
  readonly width: number;
  readonly height: number;
  readonly dots: number;
  readonly stance: Stance;
  readonly turn: number;
  /** hex of its handle */
  readonly handle: string;
}

/** The cup where no graphics card draws it: painted off the page's thread, each picture shown as it comes. */
export class FlatCup {
  private readonly wishes = new Subscription();
  private wished = 0;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly painter: Painter,
  ) {}

  /**
   * Says how far the cup is turned once a picture of it hangs, and what failed. While it turns, those that come late are
   * shown too: it would stand still else.
   */
  draw(subject: PaintedSubject, shown: FlatShown, tell: { hung(turn: number): void; failed(error: unknown): void }): void {
    const { width, height, dots, stance, turn, handle } = shown;
    const { scale, axis, ground } = stance;
    this.wished += 1;
    const wish = this.wished;
    delete this.canvas.dataset['painted'];
    const how = {
      // Whole dots: of a screen set to 125 % the last one is begun only.
      width: Math.floor(width * dots),
      height: Math.floor(height * dots),
      stance: { scale: scale * dots, axis: axis * dots, ground: ground * dots },
      turn,
      handle,
    };
    this.wishes.add(
      this.painter.picture(this.canvas, subject, how).subscribe({
        next: (picture) => {
          this.hang(picture);
          tell.hung(turn);
          if (wish === this.wished) this.canvas.dataset['painted'] = 'flat';
        },
        error: (error: unknown) => tell.failed(error),
      }),
    );
  }

  private hang(picture: ImageBitmap): void {
    const { canvas } = this;
    const { width, height } = picture;
    if (canvas.width !== width || canvas.height !== height) Object.assign(canvas, { width, height });
    canvas.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
  }

  dispose(): void {
    this.wishes.unsubscribe();
  }
}
