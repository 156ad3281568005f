import { signal, untracked } from '@angular/core';

/** ms a cup takes to come round */
const COMES_ROUND = 350;

/** How far a cup is turned to the right, radians. */
export class Turning {
  private readonly turned = signal(0);
  readonly now = this.turned.asReadonly();
  private frame = 0;

  by(radians: number): void {
    this.turned.update((turn) => turn + radians);
  }

  /** Comes round by the shorter way; at once for who wants nothing to move. */
  to(wanted: number): void {
    const from = untracked(this.turned);
    const way = ((((wanted - from + Math.PI) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI)) - Math.PI;
    this.stop();
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) {
      this.turned.set(from + way);
      return;
    }
    const begun = performance.now();
    const step = (now: number) => {
      const share = Math.min(1, Math.max(0, (now - begun) / COMES_ROUND));
      this.turned.set(from + way * (1 - (1 - share) ** 3));
      if (share < 1) this.frame = requestAnimationFrame(step);
    };
    this.frame = requestAnimationFrame(step);
  }

  /** Stays where it has come to. */
  stop(): void {
    cancelAnimationFrame(this.frame);
  }
}
