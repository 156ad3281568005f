import type { AreaId } from '../areas';
import { mlForBare } from '../blends';
import { usualCoats } from '../coats';
import { withPart, withParts, type Design, type Workshop } from '../design';
import type { ShelfItemId } from '../stock';
import { roundUpToStep, tidy } from '../units';
import { trialPlan } from './trial-plan';

/** Spoons a jar begins with where it can't be told what would cover. */
const SPOONS = 4;
/** Share of what a glue holds, flakes deep, that is worth pouring for. */
const FILLED = 0.9;
/**
 * A design with one jar more in the blend of an area. The first begins with what covers it, the way it is or would
 * usually be glued; a further one takes an even share of what is poured already.
 */
export function withJar(design: Design, area: AreaId, item: ShelfItemId, workshop: Workshop): Design {
  const step = workshop.settings.spoonStep;
  const spoons = (ml: number) => Math.max(step, roundUpToStep(tidy(ml), step));
  const before = design.blends.find((blend) => blend.area === area)?.parts ?? [];
  if (before.some((part) => part.item === item)) return design;
  if (before.length === 0) return withPart(design, area, item, spoons(covering(design, area, item, workshop) ?? SPOONS * step));
  const total = before.reduce((sum, { ml }) => sum + ml, 0);
  const shared = before.map((part) => ({ ...part, ml: spoons((part.ml * before.length) / (before.length + 1)) }));
  return withParts(design, area, [...shared, { item, ml: spoons(total / (before.length + 1)) }]);
}

/**
 * ml of a jar that covers an area on its own. Where the glue can't hold so much, what fills all but a tenth of what it
 * holds: beyond that nearly every flake more comes off again. Null where nothing is poured.
 */
function covering(design: Design, area: AreaId, item: ShelfItemId, workshop: Workshop): number | null {
  const tried = withPart(design, area, item, 1);
  let made = 0;
  const newId = () => `trial-${(made += 1)}`;
  const coated = tried.coats.length > 0 ? tried : { ...tried, coats: [...usualCoats(tried, workshop, newId)] };
  const blend = trialPlan(coated, workshop).blends.find((one) => one.area === area);
  if (!blend) return null;
  return blend.forCover.ml ?? mlForBare(blend, (1 - blend.forCover.most) ** FILLED);
}
