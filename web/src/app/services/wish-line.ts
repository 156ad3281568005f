/** Something a page wishes for; of the wishes of one slot only the newest is met. */
export interface PageWish {
  readonly slot: unknown;
  readonly page: { complete(): void };
}

/** Wishes that a worker meets one after the other, in order. One that a newer one of its slot replaces while it waits gives nothing. */
export class WishLine<Wish extends PageWish> {
  private waiting: readonly Wish[] = [];
  private met: readonly Wish[] = [];

  /**
   * @param meet begins to meet a wish; `done` has to be called once it is
   * @param most so many are given to the worker before the first is met
   */
  constructor(
    private readonly meet: (wish: Wish) => void,
    private readonly most = 1,
  ) {}

  add(wish: Wish): void {
    const older = this.waiting.filter(({ slot }) => slot === wish.slot);
    this.waiting = [...this.waiting.filter(({ slot }) => slot !== wish.slot), wish];
    for (const { page } of older) page.complete();
    this.next();
  }

  /** @returns whether it is being met, which goes on */
  takeBack(wish: Wish): boolean {
    this.waiting = this.waiting.filter((one) => one !== wish);
    return this.met.includes(wish);
  }

  /** @param tell says to the page what came of the wish that was given first, before the next is begun; of none where none is met */
  done(tell: (page: Wish['page']) => void): void {
    const [first, ...others] = this.met;
    this.met = others;
    if (first) tell(first.page);
    this.next();
  }

  /** The one that is being met, if any is. */
  now(): Wish | null {
    return this.met.at(0) ?? null;
  }

  private next(): void {
    if (this.met.length >= this.most) return;
    const [first, ...rest] = this.waiting;
    if (!first) return;
    this.waiting = rest;
    this.met = [...this.met, first];
    this.meet(first);
    this.next();
  }
}
