import { laidBlend, readyBlend } from '../blends';
import { bareGrounds, stepsOf, type Light } from '../coats';
import { reflectanceOf, type Spectrum } from '../colour';
import type { Coat, Fade, Settings } from '../design';
import { placedWall, placesOfCup, type CoatLevels, type PlannedAreas } from '../layout';
import { itemOf, type ShelfItem, type ShelfItemId } from '../stock';
import type { Cup } from '../vessel';

/** What the coats of a design make of one stop of a fade: how they stick it, and what lies under it. */
export interface FadeGround {
  readonly passes: number;
  /** flakes deep a pass; infinite where all of it sticks */
  readonly hold: number;
  readonly under: Spectrum;
}

/** What the coats of a design find when they come to a fade. */
export interface FadeBench {
  readonly coats: readonly Coat[];
  readonly planned: PlannedAreas;
  /** hex of the wall as it comes */
  readonly wall: string;
  readonly settings: Settings;
  readonly shelf: readonly ShelfItem[];
  readonly stations: Cup['stations'];
  readonly levels: CoatLevels;
}

/** One stop of a fade: what is poured there, and the paint under it where the base fades. */
export interface StopOn {
  readonly area: Fade['area'];
  readonly parts: Fade['stops'][number]['parts'];
  readonly base: ShelfItemId | null;
}

/** Lays the coats with one stop's mix on the whole area, to see what they do to it. */
export function fadeGround({
  coats,
  planned,
  wall,
  settings,
  shelf,
  stations,
  levels,
  area,
  parts,
  base,
  light,
}: FadeBench & StopOn & { readonly light: Light }): FadeGround {
  const places = placesOfCup(planned, placedWall(planned, [], levels, stations));
  const grounds = bareGrounds(places, wall);
  const { names, parts: cut } = places;
  const size = (cut[area] ?? [area]).reduce((sum, part) => sum + places.sizes[part], 0);
  const blend = readyBlend({ area, parts }, names[area], Math.max(1, size), shelf);
  const paint = base === null ? undefined : itemOf(shelf, base, 'paint');
  const fadedBases = paint ? { [area]: { colour: paint.colour, spectrum: reflectanceOf(paint.colour) } } : {};
  const steps = stepsOf(coats, grounds, { ...places, blends: [blend], fadedBases, settings, shelf, stations, levels, light });
  const { passes, hold, under } = laidBlend(blend, steps, grounds);
  return { passes: Math.max(1, passes), hold, under };
}
