import type { Minute } from './job';

/** A stretch of a room's day: from this minute on, how much of a minute of curing a minute is worth. */
export interface RoomPace {
  readonly from: Minute;
  readonly pace: number;
}

/** When what cures is ready, in a room that is colder by night: what it has cured so far is added up, warm hours counting more. */
export class CureClock {
  private readonly froms: readonly Minute[];
  private readonly cured: readonly number[];

  /** @param paces in order of time; the first holds before it too, the last after it */
  constructor(private readonly paces: readonly RoomPace[]) {
    const cured = [0];
    for (let at = 1; at < paces.length; at += 1)
      cured.push(cured[at - 1] + (paces[at].from - paces[at - 1].from) * paces[at - 1].pace);
    this.cured = cured;
    this.froms = paces.map(({ from }) => from);
  }

  /** The first whole minute by which so many minutes of curing have gone by. */
  after(from: Minute, minutes: number): Minute {
    // Exactly ready isn't late: what rounding left of a minute doesn't count as one.
    return Math.ceil(this.moment(this.curedAt(from) + minutes) - 1e-6);
  }

  /** The last whole minute before which so many minutes of curing have not gone by. */
  until(from: Minute, minutes: number): Minute {
    return Math.floor(this.moment(this.curedAt(from) + minutes) + 1e-6);
  }

  /** The first whole minute from which so many minutes of curing reach to a moment. */
  reaching(to: Minute, minutes: number): Minute {
    return Math.ceil(this.moment(this.curedAt(to) - minutes) - 1e-6);
  }

  /** The most that a minute is ever worth. */
  get quickest(): number {
    return Math.max(...this.paces.map(({ pace }) => pace));
  }

  private curedAt(moment: Minute): number {
    const at = this.stretchOf(this.froms, moment);
    return this.cured[at] + (moment - this.paces[at].from) * this.paces[at].pace;
  }

  private moment(cured: number): number {
    const at = this.stretchOf(this.cured, cured);
    return this.paces[at].from + (cured - this.cured[at]) / this.paces[at].pace;
  }

  /** The last stretch that begins at or before a figure; the first where none does. */
  private stretchOf(begins: readonly number[], figure: number): number {
    let [low, high] = [0, begins.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if (begins[middle] <= figure) low = middle;
      else high = middle - 1;
    }
    return low;
  }
}
