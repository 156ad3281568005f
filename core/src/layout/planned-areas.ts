import type { AreaId, AreaKindName } from '../areas';
import type { Region } from '../regions';

export interface PlannedArea {
  readonly id: AreaId;
  readonly name: string;
  readonly kind: AreaKindName;
  readonly masked: boolean;
  /** its own shape on the wall, before later areas take from it; nothing for those off the wall */
  readonly own: Region;
  /** the wall it keeps */
  readonly region: Region;
  /** heights its own shape lies between, mm; null off the wall */
  readonly from: number | null;
  readonly to: number | null;
  /** cm² it keeps */
  readonly area: number;
  /** along the tape at its lower and upper end, mm; null off the wall */
  readonly lowerWidth: number | null;
  readonly upperWidth: number | null;
  /** motifs asked for and placed; null where it isn’t scattered */
  readonly motifs: { readonly wanted: number; readonly placed: number } | null;
}

/** The cup split up. All areas, what is left over and what stays bare add up to wall, base and handle. */
export interface PlannedAreas {
  readonly areas: readonly PlannedArea[];
  /** wall below the lip strip that no area covers */
  readonly leftOver: { readonly area: number; readonly region: Region };
  /** cm² of base, and of the handle’s outside, that no area covers */
  readonly bareBase: number;
  readonly bareGrip: number;
  /** cm² of lip strip, and of wall under the handle, that stay bare */
  readonly bareLip: number;
  readonly barePatch: { readonly area: number; readonly region: Region };
}
