import type { Area } from '../areas';
import type { FadedBase, Light } from '../coats';
import { deltaE2000, hexOf, labOf, mixSpectra, reflectanceOf } from '../colour';
import type { Blend, Fade } from '../design';
import { FadeError, planFade, type FadeMix, type FadePlan } from '../fade';
import { flakeRain } from '../glitter';
import { slicesOfFade, type FadePlaces, type FadeSlice, type PlannedArea } from '../layout';
import { UnclearRegionError } from '../regions';
import { remember, rememberEach, rememberEachRecord, rememberRecord } from '../remember';
import { itemOf, type ShelfItem } from '../stock';
import type { Cup } from '../vessel';
import { fadeGround, type FadeBench, type FadeGround, type StopOn } from './fade-ground';
import type { PlannedFade } from './planned-fade';

/** A fade as places on the cup, what to pour on each, and its base colours where it has any. */
export interface LaidFade {
  readonly planned: PlannedFade;
  readonly blends: readonly Blend[];
  readonly bases: Readonly<Record<string, FadedBase>>;
}

/** @param cup and areas as the design has them, laid out in `bench.planned` */
type FadePlanner = (
  fade: Fade,
  on: { readonly cup: Cup; readonly areas: readonly Area[]; readonly bench: FadeBench },
) => LaidFade | null;

/** Lays fades, each step remembered: moving a stop lays no coat anew, and no other fade. */
export function createFadePlanner(light: Light): FadePlanner {
  const ground = rememberRecord((given: FadeBench & StopOn) => fadeGround({ ...given, light }), 48);
  const slices = rememberEachRecord(
    (stops: Fade['stops'], { of, area, cup, ...fade }: Omit<FadePlaces, 'stops'> & SlicedOn) =>
      slicesOfFade({ stops, ...fade }, of, area, cup),
    4,
  );
  const grounds = remember((...each: FadeGround[]): readonly FadeGround[] => each, 16);
  const laidFade = rememberEachRecord((fade: Fade, on: LaidOn) => laid(fade, on), 4);
  return (fade, { cup, areas, bench }) => {
    const area = bench.planned.areas.find(({ id }) => id === fade.area);
    const of = areas.find(({ id }) => id === fade.area);
    if (!area || !of) return null;
    const under = grounds(...fade.stops.map(({ parts, base }) => ground({ ...bench, area: fade.area, parts, base })));
    const { way, turns, pots, overlap } = fade;
    let cut: readonly FadeSlice[];
    try {
      cut = slices(fade.stops, { of, area, cup, way, turns, pots, overlap });
    } catch (error) {
      if (!(error instanceof UnclearRegionError)) throw error;
      return refusedFade(fade, area, [wholeSlice(area)], error.message);
    }
    const { settings, shelf } = bench;
    return laidFade(fade, { area, slices: cut, step: settings.spoonStep, shelf, grounds: under });
  };
}

/** The area that is split up among pots, as the design and as the layout have it. */
interface SlicedOn {
  readonly of: Area;
  readonly area: PlannedArea;
  readonly cup: Cup;
}

/** What a fade is laid on, and measured with. */
interface LaidOn {
  readonly area: PlannedArea;
  readonly slices: readonly FadeSlice[];
  /** ml, the maker's spoon */
  readonly step: number;
  readonly shelf: readonly ShelfItem[];
  readonly grounds: readonly FadeGround[];
}

/** The whole area as one place: where a fade can't be split up, it lies bare. */
const wholeSlice = (area: PlannedArea): FadeSlice => ({
  id: area.id,
  name: area.name,
  slot: { stop: 0, step: 0, of: 1, from: 0, to: 1 },
  region: area.region,
  area: area.area,
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

function laid(fade: Fade, { area, slices, step, shelf, grounds }: LaidOn): LaidFade {
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
      weighed: new Map((fade.weighed ?? []).map(({ pot, parts }) => [pot, jarsOf(parts, shelf)])),
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

/** The parts whose jars are on the shelf, with what is known of them. */
const jarsOf = (parts: Blend['parts'], shelf: readonly ShelfItem[]): FadeMix['parts'] =>
  parts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ item, name: jar.name, glitter: jar.flake, finish: jar.finish, ml }] : [];
  });

/** One jar goes by its own name; of more, their mix is made first and measured by the spoon. */
const mixOf = rememberEach((parts: Fade['stops'][number]['parts'], name: string, shelf: readonly ShelfItem[]): FadeMix => {
  const known = jarsOf(parts, shelf);
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
