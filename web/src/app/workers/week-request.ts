import type { Bound, Job, LatestStart, Placed, WeekPlan, WeekWish } from '@aurantia/core/week';

/** What a page asks of the worker that plans weeks. */
export type WeekRequest =
  | {
      readonly asks: 'plan';
      readonly wish: WeekWish;
      /** a plan that is followed as nearly as can be; null plans anew */
      readonly before: readonly Placed[] | null;
      /** tries at most */
      readonly tries: number;
    }
  | {
      readonly asks: 'room';
      readonly wish: WeekWish;
      readonly before: readonly Placed[];
      /** what would be taken beside all else */
      readonly jobs: readonly Job[];
    };

/** How far a plan has come. */
export interface WeekPlanned {
  readonly plan: WeekPlan;
  readonly bound: Bound;
  /** pins that can’t be kept */
  readonly lost: readonly Placed[];
  readonly tries: number;
  readonly done: boolean;
}

/** Whether there is room for something more. */
export interface WeekRoom {
  /** of each of its jobs, when it has to be begun with all else staying where it is */
  readonly starts: readonly LatestStart[];
  /** the week with it, and without */
  readonly plan: WeekPlan;
  readonly without: WeekPlan;
}

export type WeekReply = WeekPlanned | WeekRoom | { readonly sentence: string };
