/**
 * ms a design is left alone after a save before its picture is made anew: a maker who works on it looks at it for a while
 * between two changes, nobody sees its picture meanwhile, and the processor is the maker's. Home asks for it at once.
 */
const QUIET = 120_000;
/** The most that wait to be made: whoever scrolls on asks again for what is in sight then. */
const MOST_WAITING = 200;

/**
 * Makes summaries one after the other, those that somebody looks at first, the latest asked for before the others. One that
 * can't be made isn't tried again until it, or what it hangs on, is another.
 */
export class SummaryQueue {
  private waiting = new Map<string, string>();
  private readonly quiet = new Map<string, NodeJS.Timeout>();
  private readonly failed = new Map<string, string>();
  private making: string | null = null;
  private closed = false;

  constructor(private readonly make: (id: string) => Promise<void>) {}

  /** @param wanted designs by id, each with the state of it that is to be made */
  want(wanted: ReadonlyMap<string, string>): void {
    const fresh = [...wanted].filter(([id, state]) => id !== this.making && this.failed.get(id) !== state);
    this.waiting = new Map([...fresh, ...[...this.waiting].filter(([id]) => !wanted.has(id))].slice(0, MOST_WAITING));
    void this.goOn();
  }

  /** After a save: made once the design is left alone. */
  wantLater(id: string): void {
    clearTimeout(this.quiet.get(id));
    const timer = setTimeout(() => {
      this.quiet.delete(id);
      this.want(new Map([[id, '']]));
    }, QUIET);
    timer.unref();
    this.quiet.set(id, timer);
  }

  /** Whether a state of a design was tried and can't be made. */
  hasFailed(id: string, state: string): boolean {
    return this.failed.get(id) === state;
  }

  /** Nothing is begun any more. */
  close(): void {
    this.closed = true;
    this.waiting.clear();
    for (const timer of this.quiet.values()) clearTimeout(timer);
  }

  private async goOn(): Promise<void> {
    if (this.making !== null) return;
    for (;;) {
      const [next] = this.waiting;
      if (this.closed || !next) return;
      const [id, state] = next;
      this.waiting.delete(id);
      this.making = id;
      try {
        await this.make(id);
      } catch (error) {
        // It has no picture then; opening it says why.
        this.failed.set(id, state);
        if (!this.closed) process.stderr.write(`No picture of the design “${id}”: ${String(error)}\n`);
      } finally {
        this.making = null;
      }
    }
  }
}
