import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { interval } from 'rxjs';

/** Seconds are shown while somebody stirs. */
const TICK = 1000;
const MINUTE = 60_000;

const toMinute = (now: number): number => now - (now % MINUTE);

/** The time of the workshop's own clock: whatever a page's clock says, everything at the bench goes by that one. */
@Injectable({ providedIn: 'root' })
export class WorkshopTime {
  /** ms that the workshop's clock is ahead of this page's */
  private ahead = 0;
  /** ms since 1970, each second anew while somebody watches */
  readonly now = signal(Date.now());

  /** the full minute: what reads like a clock or a day changes no oftener, and needn't be worked out sixty times for it */
  readonly minute = computed(() => toMinute(this.now()));

  /**
   * The last moment, up to now, at which anything changed for somebody who reads minutes.
   * @param moments ms since 1970, on which something changes in the middle of a minute; null where there is none
   */
  lastChange(moments: readonly (number | null)[]): number {
    const now = this.now();
    return moments.reduce<number>((last, one) => (one !== null && one <= now && one > last ? one : last), toMinute(now));
  }

  /** @param now what the workshop's clock said just now */
  set(now: number): void {
    this.ahead = now - Date.now();
    this.now.set(now);
  }

  /** Keeps the time going for as long as a component is there; a page without one has no timer at all. */
  watch(until = inject(DestroyRef)): void {
    const ticking = interval(TICK).subscribe(() => this.now.set(Date.now() + this.ahead));
    until.onDestroy(() => ticking.unsubscribe());
  }
}
