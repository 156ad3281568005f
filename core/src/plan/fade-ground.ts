import type { Coat, Fade, Settings } from '../design';
import { reflectanceOf, type Spectrum } from '../colour';
import { itemOf, type ShelfItem, type ShelfItemId } from '../stock';
import type { Cup } from '../vessel';
import { laidBlend } from './blend-outcome';
import { readyBlend } from './blends-stage';
import { stepsOf } from './coats-stage';
import type { Light } from './light';
import type { PlannedAreas } from './plan';
import { placesOfCup } from './surface-stage';

/** What the coats of a design make of one stop of a fade: how they stick it, and what lies under it. */
export interface FadeGround {
  readonly passes: number;
  /** flakes deep a pass; infinite where all of it sticks */
  readonly hold: number;
  readonly under: Spectrum;
}

/** Lays the coats with one stop's mix on the whole area, to see what they do to it. */
export function fadeGround(
  coats: readonly Coat[],
  cup: Cup,
  planned: PlannedAreas,
  area: Fade['area'],
  parts: Fade['stops'][number]['parts'],
  base: ShelfItemId | null,
  settings: Settings,
  shelf: readonly ShelfItem[],
  light: Light,
): FadeGround {
  const { sizes, names, masked, grounds } = placesOfCup(cup, planned, []);
  const blend = readyBlend({ area, parts }, names[area], Math.max(1, sizes[area]), shelf);
  const paint = base === null ? undefined : itemOf(shelf, base, 'paint');
  const fadedBases = paint ? { [area]: { colour: paint.colour, spectrum: reflectanceOf(paint.colour) } } : {};
  const steps = stepsOf(coats, grounds, { blends: [blend], sizes, names, masked, pots: {}, fadedBases, settings, shelf, light });
  const { passes, hold, under } = laidBlend(blend, steps, grounds);
  return { passes: Math.max(1, passes), hold, under };
}
