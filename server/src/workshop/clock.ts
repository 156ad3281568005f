/** The workshop's own clock, that everything at the bench goes by, whichever device looks at it. */
export class WorkshopClock {
  private ahead = 0;

  /** ms since 1970 */
  now(): number {
    return Date.now() + this.ahead;
  }

  /** Moves it on: a rehearsal of a cup needs no two days. @param ms backwards where negative */
  move(ms: number): void {
    this.ahead += ms;
  }
}
