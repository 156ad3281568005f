import { checkDesign } from '../check';
import type { CoatContext, Grounds, ReadyBlend } from '../coats';
import type { Blend, Coat, Design, Settings, Workshop } from '../design';
import type { ShelfItem } from '../stock';
import { bareWallColour } from '../vessel';
import { blendOutcome, laidBlend } from './blend-outcome';
import { readyBlend } from './blends-stage';
import { stepsOf, type Step } from './coats-stage';
import { rememberedLight } from './light';
import type { Plan, PlannedAreas, PlannedBlend } from './plan';
import { remember, rememberEach } from '../remember';
import { layoutOf } from './layout-stage';
import { placesOfCup, surfaceOf } from './surface-stage';
import { totalsOf } from './totals';

/** @param layout the cup split up already, by a worker; worked out here when left out */
type Planner = (design: Design, workshop: Workshop, layout?: PlannedAreas) => Plan;

/**
 * A planner with memories of its own. Each stage is kept for its own inputs, so a turned knob
 * works out again only what hangs on it: an amount never touches geometry, a blend never another.
 */
export function createPlanner(): Planner {
  const surface = remember(surfaceOf);
  const areas = remember(layoutOf);
  const places = remember(placesOfCup);
  const ready = rememberEach(readyBlend, 4);
  const light = rememberedLight();
  const outcome = rememberEach(blendOutcome, 4);
  const blendList = remember((...blends: ReadyBlend[]) => blends as readonly ReadyBlend[]);
  const steps = remember(
    (
      coats: readonly Coat[],
      start: Grounds,
      blends: readonly ReadyBlend[],
      sizes: CoatContext['sizes'],
      names: CoatContext['names'],
      masked: CoatContext['masked'],
      settings: Settings,
      shelf: readonly ShelfItem[],
    ) => stepsOf(coats, start, { blends, sizes, names, masked, settings, shelf, light }),
  );
  const outcomes = remember(
    (
      blends: readonly ReadyBlend[],
      laid: readonly Step[],
      start: Grounds,
      sizes: CoatContext['sizes'],
    ): readonly PlannedBlend[] =>
      blends.map((blend) => {
        const { kept, passes, under, hold } = laidBlend(blend, laid, start);
        return outcome(blend, sizes[blend.area], kept, passes, under, hold, light);
      }),
  );
  const looks = remember((after: Grounds): Plan['looks'] =>
    Object.fromEntries(Object.entries(after).map(([place, ground]) => [place, ground.look])),
  );
  const totals = remember(totalsOf);
  const findings = remember(checkDesign);

  return (design, workshop, layout) => {
    const { settings, shelf } = workshop;
    const planned = layout ?? areas(design.cup, design.areas);
    const { sizes, names, masked, grounds } = places(design.cup, planned);
    const blends = blendList(...design.blends.map((blend: Blend) => ready(blend, names[blend.area], sizes[blend.area], shelf)));
    const laid = steps(design.coats, grounds, blends, sizes, names, masked, settings, shelf);
    const after = laid.at(-1)?.after ?? grounds;
    return {
      design: design.id,
      name: design.name,
      surface: surface(design.cup),
      areas: planned,
      blends: outcomes(blends, laid, grounds, sizes),
      coats: laid.map((step) => step.planned),
      finished: Object.fromEntries(Object.entries(after).map(([place, ground]) => [place, light.hex(ground.spectrum)])),
      looks: looks(after),
      bareWall: bareWallColour[design.cup.material],
      totals: totals(design, laid, shelf),
      findings: findings(design, workshop, planned, laid),
    };
  };
}

/** The one place where a design becomes numbers. Never throws for a design that its schema accepts. */
export const planOf: Planner = createPlanner();
