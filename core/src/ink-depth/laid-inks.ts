import type { CoatId, Design, Workshop } from '../design';
import type { InkedPot } from '../ink';
import { trialPlan } from '../plan';
import { itemOf, type ItemOf } from '../stock';
import { inkCoat } from './after-coats';

/** What really is in a tinted coat's pot: its inks on the shelf, each at the load of its whole drops. */
export function laidInks(
  design: Design,
  workshop: Workshop,
  id: CoatId,
): readonly (InkedPot & { readonly ink: ItemOf<'ink'> })[] {
  if (!inkCoat(design, id)) return [];
  const drops = trialPlan(design, workshop).coats.find((one) => one.id === id)?.drops ?? [];
  return drops.flatMap(({ item, load }) => {
    const ink = itemOf(workshop.shelf, item, 'ink');
    return ink ? [{ ink, load }] : [];
  });
}
