import type { Minute } from './job';

/** How many of something that is there several times (arms, hooks, places to spray) are taken when. */
export class RoomFor {
  private constructor(
    private readonly most: number,
    /** moments at which it changes, and how many are taken from each on */
    private readonly moments: Minute[],
    private readonly taken: number[],
  ) {}

  static of(most: number): RoomFor {
    return new RoomFor(most, [], []);
  }

  /** how many there are */
  get all(): number {
    return this.most;
  }

  copy(): RoomFor {
    return new RoomFor(this.most, [...this.moments], [...this.taken]);
  }

  /**
   * Where so many more don't fit into a stretch, from when on the last of what is in the way is gone; null where they fit.
   * More than there are never fit: Infinity.
   */
  inTheWay(from: Minute, until: Minute, many: number): Minute | null {
    if (many === 0 || until <= from) return null;
    if (many > this.most) return Infinity;
    const first = this.after(from) - 1;
    let clear: Minute | null = null;
    for (let at = Math.max(0, first); at < this.moments.length && this.moments[at] < until; at += 1)
      if (this.taken[at] + many > this.most) clear = this.moments[at + 1] ?? Infinity;
    return clear;
  }

  book(from: Minute, until: Minute, many: number): void {
    if (many === 0 || until <= from) return;
    const first = this.cut(from);
    const last = this.cut(until);
    for (let at = first; at < last; at += 1) this.taken[at] += many;
  }

  /** Where a moment is one at which it changes, put there if it wasn't. */
  private cut(moment: Minute): number {
    const at = this.after(moment);
    if (at > 0 && this.moments[at - 1] === moment) return at - 1;
    this.moments.splice(at, 0, moment);
    this.taken.splice(at, 0, at > 0 ? this.taken[at - 1] : 0);
    return at;
  }

  /** The first change after a moment. */
  private after(moment: Minute): number {
    let [low, high] = [0, this.moments.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.moments[middle] > moment) high = middle;
      else low = middle + 1;
    }
    return low;
  }
}
