import { runTogether } from '../ink';
import { filmLook } from '../look';
import { randomStream } from '../random';
import { remember } from '../remember';
import type { PlannedStrings } from '../strings';
import { ThicknessSteps, wetColour, type WetColour, type WetWish } from '../wet';
import type { FieldPlace } from './laid-pieces';
import type { WallPicture } from '../regions';

/** Steps that a pot's thickness is drawn in, from none to its most; finer ones are told apart by nobody. */
const STEPS = 12;
/** The same among flakes, where there is enough to look at. */
const STEPS_OVER_FLAKES = 7;
/** Numbers by which pixels take the one or the other of two steps. */
const CHANCES = 4096;

/** The flow is worked out once for the same colour, film and room; a wish is made anew with each plan, so its text is compared. */
const settled = remember((wish: string): WetColour => wetColour(JSON.parse(wish) as WetWish), 6);

/**
 * Places with the colour that ran over them: pixels where it lies equally thick are a part of their own, with its film between
 * the place's layers. Between two steps of thickness pixels take either, by chance, so that no step shows as a line.
 */
export function withStrings(
  places: readonly FieldPlace[],
  { wish, pots, under }: PlannedStrings,
  picture: WallPicture,
): readonly FieldPlace[] {
  if (!places.some(({ id }) => id in under)) return places;
  const wet = settled(JSON.stringify(wish));
  const thickness = thicknesses(wet, picture);
  const random = randomStream(wish.laying.seed);
  const chance = Float32Array.from({ length: CHANCES }, random);
  return places.flatMap((place): readonly FieldPlace[] => {
    if (!(place.id in under)) return [place];
    const at = under[place.id];
    const steps = new ThicknessSteps(wet, place.look.some(({ layer }) => layer === 'flakes') ? STEPS_OVER_FLAKES : STEPS);
    const byNumber = new Map<number, number[]>();
    for (const pixel of place.pixels) {
      const number = steps.numberOf(
        (pot) => thickness(pixel, pot),
        (pot) => chance[(pixel * 31 + pot * 7) % CHANCES],
      );
      const list = byNumber.get(number);
      if (list) list.push(pixel);
      else byNumber.set(number, [pixel]);
    }
    return [...byNumber].map(([number, pixels]) => ({
      id: place.id,
      pixels: Uint32Array.from(pixels),
      look: number === 0 ? place.look : place.look.toSpliced(at, 0, filmLook(runTogether(pots, steps.thickOf(number)))),
    }));
  });
}

/** mm of a pot's colour at a pixel, between the cells around it. */
function thicknesses(
  { grid, turned, colour }: WetColour,
  { width, height, top, rowsPerMm }: WallPicture,
): (pixel: number, pot: number) => number {
  const columns = Array.from({ length: width }, (_, column) => {
    const place = (((((column + 0.5) / width - turned / 360) * grid.columns - 0.5) % grid.columns) + grid.columns) % grid.columns;
    const left = Math.floor(place);
    return { left, right: (left + 1) % grid.columns, share: place - left };
  });
  const rows = Array.from({ length: height }, (_, row) => {
    const place = Math.min(grid.rows - 1, Math.max(0, (top - (row + 0.5) / rowsPerMm) / grid.rise - 0.5));
    const low = Math.floor(place);
    return { low: low * grid.columns, high: Math.min(grid.rows - 1, low + 1) * grid.columns, share: place - low };
  });
  return (pixel, pot) => {
    const { left, right, share } = columns[pixel % width];
    const { low, high, share: up } = rows[Math.floor(pixel / width)];
    const mm = colour[pot];
    const below = mm[low + left] * (1 - share) + mm[low + right] * share;
    const above = mm[high + left] * (1 - share) + mm[high + right] * share;
    return below * (1 - up) + above * up;
  };
}
