import type { AreaId } from '../areas';
import type { FadeWay } from '../design';
import type { FadePlan, FadePot } from '../fade';
import type { FadeSlice } from '../layout';

export type PlannedPot = FadePot & FadeSlice;

/** An area that changes its colour in pots. */
export interface PlannedFade {
  readonly area: AreaId;
  readonly areaName: string;
  /** up, down and from the middle are measured in mm from the foot, the others along the way from where it begins */
  readonly way: FadeWay;
  readonly slices: readonly FadeSlice[];
  readonly laid: (Omit<FadePlan, 'pots'> & { readonly pots: readonly PlannedPot[] }) | null;
  /** why it can't be laid so, and what to change */
  readonly refused: string | null;
  /** hex of what lies under each stop */
  readonly under: readonly string[];
  /** the paint under each stop, by name; null where the coats lay their own */
  readonly paints: readonly (string | null)[];
  /** ΔE00 that a base which fades makes through the glitter; null where it doesn’t fade */
  readonly baseShows: number | null;
}
