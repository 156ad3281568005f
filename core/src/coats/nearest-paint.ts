import { deltaE2000, labOf, reflectanceOf, type Lab } from '../colour';
import type { Blend } from '../design';
import { flakeRain } from '../glitter';
import { itemOf, type ItemOf, type ShelfItem } from '../stock';

/** So deep that nothing but the glitter is seen. */
const DEEP = 8;

/** A mix's own colour, whatever lies under it; null while none of its jars is on the shelf. */
export function ownColour(parts: Blend['parts'], shelf: readonly ShelfItem[]): Lab | null {
  const known = parts.flatMap(({ item, ml }) => {
    const jar = itemOf(shelf, item, 'glitter');
    return jar ? [{ glitter: jar.flake, ml }] : [];
  });
  return known.length === 0 ? null : labOf(flakeRain(known, DEEP, reflectanceOf('#808080')));
}

/** Of some paints the one that shows least between a colour's flakes (ΔE00); null where there is none. */
export const nearestPaint = (lab: Lab, paints: readonly ItemOf<'paint'>[]): ItemOf<'paint'> | null =>
  paints
    .map((paint) => ({ paint, off: deltaE2000(lab, labOf(reflectanceOf(paint.colour))) }))
    .sort((one, other) => one.off - other.off)
    .at(0)?.paint ?? null;
