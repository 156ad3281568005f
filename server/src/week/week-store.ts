import { usualMeans, weekBookSchema, type WeekBook } from '@aurantia/core/week';
import { KeptBook } from '../store/kept-book';
import type { Store } from '../store/open-store';
import { WorkshopStore } from '../workshop/workshop-store';

/** The hands and arms of a workshop, what is pinned and blocked, and its week as it was planned last. */
export class WeekStore extends KeptBook<WeekBook> {
  constructor(store: Store) {
    super(store, 'week', weekBookSchema, async (within) => ({
      means: usualMeans(await new WorkshopStore(within).settings()),
      blocks: [],
      pins: [],
      placed: [],
    }));
  }
}
