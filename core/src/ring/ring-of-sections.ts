import { areaWidths } from '../areas';
import type { PlannedBlend } from '../blends';
import { weighedSections, type Design, type WeighedSection } from '../design';
import { planRing, type RingPlan, type RingWish } from './plan-ring';
import { sectionsWithBlends } from './sections-with-blends';

/**
 * The cleanest order of a design's sections.
 * @throws RingError when there are too few sections with a blend, or too many, or when too much is held fast
 */
export const ringOfSections = (design: Pick<Design, 'areas'>, blends: readonly PlannedBlend[], wish: RingWish = {}): RingPlan =>
  planRing(sectionsWithBlends(design, blends), wish);

/** A weighed section as the tape has it, mm at its lower and upper end. */
export interface SectionWidth extends WeighedSection {
  readonly foot: number;
  readonly rim: number;
}

/** How wide sections come out by weight. */
export function sectionWidths(
  design: Pick<Design, 'areas' | 'cup'>,
  ids: readonly string[],
  weights: Readonly<Record<string, number>>,
): readonly SectionWidth[] {
  return weighedSections(design, ids, weights).map((one) => {
    const area = design.areas.find(({ id }) => id === one.id);
    const widths = area?.kind === 'wedge' ? areaWidths({ ...area, width: one.width }, design.cup) : null;
    return { ...one, foot: widths?.lower ?? 0, rim: widths?.upper ?? 0 };
  });
}

/** mm under which no hand keeps a colour to itself. */
const NARROW = 6;

/** Whether every section can still be strewn apart, in a sentence. */
export function sectionsFit(widths: readonly SectionWidth[]): string {
  const least = Math.min(...widths.map(({ foot, rim }) => Math.min(foot, rim)));
  return least >= NARROW
    ? 'All fit, side by side.'
    : `The narrowest would be ${least.toFixed(1)} mm wide: under ${NARROW} mm no hand strews a colour apart.`;
}
