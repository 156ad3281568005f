import type { PlannedBlend } from '../blends';
import type { Finding } from '../check';
import type { PlannedCoat } from '../coats';
import type { DesignId } from '../design';
import type { PlannedAreas, PlannedPlace, PlannedSurface } from '../layout';
import type { Look } from '../look';
import type { PlannedPattern } from '../on-surface';
import type { PlannedPiece } from '../pieces';
import type { PlannedFade } from '../pots';
import type { Region } from '../regions';
import type { PlannedStrings } from '../strings';
import type { PlanTotals } from './totals';

/** A design as numbers: the one thing every screen, card, script and test reads. */
export interface Plan {
  readonly design: DesignId;
  readonly name: string;
  readonly surface: PlannedSurface;
  readonly areas: PlannedAreas;
  /** of areas that don’t fade */
  readonly blends: readonly PlannedBlend[];
  readonly fades: readonly PlannedFade[];
  /** every area, or the pots it fades in, or parts of them where a coat ends at a height, in the order they are laid */
  readonly places: readonly PlannedPlace[];
  /** the wall that no area covers, but for parts of it among the places, where coats part it */
  readonly leftOver: Region;
  /** strips, outlines, decals, sheets and tags, in the order they are laid */
  readonly pieces: readonly PlannedPiece[];
  /** colour laid into wet coats, in the order it is laid */
  readonly strings: readonly PlannedStrings[];
  /** ink and pearl that lie in a pattern, in the order they are laid */
  readonly patterns: readonly PlannedPattern[];
  readonly coats: readonly PlannedCoat[];
  /** hex of each place, of an area that fades as its middle pot’s, of `left-over` and of `base-bare`, once all coats are on */
  readonly finished: Readonly<Record<string, string>>;
  /** colours of what resin lies over are told, here and coat by coat, as they are seen through its gloss */
  readonly throughGloss: boolean;
  /** layer by layer, for the picture, by the same keys */
  readonly looks: Readonly<Record<string, Look>>;
  /** hex of the cup as it comes */
  readonly bareWall: string;
  readonly totals: PlanTotals;
  readonly findings: readonly Finding[];
}
