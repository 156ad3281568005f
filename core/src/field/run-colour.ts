import { runTogether } from '../ink';
import { filmLook } from '../look';
import { randomStream } from '../random';
import { remember } from '../remember';
import type { PlannedStrings } from '../strings';
import { ThicknessSteps, wetColour, type WetColour, type WetWish } from '../wet';
import type { FieldPlace } from './laid-pieces';
import type { SpotOfPixel } from './spot-of-pixel';

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
  spotOf: SpotOfPixel,
): readonly FieldPlace[] {
  if (!places.some(({ id }) => id in under)) return places;
  const wet = settled(JSON.stringify(wish));
  const thickness = thicknesses(wet, spotOf);
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
function thicknesses({ grid, turned, colour }: WetColour, spotOf: SpotOfPixel): (pixel: number, pot: number) => number {
  const { columns, rows, rise } = grid;
  let [known, left, right, across, low, high, up] = [-1, 0, 0, 0, 0, 0, 0];
  const find = (pixel: number): void => {
    const [turn, above] = spotOf(pixel);
    const place = ((((turn - turned / 360) * columns - 0.5) % columns) + columns) % columns;
    left = Math.floor(place);
    right = (left + 1) % columns;
    across = place - left;
    const level = Math.min(rows - 1, Math.max(0, above / rise - 0.5));
    low = Math.floor(level) * columns;
    high = Math.min(rows - 1, Math.floor(level) + 1) * columns;
    up = level - Math.floor(level);
    known = pixel;
  };
  // All pots are asked for at one pixel before the next.
  return (pixel, pot) => {
    if (pixel !== known) find(pixel);
    const mm = colour[pot];
    const below = mm[low + left] * (1 - across) + mm[low + right] * across;
    const over = mm[high + left] * (1 - across) + mm[high + right] * across;
    return below * (1 - up) + over * up;
  };
}
