import type { Area } from '../areas';
import type { Blend, Fade, Settings } from '../design';
import { deltaE2000, hexOf, labOf, mixSpectra, reflectanceOf } from '../colour';
import { flakeRain } from '../glitter';
import { FadeError, planFade, type FadeMix, type FadePlan } from '../fade';
import { UnclearRegionError } from '../regions';
import { remember, rememberEach } from '../remember';
import { itemOf, type ShelfItem } from '../stock';
import type { Cup } from '../vessel';
import type { FadedBase } from '../coats';
import { fadeGround, type FadeGround } from './fade-ground';
import { slicesOfFade } from './fade-slices';
import type { Light } from './light';
import type { FadeSlice, PlannedArea, PlannedAreas, PlannedFade } from './plan';

/** A fade as places on the cup, what to pour on each, and its base colours where it has any. */
export interface LaidFade {
  readonly planned: PlannedFade;
  readonly blends: readonly Blend[];
  readonly bases: Readonly<Record<string, FadedBase>>;
}

type FadePlanner = (
  fade: Fade,
  areas: readonly Area[],
  cup: Cup,
  planned: PlannedAreas,
  coats: Parameters<typeof fadeGround>[0],
  settings: Settings,
  shelf: readonly ShelfItem[],
) => LaidFade | null;

/** Lays fades, each step remembered: moving a stop lays no coat anew, and no other fade. */
export function createFadePlanner(light: Light): FadePlanner {
  const ground = remember(
    (...given: Parameters<typeof fadeGround> extends [...infer Rest, Light] ? Rest : never) => fadeGround(...given, light),
    48,
  );
  const slices = rememberEach(
    (
      stops: Fade['stops'],
      of: Area,
      area: PlannedArea,
      cup: Cup,
      way: Fade['way'],
      turns: number,
      pots: number,
      overlap: number,
    ) => slicesOfFade({ stops, way, turns, pots, overlap }, of, area, cup),
    4,
  );
  const laidFade = rememberEach(
    (
      fade: Fade,
      area: PlannedArea,
      cut: readonly FadeSlice[],
      step: number,
      shelf: readonly ShelfItem[],
      ...grounds: FadeGround[]
    ) => laid(fade, area, cut, step, shelf, grounds),
    4,
  );
  return (fade, areas, cup, planned, coats, settings, shelf) => {
    const area = planned.areas.find(({ id }) => id === fade.area);
    const of = areas.find(({ id }) => id === fade.area);
    if (!area || !of) return null;
    const grounds = fade.stops.map(({ parts, base }) => ground(coats, cup, planned, fade.area, parts, base, settings, shelf));
    let cut: readonly FadeSlice[];
    try {
      cut = slices(fade.stops, of, area, cup, fade.way, fade.turns, fade.pots, fade.overlap);
    } catch (error) {
      if (!(error instanceof UnclearRegionError)) throw error;
      return refusedFade(fade, area, [wholeSlice(area)], error.message);
    }
    return laidFade(fade, area, cut, settings.spoonStep, shelf, ...grounds);
  };
}

/** The whole area as one place: where a fade can't be split up, it lies bare. */
const wholeSlice = (area: PlannedArea): FadeSlice => ({
  id: area.id,
  name: area.name,
  slot: { stop: 0, step: 0, of: 1, from: 0, to: 1 },
  region: area.region,
  area: area.area,
  strewn: area.area,
  along: 0,
  stretches: [],
});

function refusedFade(fade: Fade, area: PlannedArea, slices: readonly FadeSlice[], refused: string): LaidFade {
  return {
    planned: {
      area: fade.area,
      areaName: area.name,
      way: fade.way,
      slices,
      laid: null,
      refused,
      under: [],
      paints: [],
      baseShows: null,
    },
    blends: [],
    bases: {},
  };
}

function laid(
  fade: Fade,
  area: PlannedArea,
  slices: readonly FadeSlice[],
  step: number,
  shelf: readonly ShelfItem[],
  grounds: readonly FadeGround[],
): LaidFade {
  let plan: FadePlan;
  try {
    plan = planFade({
      stops: fade.stops.map(({ at, parts, cover }, i) => ({
        at,
        cover,
        mix: mixOf(parts, `stop ${i + 1}`, shelf),
        under: grounds[i].under,
      })),
      slots: slices.map(({ slot }) => slot),
      areas: slices.map(({ area }) => area),
      along: slices.map(({ along }) => along),
      overlap: fade.overlap,
      hold: Number.isFinite(grounds[0].hold) ? grounds[0].hold : null,
      passes: grounds[0].passes,
      depth: fade.depth,
      step,
      castOff: fade.castOff,
    });
  } catch (error) {
    if (!(error instanceof FadeError)) throw error;
    return refusedFade(fade, area, slices, error.message);
  }
  const planned: PlannedFade = {
    area: fade.area,
    areaName: area.name,
    way: fade.way,
    slices,
    refused: null,
    laid: { ...plan, pots: plan.pots.map((pot, i) => ({ ...pot, ...slices[i] })) },
    under: grounds.map(({ under }) => hexOf(under)),
    paints: fade.stops.map(({ base }) => (base === null ? null : (itemOf(shelf, base, 'paint')?.name ?? null))),
    baseShows: baseShows(fade, grounds, shelf),
  };
  return {
    planned,
    blends: plan.pots.flatMap(({ parts }, i) =>
      parts.length > 0 ? [{ area: slices[i].id, parts: parts.map(({ item, ml }) => ({ item, ml })) }] : [],
    ),
    bases: basesOf(fade, plan, slices, shelf),
  };
}

/** One jar goes by its own name; of more, their mix is made first and measured by the spoon. */
const mixOf = rememberEach((parts: Fade['stops'][number]['parts'], name: string, shelf: readonly ShelfItem[]): FadeMix => {
  const known = parts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ item, name: jar.name, glitter: jar.flake, finish: jar.finish, ml }] : [];
  });
  return { name: known.length === 1 ? known[0].name : `the mix of ${name}`, parts: known };
}, 8);

/** What the most different bases make of a like glitter over them. */
function baseShows({ stops, depth }: Fade, grounds: readonly FadeGround[], shelf: readonly ShelfItem[]): number | null {
  if (new Set(stops.map(({ base }) => base)).size < 2) return null;
  return Math.max(
    ...stops.flatMap(({ parts, cover }) => {
      const labs = grounds.map(({ under }) => labOf(flakeRain(mixOf(parts, '', shelf).parts, depth * cover, under)));
      return labs.map((lab) => deltaE2000(labs[0], lab));
    }),
  );
}

/** Base colours under the pots: paint misted over paint is seen as the mean of its dots. */
function basesOf(
  { stops }: Fade,
  { pots }: FadePlan,
  slices: readonly FadeSlice[],
  shelf: readonly ShelfItem[],
): LaidFade['bases'] {
  const paints = stops.map(({ base }) => (base === null ? undefined : itemOf(shelf, base, 'paint')));
  return Object.fromEntries(
    pots.flatMap(({ base: { stop, share } }, i) => {
      const [one, other] = [paints[stop], paints[Math.min(stop + 1, stops.length - 1)]];
      if (!one && !other) return [];
      const [from, to] = [one ?? other, other ?? one].flatMap((paint) => (paint ? [reflectanceOf(paint.colour)] : []));
      const spectrum = share === 0 ? from : mixSpectra([from, to], [1 - share, share]);
      return [[slices[i].id, { spectrum, colour: hexOf(spectrum) }] as const];
    }),
  );
}
