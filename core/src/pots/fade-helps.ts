import type { AreaId } from '../areas';
import { deltaE2000, labOf, reflectanceOf, type Lab, type Spectrum } from '../colour';
import { MOST_POTS, withFade, withStopParts, type Design, type Fade, type Workshop } from '../design';
import { HARDLY } from '../fade';
import { flakeRain, type Part } from '../glitter';
import { itemOf, type ItemOf } from '../stock';
import { lengthText } from '../units';
import type { PlannedFade } from './planned-fade';

/** Something that would make a fade show, or show more smoothly. */
export interface FadeHelp {
  readonly says: string;
  /** the design with it; null where only the maker's hand can do it */
  readonly design: Design | null;
}

/** Depths worth trying, times what it is. */
const DEEPER = [1.5, 2, 3];
/** mm of wall that a pot wants at least */
const ROOM = 8;

/**
 * What would help a fade that isn't seen: the nearest jar that parts its stops, a base that does, more depth. And one
 * whose steps are seen: more pots, or the stretch that they would need.
 */
export function fadeHelps(design: Design, { shelf, settings }: Workshop, planned: PlannedFade): readonly FadeHelp[] {
  const fade = design.fades.find(({ area }) => area === planned.area);
  const { laid } = planned;
  if (!fade || !laid) return [];
  if (laid.span >= HARDLY) return smoother(design, fade, planned, settings.units);
  const stops = fade.stops.map(({ parts, cover }, i) => ({
    parts: partsOf(parts, shelf),
    cover,
    under: reflectanceOf(planned.under[i] ?? '#ffffff'),
  }));
  const span = (change: Partial<{ depth: number; under: Spectrum; last: readonly Part[] }>): number => {
    const labs = stops.map(({ parts, cover, under }, i) =>
      labOf(
        flakeRain(
          i === stops.length - 1 && change.last ? change.last : parts,
          (change.depth ?? fade.depth) * cover,
          change.under ?? under,
        ),
      ),
    );
    return spanOf(labs);
  };
  return [
    ...otherJar(design, fade, shelf, (last) => span({ last })),
    ...otherBase(design, fade.area, shelf, (under) => span({ under })),
    ...DEEPER.map((times) => Number((fade.depth * times).toFixed(1)))
      .filter((depth) => depth <= 8 && span({ depth }) >= HARDLY)
      .slice(0, 1)
      .map((depth) => ({
        says: `More depth: ${depth.toFixed(1)} flakes deep instead of ${fade.depth.toFixed(1)}.`,
        design: withFade(design, fade.area, (one) => ({ ...one, depth })),
      })),
  ];
}

const spanOf = (labs: readonly Lab[]): number =>
  Math.max(...labs.flatMap((one, i) => labs.slice(i + 1).map((other) => deltaE2000(one, other))));

const partsOf = (parts: Fade['stops'][number]['parts'], shelf: Workshop['shelf']): readonly Part[] =>
  parts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ glitter: jar.flake, ml }] : [];
  });

/** The jar nearest to the last stop's colour that lifts the fade over the line. */
function otherJar(
  design: Design,
  fade: Fade,
  shelf: Workshop['shelf'],
  span: (last: readonly Part[]) => number,
): readonly FadeHelp[] {
  const at = fade.stops.length - 1;
  const { parts, cover } = fade.stops[at];
  if (cover === 0) return [];
  const now = labOf(flakeRain(partsOf(parts, shelf), 4, reflectanceOf('#808080')));
  const fits = shelf
    .filter((item): item is ItemOf<'glitter'> => item.kind === 'glitter' && !parts.some((part) => part.item === item.id))
    .filter((jar) => span([{ glitter: jar.flake, ml: 1 }]) >= HARDLY)
    .map((jar) => ({ jar, off: deltaE2000(now, labOf(flakeRain([{ glitter: jar.flake, ml: 1 }], 4, reflectanceOf('#808080')))) }))
    .sort((one, other) => one.off - other.off);
  return fits.slice(0, 1).map(({ jar }) => ({
    says: `${jar.name} as the last stop: of your jars the nearest to it that parts the ends.`,
    design: withFade(design, fade.area, (one) => withStopParts(one, at, [{ item: jar.id, ml: 1 }])),
  }));
}

/** A paint that parts the stops where flakes let it through, the least change in lightness first; dark ones as a rule. */
function otherBase(
  design: Design,
  area: AreaId,
  shelf: Workshop['shelf'],
  span: (under: Spectrum) => number,
): readonly FadeHelp[] {
  const coat = design.coats.findLast((one) => one.kind === 'base' && (one.on === 'all' || one.on.includes(area)));
  if (coat?.kind !== 'base') return [];
  const now = itemOf(shelf, coat.paint, 'paint');
  const light = (hex: string) => labOf(reflectanceOf(hex))[0];
  const before = now ? light(now.colour) : 50;
  const fits = shelf
    .filter((item): item is ItemOf<'paint'> => item.kind === 'paint' && item.id !== coat.paint)
    .filter((paint) => span(reflectanceOf(paint.colour)) >= HARDLY)
    .sort((one, other) => Math.abs(light(one.colour) - before) - Math.abs(light(other.colour) - before));
  return fits.slice(0, 1).map((paint) => ({
    says: `${paint.name} as the base: a ${light(paint.colour) < before ? 'darker' : 'lighter'} one parts what lies over it.`,
    design: { ...design, coats: design.coats.map((one) => (one === coat ? { ...one, paint: paint.id } : one)) },
  }));
}

/** More pots where steps are seen from across a table; a longer stretch where the wall has no room for them. */
function smoother(design: Design, fade: Fade, { laid }: PlannedFade, units: Workshop['settings']['units']): readonly FadeHelp[] {
  if (!laid || Math.max(...laid.pots.map(({ apart }) => apart ?? 0)) < HARDLY) return [];
  const wanted = Math.min(MOST_POTS, laid.potsToHide);
  const wall = laid.pots.reduce((sum, { along }) => sum + along, 0);
  const each = Math.max(ROOM, fade.overlap * 1.5);
  if (wanted <= fade.pots) return [];
  if (wall >= wanted * each)
    return [
      {
        says: `${wanted} pots: then no step is seen from arm’s length.`,
        design: withFade(design, fade.area, (one) => ({ ...one, pots: wanted })),
      },
    ];
  return [
    {
      says: `A longer stretch: ${wanted} pots hide every step, and want ${lengthText(wanted * each, units)} of wall.`,
      design: null,
    },
  ];
}
