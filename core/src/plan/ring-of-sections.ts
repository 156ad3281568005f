import { planRing, type RingColour, type RingPlan } from '../fade';
import type { Design } from '../design';
import type { AreaOf } from '../areas';
import type { PlannedBlend } from './plan';

/** The sections of a design that carry a blend, in the order they stand round the cup. */
export function sectionsWithBlends(design: Pick<Design, 'areas'>, blends: readonly PlannedBlend[]): readonly RingColour[] {
  return design.areas
    .filter((area): area is AreaOf<'wedge'> => area.kind === 'wedge')
    .sort((one, other) => one.from - other.from)
    .flatMap(({ id, name }) => {
      const blend = blends.find(({ area }) => area === id);
      return blend ? [{ id, name, colour: blend.seen }] : [];
    });
}

/**
 * The cleanest order of a design's sections.
 * @param first id of the section to begin at the seam; null for the quietest seam
 * @throws RingError when there are too few sections with a blend, or too many
 */
export const ringOfSections = (
  design: Pick<Design, 'areas'>,
  blends: readonly PlannedBlend[],
  first: string | null = null,
): RingPlan => planRing(sectionsWithBlends(design, blends), first);
