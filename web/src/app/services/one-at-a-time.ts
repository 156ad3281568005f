/** Something a page wishes for; of the wishes of one slot only the newest is met. */
export interface PageWish {
  readonly slot: unknown;
  readonly page: { complete(): void };
}

/** Wishes that a worker meets one after the other, in order. One that a newer one of its slot replaces while it waits gives nothing. */
export class OneAtATime<Wish extends PageWish> {
  private waiting: readonly Wish[] = [];
  private met: Wish | null = null;

  /** @param meet begins to meet a wish; `done` has to be called once it is */
  constructor(private readonly meet: (wish: Wish) => void) {}

  add(wish: Wish): void {
    const older = this.waiting.filter(({ slot }) => slot === wish.slot);
    this.waiting = [...this.waiting.filter(({ slot }) => slot !== wish.slot), wish];
    for (const { page } of older) page.complete();
    this.next();
  }

  /** @returns whether it is the one that is being met, which goes on */
  takeBack(wish: Wish): boolean {
    this.waiting = this.waiting.filter((one) => one !== wish);
    return this.met === wish;
  }

  /** @param tell says to the page what came of the wish, before the next is begun; of none where none is met */
  done(tell: (page: Wish['page']) => void): void {
    const met = this.met;
    this.met = null;
    if (met) tell(met.page);
    this.next();
  }

  /** The one that is being met, if any is. */
  now(): Wish | null {
    return this.met;
  }

  private next(): void {
    if (this.met) return;
    const [first, ...rest] = this.waiting;
    if (!first) return;
    this.waiting = rest;
    this.met = first;
    this.meet(first);
  }
}
