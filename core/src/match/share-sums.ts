import type { Interval } from './difference-bounds';

export const widthOf = ([low, high]: Interval): number => high - low;

/** Sums of shares, each times its own, over all shares in their ranges that add up to 1. */
export class ShareSums {
  /** what the share is worth that the last sum filled up last */
  last = 0;
  private readonly from: Float64Array;
  private readonly wide: Float64Array;
  private readonly free: number;
  private readonly order: Uint8Array;

  constructor(shares: readonly Interval[]) {
    this.from = Float64Array.from(shares, (share) => share[0]);
    this.wide = Float64Array.from(shares, widthOf);
    this.order = Uint8Array.from(shares, (_, p) => p);
    this.free = Math.max(0, 1 - total(this.from));
  }

  /** The most one comes to: what no share has for sure goes to those worth the most, in turn. */
  most(own: Float64Array): number {
    this.sort(own);
    return this.filled(own, 0, 1);
  }

  /** The least one comes to. */
  least(own: Float64Array): number {
    this.sort(own);
    return this.filled(own, this.order.length - 1, -1);
  }

  private filled(own: Float64Array, first: number, step: 1 | -1): number {
    const { from, wide, order } = this;
    let { free } = this;
    let sum = 0;
    for (let at = first; at >= 0 && at < order.length; at += step) {
      const p = order[at];
      const more = Math.min(free, wide[p]);
      sum += (from[p] + more) * own[p];
      if (free > 0) this.last = own[p];
      free -= more;
    }
    return sum;
  }

  /** The dearest first. What was the order last time mostly still is: wavelengths and layers are alike. */
  private sort(own: Float64Array): void {
    const { order } = this;
    for (let at = 1; at < order.length; at += 1) {
      const p = order[at];
      let to = at;
      for (; to > 0 && own[order[to - 1]] < own[p]; to -= 1) order[to] = order[to - 1];
      order[to] = p;
    }
  }
}

const total = (values: Float64Array): number => values.reduce((sum, value) => sum + value, 0);
