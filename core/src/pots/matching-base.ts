import { deltaE2000, labOf, reflectanceOf, type Lab } from '../colour';
import type { FadeStop } from '../design';
import { flakeRain } from '../glitter';
import { itemOf, type ItemOf, type ShelfItem } from '../stock';

/** So deep that nothing but the glitter is seen. */
const DEEP = 8;

/** A stop's own colour, whatever lies under it; null while none of its jars is on the shelf. */
function ownColour({ parts }: FadeStop, shelf: readonly ShelfItem[]): Lab | null {
  const known = parts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ glitter: jar.flake, ml }] : [];
  });
  return known.length === 0 ? null : labOf(flakeRain(known, DEEP, reflectanceOf('#808080')));
}

const nearest = (lab: Lab, paints: readonly ItemOf<'paint'>[]): ItemOf<'paint'> | null =>
  paints
    .map((paint) => ({ paint, off: deltaE2000(lab, labOf(reflectanceOf(paint.colour))) }))
    .sort((one, other) => one.off - other.off)
    .at(0)?.paint ?? null;

/** The paint on the shelf nearest to each stop, so that gaps between flakes don't show; null where there is none. */
export function matchingPaints(stops: readonly FadeStop[], shelf: readonly ShelfItem[]): readonly (ItemOf<'paint'> | null)[] {
  const paints = shelf.filter((item): item is ItemOf<'paint'> => item.kind === 'paint');
  return stops.map((stop) => {
    const own = ownColour(stop, shelf);
    return own ? nearest(own, paints) : null;
  });
}

/** Whether a base that fades follows its glitter: under each stop lies, of the fade's paints, the one nearest to it. */
export function baseMatches(stops: readonly FadeStop[], shelf: readonly ShelfItem[]): boolean {
  const used = shelf.filter(
    (item): item is ItemOf<'paint'> => item.kind === 'paint' && stops.some(({ base }) => base === item.id),
  );
  return stops.every((stop) => {
    const own = ownColour(stop, shelf);
    return stop.base === null || own === null || nearest(own, used)?.id === stop.base;
  });
}
