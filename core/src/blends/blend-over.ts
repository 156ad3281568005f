import { hexOf, reflectanceOf } from '../colour';
import { flakeRain } from '../glitter';
import type { ShelfItem } from '../stock';
import type { PlannedBlend } from './blend-outcome';
import { pouredParts } from './scaled-blend';

/** The colour a blend would be seen in over another base, as deep as its coats lay it; hex in, hex out. */
export const blendOver = (blend: PlannedBlend, shelf: readonly ShelfItem[], base: string): string =>
  hexOf(flakeRain(pouredParts(blend.parts, shelf), blend.kept, reflectanceOf(base)));
