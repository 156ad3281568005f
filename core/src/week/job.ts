/** Minutes since 1970, whole: what the week is counted in. */
export type Minute = number;

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
  /** resin that is mixed for it, by its jar; null where none is */
  readonly resin: string | null;
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
  /** when its first work has to have begun, where a window is open already */
  readonly before: Minute | null;
  readonly works: readonly Work[];
  /** of what is under way: how its first work was begun, and arms or hooks held until then although no work here says so */
  readonly begun: { readonly at: Minute; readonly person: string | null } | null;
  readonly holds: { readonly arms: number; readonly hooks: number } | null;
}
