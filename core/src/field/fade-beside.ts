import type { AreaId } from '../areas';
import { flakesLook, type Look } from '../look';
import type { Plan } from '../plan';
import { bandRegion, onGrid, partOf } from '../regions';
import type { FieldPlan } from './cup-field';

/** What half of a fade can be shown as, beside the pots on the other half. */
export type FadeBeside = 'equal' | 'unrounded';

/**
 * The picture of a plan with half of a fade, from the seam's opposite round to the seam, as it would have been: in
 * equal spoons, or before it was rounded to any.
 */
export function fieldBeside(
  field: FieldPlan,
  plan: Pick<Plan, 'fades' | 'surface'>,
  area: AreaId,
  beside: FadeBeside,
): FieldPlan {
  const fade = plan.fades.find((one) => one.area === area);
  if (!fade?.laid) return field;
  const { laid } = fade;
  const halves = {
    left: bandRegion(0, onGrid(plan.surface.height), 0, 180),
    right: bandRegion(0, onGrid(plan.surface.height), 180, 360),
  };
  const looks: Record<string, Look> = { ...field.looks };
  const places = field.places.flatMap((place) => {
    const pot = laid.pots.findIndex(({ id }) => id === place.id);
    if (pot < 0) return [place];
    const id = `${place.id}/beside` as AreaId;
    const { parts, finishes, kept } = beside === 'equal' ? laid.equal[pot] : laid.pots[pot].before;
    const own = field.looks[place.id];
    const last = own.findLastIndex(({ layer }) => layer === 'flakes');
    const flakes = flakesLook(parts, finishes, kept);
    looks[id] = last < 0 ? [...own, flakes] : own.toSpliced(last, 1, flakes);
    return [
      { ...place, region: partOf(place.region, halves.left) },
      { ...place, id, region: partOf(place.region, halves.right) },
    ];
  });
  return { ...field, places, looks };
}
