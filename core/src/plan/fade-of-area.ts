import { reflectanceOf } from '../colour';
import { FadeError, planFade, type FadeMix, type FadePlan } from '../fade';
import { itemOf, type ShelfItem, type ShelfItemId } from '../stock';
import { bandRegion, regionArea, within } from '../regions';
import { heightOf, type Cup } from '../vessel';
import type { PlannedArea, PlannedBlend } from './plan';

/** cm²: what later areas cover wholly still gets its spoonful. */
const NEXT_TO_NOTHING = 0.05;

/** What a maker chooses of a fade on an area. */
export interface FadeChoice {
  /** a jar off the shelf, the blend of another area, or null to thin out to nearly bare */
  readonly to: { readonly jar: ShelfItemId } | { readonly blend: PlannedBlend } | null;
  /** the area's own blend lies at the foot's side, or at the rim's */
  readonly up: boolean;
  readonly pots: number | null;
  /** mm */
  readonly overlap: number;
}

/**
 * A fade of an area's blend into another, as deep as the area's coats lay it, on the surface that later areas leave it.
 * @param step the maker's spoon, ml
 * @throws FadeError when it can't be laid so
 * @throws UnclearRegionError when its edges lie so nearly on each other that its surface can't be told
 */
export function fadeOfArea(
  blend: PlannedBlend,
  area: PlannedArea,
  cup: Cup,
  shelf: readonly ShelfItem[],
  step: number,
  { to, up, pots, overlap }: FadeChoice,
): FadePlan {
  const [low, high] = [area.from, area.to];
  if (low === null || high === null) throw new FadeError('Pots are laid up a band. Choose one, or make one at the Areas stage.');
  // What motifs and later areas take is missing from the pots; teeth reach past the levels at both ends.
  const between = (from: number, until: number) => {
    const slice = bandRegion(from > low ? from : 0, until < high ? until : heightOf(cup));
    return Math.max(NEXT_TO_NOTHING, regionArea(cup.stations, within(area.region, slice)));
  };
  const mirrored = (mm: number) => low + high - mm;
  const plan = planFade({
    from: mixOf(blend.areaName, blend.parts, shelf),
    to:
      to === null
        ? null
        : 'jar' in to
          ? mixOf('', [{ item: to.jar, ml: 1 }], shelf)
          : mixOf(to.blend.areaName, to.blend.parts, shelf),
    pots,
    low,
    high,
    areaBetween: up ? between : (from, until) => between(mirrored(until), mirrored(from)),
    overlap,
    hold: blend.hold,
    passes: Math.max(1, blend.passes),
    depth: blend.kept,
    under: reflectanceOf(blend.under),
    step,
  });
  return up ? plan : upsideDown(plan, mirrored);
}

function mixOf(
  name: string,
  parts: readonly { readonly item: ShelfItemId; readonly ml: number }[],
  shelf: readonly ShelfItem[],
): FadeMix {
  const known = parts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ item, name: jar.name, glitter: jar.flake, ml }] : [];
  });
  // One jar goes by its own name; of more, their mix is made first and measured by the spoon.
  return { name: known.length === 1 ? known[0].name : `the mix of ${name}`, parts: known };
}

/** The same pots with the first at the rim's side; still listed from the foot up. */
function upsideDown(plan: FadePlan, mirrored: (mm: number) => number): FadePlan {
  const pots = [...plan.pots].reverse().map((pot, i, all) => ({
    ...pot,
    from: mirrored(pot.to),
    to: mirrored(pot.from),
    strewnFrom: mirrored(pot.strewnTo),
    strewnTo: mirrored(pot.strewnFrom),
    apart: i === 0 ? null : all[i - 1].apart,
  }));
  const equal = [...plan.equal].reverse().map((one, i, all) => ({ ...one, apart: i === 0 ? null : all[i - 1].apart }));
  return { ...plan, pots, equal };
}
