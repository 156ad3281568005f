import type { AreaId } from '../areas';
import type { Finish, Part } from '../glitter';
import type { ShelfItemId } from '../stock';

export interface PlannedPart {
  readonly item: ShelfItemId;
  readonly name: string;
  readonly colour: string;
  /** the coarsest, mm; null of a jar that is gone */
  readonly cut: number | null;
  /** as one says it: `0.4 mm`, `0.2–1 mm` */
  readonly cuts: string;
  readonly ml: number;
  readonly grams: number;
  readonly gramsPerMl: number;
  readonly spoonShare: number;
  readonly faceShare: number;
  readonly flakes: number;
  /** the shelf no longer has it */
  readonly missing: boolean;
}

/** A part of a blend with its name and how well its solid share is known, as a share of it. */
export interface UnsurePart extends Part {
  readonly name: string;
  readonly spread: number;
}

/** A blend with its jars looked up. */
export interface ReadyBlend {
  readonly area: AreaId;
  readonly areaName: string;
  readonly parts: readonly Part[];
  readonly finishes: readonly Finish[];
  /** the same with how well each jar is known */
  readonly unsure: readonly UnsurePart[];
  readonly planned: readonly PlannedPart[];
  readonly ml: number;
  readonly grams: number;
  /** flakes deep, one pour */
  readonly poured: number;
  /** mean thickness of what is poured, by face, µm */
  readonly thickness: number;
  /** mm */
  readonly coarsest: number;
}
