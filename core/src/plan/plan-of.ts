import { checkDesign } from '../check';
import type { CoatContext, Grounds, ReadyBlend } from '../coats';
import type { Blend, Coat, Design, Settings, Workshop } from '../design';
import type { ShelfItem } from '../stock';
import { bareWallColour } from '../vessel';
import { blendOutcome, laidBlend } from './blend-outcome';
import { readyBlend } from './blends-stage';
import { stepsOf, type Step } from './coats-stage';
import { rememberedLight } from './light';
import type { Plan, PlannedAreas, PlannedBlend, PlannedFade } from './plan';
import { remember, rememberEach } from '../remember';
import { layoutOf } from './layout-stage';
import { createFadePlanner, type LaidFade } from './fades-stage';
import { placesOfCup, placesOnWall, surfaceOf } from './surface-stage';
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
  const onWall = remember(placesOnWall);
  const ready = rememberEach(readyBlend, 4);
  const light = rememberedLight();
  const layFade = createFadePlanner(light);
  const fadeList = remember((...fades: LaidFade[]) => ({
    planned: fades.map(({ planned }) => planned),
    bases: Object.fromEntries(fades.flatMap(({ bases }) => Object.entries(bases))),
  }));
  const outcome = rememberEach(blendOutcome, 4);
  const blendList = remember((...blends: ReadyBlend[]) => blends as readonly ReadyBlend[]);
  const allBlends = remember((areas: readonly ReadyBlend[], pots: readonly ReadyBlend[]) => [...areas, ...pots]);
  const steps = remember(
    (
      coats: readonly Coat[],
      start: Grounds,
      blends: readonly ReadyBlend[],
      sizes: CoatContext['sizes'],
      names: CoatContext['names'],
      masked: CoatContext['masked'],
      pots: CoatContext['pots'],
      fadedBases: CoatContext['fadedBases'],
      settings: Settings,
      shelf: readonly ShelfItem[],
    ) => stepsOf(coats, start, { blends, sizes, names, masked, pots, fadedBases, settings, shelf, light }),
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
  const looks = remember((after: Grounds, fades: readonly PlannedFade[]): Plan['looks'] =>
    Object.fromEntries(Object.entries(withWholeAreas(after, fades)).map(([place, ground]) => [place, ground.look])),
  );
  const totals = remember(totalsOf);
  const findings = remember(checkDesign);

  return (design, workshop, layout) => {
    const { settings, shelf } = workshop;
    const planned = layout ?? areas(design.cup, design.areas);
    const faded = design.fades.flatMap(
      (fade) => layFade(fade, design.areas, design.cup, planned, design.coats, settings, shelf) ?? [],
    );
    const fades = fadeList(...faded);
    const { sizes, names, masked, grounds, pots } = places(design.cup, planned, fades.planned);
    const fading = new Set<string>(design.fades.map(({ area }) => area));
    const blends = blendList(
      ...design.blends
        .filter(({ area }) => !fading.has(area))
        .map((blend: Blend) => ready(blend, names[blend.area], sizes[blend.area], shelf)),
    );
    // Over the overlap two pots thin out into each other, so each is as deep as on its own stretch.
    const potBlends = blendList(
      ...faded.flatMap((fade) =>
        fade.blends.map((blend) =>
          ready(blend, names[blend.area], fade.planned.slices.find(({ id }) => id === blend.area)?.area ?? 0, shelf),
        ),
      ),
    );
    const laid = steps(
      design.coats,
      grounds,
      allBlends(blends, potBlends),
      sizes,
      names,
      masked,
      pots,
      fades.bases,
      settings,
      shelf,
    );
    const after = laid.at(-1)?.after ?? grounds;
    return {
      design: design.id,
      name: design.name,
      surface: surface(design.cup),
      areas: planned,
      blends: outcomes(blends, laid, grounds, sizes),
      fades: fades.planned,
      places: onWall(planned, fades.planned),
      coats: laid.map((step) => step.planned),
      finished: Object.fromEntries(
        Object.entries(withWholeAreas(after, fades.planned)).map(([place, ground]) => [place, light.hex(ground.spectrum)]),
      ),
      looks: looks(after, fades.planned),
      bareWall: bareWallColour[design.cup.material],
      totals: totals(design, laid, shelf, fades.planned),
      findings: findings(design, workshop, planned, laid, fades.planned),
    };
  };
}

/** What stands for an area that fades, where one colour has to: its middle pot. */
const withWholeAreas = (after: Grounds, fades: readonly PlannedFade[]): Grounds =>
  fades.length === 0
    ? after
    : {
        ...after,
        ...Object.fromEntries(fades.map(({ area, slices }) => [area as string, after[slices[slices.length >> 1].id]])),
      };

/** The one place where a design becomes numbers. Never throws for a design that its schema accepts. */
export const planOf: Planner = createPlanner();
