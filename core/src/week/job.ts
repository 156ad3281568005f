/** Minutes since 1970, whole: what the week is counted in. */
export type Minute = number;

/** A job as one calls it: the design, how many, and for whom. */
export const jobText = ({ name, who, cups }: Pick<Job, 'name' | 'who' | 'cups'>): string =>
  `${name}${cups > 1 ? ` × ${cups}` : ''}${who === '' ? '' : `, ${who}`}`;

/** Resin that is stirred for a work. */
export interface WorkMix {
  /** its jar, and what that is called */
  readonly resin: string;
  readonly name: string;
  /** ml of both parts in each pot, and g that a ml of either weighs */
  readonly ml: readonly [number, number];
  readonly gramsPerMl: readonly [number, number];
  /** pots alike it is stirred in, one after the other */
  readonly pots: number;
  /** minutes that 100 ml of it can be worked in the room it is made in */
  readonly lasts: number;
}

/** What hands do in one go, and what the cup then waits for. */
export interface Work {
  /** stays the same for as long as its coats do: the first coat's id */
  readonly key: string;
  /** of each coat, what it is called */
  readonly titles: readonly string[];
  /** minutes of hands; 0 of what needs none */
  readonly hands: number;
  /** minutes the next work waits at least, in the room the plan was made for */
  readonly wait: number;
  /** minutes until the next work has to have begun; null where it may wait for ever */
  readonly within: number | null;
  /** whether a warmer room shortens both */
  readonly cures: boolean;
  /** cups that are sprayed while hands are on, that turn from the first touch on, that hang from then until ready */
  readonly sprays: number;
  readonly turns: number;
  /** minutes they go on turning once hands are off, until it no longer runs: no longer than `wait` */
  readonly turning: number;
  readonly hangs: number;
  /** null where no resin is stirred for it */
  readonly mix: WorkMix | null;
}

/** A cup, or several alike, from the first touch to handed over. */
export interface Job {
  readonly id: string;
  readonly name: string;
  /** who it is for; empty where nobody said */
  readonly who: string;
  readonly cups: number;
  /** by when it has to be done; null where nobody waits */
  readonly due: Minute | null;
  /** when its first work may begin */
  readonly from: Minute;
  /** when its first work has to have begun, where a window is open already; of what is under way the work after it */
  readonly before: Minute | null;
  readonly works: readonly Work[];
  /** the work that was done last, and when hands left it: it waits, turns or hangs still; null where nothing was done yet */
  readonly after: { readonly work: Work; readonly laid: Minute } | null;
  /** of what is under way: how its first work was begun */
  readonly begun: { readonly at: Minute; readonly person: string | null } | null;
}
