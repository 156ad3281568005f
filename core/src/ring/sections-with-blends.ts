import type { AreaOf } from '../areas';
import type { PlannedBlend } from '../blends';
import type { Design } from '../design';
import type { RingColour } from './plan-ring';

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
