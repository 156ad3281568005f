import { DOCUMENT, inject, Injectable, signal } from '@angular/core';

/** More dots a css pixel than so many take time and show no more. */
const MOST = 2;

/** Dots a css pixel of the screen that the page is on: others once it is zoomed, or moved to another screen. */
@Injectable({ providedIn: 'root' })
export class ScreenDots {
  private readonly view = inject(DOCUMENT).defaultView;
  private readonly dots = signal(1);
  readonly now = this.dots.asReadonly();

  constructor() {
    this.follow();
  }

  /** What is asked tells only that the ratio isn’t the one asked about any longer: of the next one it is asked anew. */
  private follow(): void {
    const ratio = this.view?.devicePixelRatio || 1;
    this.dots.set(Math.min(MOST, ratio));
    this.view?.matchMedia?.(`(resolution: ${ratio}dppx)`).addEventListener('change', () => this.follow(), { once: true });
  }
}
