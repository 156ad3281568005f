import type { CoatHeights } from '../design';
import { bandRegion, onGrid, wallMeasure, within, type Region } from '../regions';
import { rememberEach } from '../remember';
import { coatedHeight, heightOf, type Cup, type Station } from '../vessel';

/** What of a place lies between two heights at which some coat ends. */
export interface HeightPart {
  readonly heights: CoatHeights;
  readonly region: Region;
  /** cm² */
  readonly size: number;
}

/** cm²; nobody could lay less. */
const NEXT_TO_NOTHING = 0.005;

/** Heights that a coat begins with once it shall end at some: the middle third of the wall, to the mm. */
export function startingHeights(cup: Cup): CoatHeights {
  const third = coatedHeight(cup) / 3;
  const from = Math.round(third);
  return { from, to: Math.max(from + 1, Math.round(2 * third)) };
}

/** Whether what lies at some heights belongs to a coat that goes from one height to another. */
export const liesBetween = (heights: CoatHeights | undefined, { from, to }: CoatHeights): boolean =>
  heights !== undefined && heights.from >= from - 1e-9 && heights.to <= to + 1e-9;

/** A place of the wall parted at the heights where coats end, from the foot up. */
export const partedAt = rememberEach(
  (region: Region, ends: readonly number[], stations: readonly Station[]): readonly HeightPart[] => {
    const levels = [0, ...ends, heightOf({ stations })];
    const measure = wallMeasure(stations);
    return levels.slice(1).flatMap((to, i) => {
      const part = within(region, bandRegion(onGrid(levels[i]), onGrid(to)));
      const size = measure.areaOf(part);
      return size > NEXT_TO_NOTHING ? [{ region: part, size, heights: { from: levels[i], to } }] : [];
    });
  },
  4,
);

/** How the parts of a place are called, from below. */
export const partName = (part: number, of: number): string =>
  of === 2 ? ['lower part', 'upper part'][part] : `part ${part + 1} of ${of} from below`;
