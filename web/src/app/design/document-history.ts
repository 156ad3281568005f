import { computed, Injectable, signal } from '@angular/core';
import type { Design } from '@aurantia/core';

/** Steps back that are kept of one sitting. */
const MOST_STEPS = 100;

/** The way back and forth of the open design; changes of one name in a row are one step. */
@Injectable()
export class DocumentHistory {
  private readonly past = signal<readonly Design[]>([]);
  private readonly future = signal<readonly Design[]>([]);
  /** changes of one name in a row: a drag, a key held down */
  private readonly gesture = signal<string | null>(null);
  readonly moving = computed(() => this.gesture() !== null);
  readonly canUndo = computed(() => this.past().length > 0);
  readonly canRedo = computed(() => this.future().length > 0);

  /** @param past what Undo leads to already */
  begin(past: readonly Design[] = []): void {
    this.past.set(past);
    this.future.set([]);
    this.gesture.set(null);
  }

  /** Notes the design as it was before a change; returns whether that only goes on with a gesture noted already. */
  note(before: Design, gesture: string | null): boolean {
    const goesOn = gesture !== null && gesture === this.gesture();
    this.gesture.set(gesture);
    if (goesOn) return true;
    this.past.set([...this.past().slice(1 - MOST_STEPS), before]);
    this.future.set([]);
    return false;
  }

  /** Ends a gesture; returns whether there was one. */
  endGesture(): boolean {
    const moving = this.moving();
    this.gesture.set(null);
    return moving;
  }

  /** The design one step back; null at the beginning. */
  back(now: Design): Design | null {
    const before = this.past().at(-1);
    if (!before) return null;
    this.past.set(this.past().slice(0, -1));
    this.future.set([...this.future(), now]);
    this.gesture.set(null);
    return before;
  }

  /** The design one step forth again; null where nothing was taken back. */
  forth(now: Design): Design | null {
    const next = this.future().at(-1);
    if (!next) return null;
    this.future.set(this.future().slice(0, -1));
    this.past.set([...this.past(), now]);
    this.gesture.set(null);
    return next;
  }
}
