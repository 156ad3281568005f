import type { RoomMoment } from '@aurantia/core/make';
import type { Store } from '../store/open-store';

/** ms between two that are kept: a room changes no quicker. */
const EVERY = 10 * 60_000;
/** The most that are sent: two weeks of them. */
const MOST = 2016;

/** What the room was like, as its sensor said it. */
export class RoomStore {
  private last = -Infinity;

  constructor(private readonly store: Store) {}

  /** Keeps it, where the last one that was kept is old enough. */
  async keep(moment: RoomMoment): Promise<void> {
    if (Math.abs(moment.at - this.last) < EVERY) return;
    this.last = moment.at;
    await this.store
      .insertInto('room')
      .values({ ...moment })
      .onConflict((conflict) => conflict.column('at').doNothing())
      .execute();
  }

  /** @param from ms since 1970, as is `until` */
  between(from: number, until: number): Promise<readonly RoomMoment[]> {
    return this.store
      .selectFrom('room')
      .where('at', '>=', from)
      .where('at', '<=', until)
      .selectAll()
      .orderBy('at')
      .limit(MOST)
      .execute();
  }
}
