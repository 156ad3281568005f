import type { Minute } from './job';

/** A stretch of time, the end not in it. */
export interface Span {
  readonly from: Minute;
  readonly until: Minute;
}

/** When one person's hands are free: their hours, less what is booked. */
export class FreeTime {
  private constructor(
    private readonly froms: Minute[],
    private readonly untils: Minute[],
  ) {}

  /** @param spans in order, none touching another */
  static of(spans: readonly Span[]): FreeTime {
    return new FreeTime(
      spans.map(({ from }) => from),
      spans.map(({ until }) => until),
    );
  }

  get spans(): readonly Span[] {
    return this.froms.map((from, at) => ({ from, until: this.untils[at] }));
  }

  copy(): FreeTime {
    return new FreeTime([...this.froms], [...this.untils]);
  }

  /** The first moment from one on at which so many minutes are free in one go, on a whole step; null where they never are. */
  first(from: Minute, minutes: number, step: number): Minute | null {
    for (let at = this.spanOf(from); at < this.froms.length; at += 1) {
      const begins = Math.ceil(Math.max(from, this.froms[at]) / step) * step;
      if (begins + minutes <= this.untils[at]) return begins;
    }
    return null;
  }

  /** Whether all of a stretch is free. */
  has(from: Minute, until: Minute): boolean {
    const at = this.spanOf(from);
    return at < this.froms.length && this.froms[at] <= from && until <= this.untils[at];
  }

  /** Takes a stretch away, whatever of it was free. */
  book(from: Minute, until: Minute): void {
    for (let at = this.spanOf(from); at < this.froms.length && this.froms[at] < until;) {
      const [begins, ends] = [this.froms[at], this.untils[at]];
      const left: Minute[][] = [];
      if (begins < from) left.push([begins, from]);
      if (until < ends) left.push([until, ends]);
      this.froms.splice(at, 1, ...left.map(([one]) => one));
      this.untils.splice(at, 1, ...left.map(([, other]) => other));
      if (until < ends) return;
      at += left.length;
    }
  }

  /** The first span that ends after a moment. */
  private spanOf(moment: Minute): number {
    let [low, high] = [0, this.untils.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.untils[middle] > moment) high = middle;
      else low = middle + 1;
    }
    return low;
  }
}
