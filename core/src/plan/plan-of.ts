import { blendOutcome, laidBlend, readyBlend } from '../blends';
import { checkDesign } from '../check';
import {
  bareGrounds,
  createCoatLayer,
  rememberedLight,
  seenThrough,
  throughGloss,
  type CoatContext,
  type Grounds,
  type ReadyBlend,
  type Step,
} from '../coats';
import { schooled, type Design, type OwnSchools, type Settings, type Workshop } from '../design';
import {
  layoutOf,
  levelsOfCoats,
  LEFT_OVER,
  placedWall,
  placesOfCup,
  surfaceOf,
  type CoatLevels,
  type CupPlaces,
  type PlacedWall,
  type PlannedAreas,
} from '../layout';
import { patternsOnCup } from '../on-surface';
import { glossLook } from '../look';
import { piecesOnCup } from '../pieces';
import { createFadePlanner, type LaidFade, type PlannedFade } from '../pots';
import { remember, rememberEach, rememberEachRecord, rememberRecord } from '../remember';
import { stringsOnCup } from '../strings';
import { bareWallColour } from '../vessel';
import type { Plan } from './plan';
import { totalsOf } from './totals';

/** @param layout the cup split up already, by a worker; worked out here when left out */
type Planner = (design: Design, workshop: Workshop, layout?: PlannedAreas) => Plan;

/** The same with what it was made of: each coat with the cup before and after it. */
type WorkPlanner = (...given: Parameters<Planner>) => { readonly plan: Plan; readonly steps: readonly Step[] };

/**
 * A planner with memories of its own. Each stage is kept for its own inputs, so a turned knob
 * works out again only what hangs on it: an amount never touches geometry, a blend never another.
 */
export function createWorkPlanner(): WorkPlanner {
  const light = rememberedLight();
  const surface = remember(surfaceOf);
  const areas = remember(layoutOf);
  const places = remember(placesOfCup);
  const wholeSizes = remember(({ whole }: PlacedWall): Sizes =>
    Object.fromEntries(whole.map(({ id, size }) => [id as string, size])),
  );
  const bare = remember(bareGrounds);
  const wallOf = remember(placedWall);
  // Worked out anew with each plan, so its text is compared.
  const levelsAs = remember((text: string) => JSON.parse(text) as CoatLevels);
  const ready = rememberEach(readyBlend, 4);
  const layFade = createFadePlanner(light);
  const fadeList = remember((...fades: LaidFade[]) => ({
    planned: fades.map(({ planned }) => planned),
    bases: Object.fromEntries(fades.flatMap(({ bases }) => Object.entries(bases))),
  }));
  const blendOut = rememberEachRecord(blendOutcome, 4);
  const blendList = remember((...blends: ReadyBlend[]): readonly ReadyBlend[] => blends);
  const allBlends = remember((areas: readonly ReadyBlend[], pots: readonly ReadyBlend[]) => [...areas, ...pots]);
  const lay = createCoatLayer();
  const steps = rememberRecord(
    ({ coats, start, cup, ...context }: Pick<Design, 'coats'> & { start: Grounds; cup: CupPlaces } & Bench) =>
      lay(coats, start, { ...cup, ...context, light }),
  );
  const outcomes = remember((blends: readonly ReadyBlend[], laid: readonly Step[], start: Grounds, sizes: Sizes) =>
    blends.map((blend) => blendOut(blend, { ...laidBlend(blend, laid, start), area: sizes[blend.area], light })),
  );
  const looks = remember((after: Grounds, fades: readonly PlannedFade[], settings: Settings): Plan['looks'] =>
    Object.fromEntries(
      Object.entries(withWholeAreas(after, fades)).map(([place, ground]) => [
        place,
        throughGloss(ground, settings) ? [...ground.look, glossLook] : ground.look,
      ]),
    ),
  );
  const onWall = remember(({ places }: PlacedWall): Plan['places'] =>
    places.filter(({ id }) => id !== LEFT_OVER).map(({ id, area, name, region, edge }) => ({ id, area, name, region, edge })),
  );
  const pieces = remember(piecesOnCup);
  const strings = remember(stringsOnCup);
  const patterns = remember(patternsOnCup);
  const totals = remember(totalsOf);
  const findings = rememberRecord(checkDesign);

  const schools = remember((settings: Settings, own: OwnSchools | undefined) => schooled(settings, own));
  const atHome = remember((settings: Settings, shelf: Workshop['shelf'], today: Workshop['today']): Workshop => ({
    settings,
    shelf,
    ...(today === undefined ? {} : { today }),
  }));

  return (design, given, layout) => {
    const { shelf } = given;
    const settings = schools(given.settings, design.schools);
    const workshop = atHome(settings, shelf, given.today);
    const planned = layout ?? areas(design.cup, design.areas);
    const bareWall = bareWallColour[design.cup.material];
    const { stations } = design.cup;
    const levels = levelsAs(JSON.stringify(levelsOfCoats(design.coats, design.cup, planned.areas)));
    const bench = { coats: design.coats, planned, wall: bareWall, settings, shelf, stations, levels };
    const faded = design.fades.flatMap((fade) => layFade(fade, { cup: design.cup, areas: design.areas, bench }) ?? []);
    const fades = fadeList(...faded);
    const wall = wallOf(planned, fades.planned, levels, stations);
    const cup = places(planned, wall);
    const sizes = wholeSizes(wall);
    const start = bare(cup, bareWall);
    const fading = new Set<string>(design.fades.map(({ area }) => area));
    const blends = blendList(
      ...design.blends
        .filter(({ area }) => !fading.has(area))
        .map((blend) => ready(blend, cup.names[blend.area], sizes[blend.area], shelf)),
    );
    // Over the overlap two pots thin out into each other, so each is as deep as on its own stretch.
    const potBlends = blendList(
      ...faded.flatMap((fade) => fade.blends.map((blend) => ready(blend, cup.names[blend.area], sizes[blend.area] ?? 0, shelf))),
    );
    const laid = steps({
      coats: design.coats,
      start,
      cup,
      blends: allBlends(blends, potBlends),
      fadedBases: fades.bases,
      settings,
      shelf,
      stations,
      levels,
    });
    const after = laid.at(-1)?.after ?? start;
    const outcome = outcomes(blends, laid, start, sizes);
    const plan: Plan = {
      design: design.id,
      name: design.name,
      surface: surface(design.cup),
      areas: planned,
      blends: outcome,
      fades: fades.planned,
      places: onWall(wall),
      leftOver: wall.places.find(({ id }) => id === LEFT_OVER)?.region ?? [],
      pieces: pieces(laid, design.cup, planned, workshop),
      strings: strings(laid, design.cup, planned),
      patterns: patterns(laid),
      coats: laid.map((step) => step.planned),
      finished: Object.fromEntries(
        Object.entries(withWholeAreas(after, fades.planned)).map(([place, ground]) => [
          place,
          light.hex(seenThrough(ground, settings, light)),
        ]),
      ),
      throughGloss: settings.gloss,
      looks: looks(after, fades.planned, settings),
      bareWall,
      totals: totals(design, laid, shelf, fades.planned),
      findings: findings({ design, workshop, areas: planned, steps: laid, fades: fades.planned, blends: outcome, cup }),
    };
    return { plan, steps: laid };
  };
}

/** cm² of each place before coats part it at a height. */
type Sizes = Readonly<Record<string, number>>;

/** What the coats are laid with, beside the cup itself. */
type Bench = Pick<CoatContext, 'blends' | 'fadedBases' | 'settings' | 'shelf' | 'stations' | 'levels'>;

/** What stands for an area that fades, where one colour has to: its middle pot. */
const withWholeAreas = (after: Grounds, fades: readonly PlannedFade[]): Grounds =>
  fades.length === 0
    ? after
    : {
        ...after,
        ...Object.fromEntries(fades.map(({ area, slices }) => [area as string, after[slices[slices.length >> 1].id]])),
      };

/** A planner that keeps its steps to itself. */
export function createPlanner(): Planner {
  const work = createWorkPlanner();
  return (...given) => work(...given).plan;
}

/** The one place where a design becomes numbers. Never throws for a design that its schema accepts. */
export const planOf: Planner = createPlanner();
