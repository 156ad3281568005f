import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';

/** Something that can be done or gone to by its name. */
export interface Command {
  readonly name: string;
  /** under what it stands among the others */
  readonly group: string;
  /** keys that do the same, as they are pressed */
  readonly keys?: string;
  readonly run: () => void;
}

/** All that can be done just now, by its name: what is everywhere, and what the place that is open adds. */
@Injectable({ providedIn: 'root' })
export class Commands {
  private readonly offers = signal<readonly (() => readonly Command[])[]>([]);
  readonly all = computed(() => this.offers().flatMap((offer) => offer()));

  /** Adds commands for as long as whoever offers them is there. */
  offer(commands: () => readonly Command[], until: DestroyRef): void {
    this.offers.update((offers) => [...offers, commands]);
    until.onDestroy(() => this.offers.update((offers) => offers.filter((one) => one !== commands)));
  }
}

/** Offers commands from a place or a stage, until it is left. To be called while it is made. */
export function offerCommands(commands: () => readonly Command[]): void {
  inject(Commands).offer(commands, inject(DestroyRef));
}
