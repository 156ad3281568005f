import { nearestPaint, ownColour } from '../coats';
import type { FadeStop } from '../design';
import type { ItemOf, ShelfItem } from '../stock';

/** The paint on the shelf nearest to each stop, so that gaps between flakes don't show; null where there is none. */
export function matchingPaints(stops: readonly FadeStop[], shelf: readonly ShelfItem[]): readonly (ItemOf<'paint'> | null)[] {
  const paints = shelf.filter((item): item is ItemOf<'paint'> => item.kind === 'paint');
  return stops.map((stop) => {
    const own = ownColour(stop.parts, shelf);
    return own ? nearestPaint(own, paints) : null;
  });
}

/** Whether a base that fades follows its glitter: under each stop lies, of the fade's paints, the one nearest to it. */
export function baseMatches(stops: readonly FadeStop[], shelf: readonly ShelfItem[]): boolean {
  const used = shelf.filter(
    (item): item is ItemOf<'paint'> => item.kind === 'paint' && stops.some(({ base }) => base === item.id),
  );
  return stops.every((stop) => {
    const own = ownColour(stop.parts, shelf);
    return stop.base === null || own === null || nearestPaint(own, used)?.id === stop.base;
  });
}
