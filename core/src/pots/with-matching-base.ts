import type { AreaId } from '../areas';
import { withStopBase, type Design } from '../design';
import type { ShelfItem } from '../stock';
import { matchingPaints } from './matching-base';

/** A design whose base fades along with an area's glitter, in the paints nearest to its stops. */
export function withMatchingBase(design: Design, area: AreaId, shelf: readonly ShelfItem[]): Design {
  const stops = design.fades.find((fade) => fade.area === area)?.stops ?? [];
  return matchingPaints(stops, shelf).reduce(
    (changed, paint, stop) => (paint ? withStopBase(changed, area, stop, paint.id) : changed),
    design,
  );
}
