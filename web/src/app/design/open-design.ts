import { computed, inject, Injectable, linkedSignal, signal, type Signal } from '@angular/core';
import type { Design, FadeBeside, Plan, WallPlace } from '@aurantia/core';
import { DesignSession } from './session';

/** What the stages of an open design share: it, its plan, and what is chosen of it. A stage is shown only once both are here. */
@Injectable()
export class OpenDesign {
  private readonly session = inject(DesignSession);
  readonly design: Signal<Design> = computed(() => here(this.session.document()));
  readonly plan: Signal<Plan> = computed(() => here(this.session.plan()));
  /** the id of an area; the first one where the chosen one is gone */
  readonly chosenArea = linkedSignal<readonly string[], string | null>({
    source: () => this.session.document()?.areas.map(({ id }) => id) ?? [],
    computation: (ids, before) => ids.find((id) => id === before?.value) ?? ids.at(0) ?? null,
  });
  /** where the coats are shown cut through: a spot of the wall, or the base; null while they aren't */
  readonly probe = signal<WallPlace | 'base' | null>(null);
  /** so many of its coats the cup is shown with; null for all, and again once they change */
  readonly upTo = linkedSignal<unknown, number | null>({
    // A plain function would be run, and this forgotten, at every change of anything.
    source: computed(() => this.session.document()?.coats),
    computation: () => null,
  });
  /** the coat that is open among the coats; what it lays is marked on the cup */
  readonly openCoat = signal<string | null>(null);
  /** what half of a fade's picture shows beside its pots */
  readonly beside = linkedSignal<string | null, '' | FadeBeside>({ source: this.chosenArea, computation: () => '' });
}

function here<Value>(value: Value | null): Value {
  if (value === null) throw new Error('A stage is shown before its design is here.');
  return value;
}
