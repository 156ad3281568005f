import { inkTint } from '../ink';
import { filmOf } from '../colour';
import { filmLook, type Look } from '../look';
import { randomStream } from '../random';
import type { PlannedStrings } from '../strings';
import { wetColour, type WetColour, type WetWish } from '../wet';
import type { FieldPlace } from './laid-pieces';
import type { WallPicture } from './region-pixels';

/** Steps that a pot's thickness is drawn in, from none to its most; finer ones are told apart by nobody. */
const STEPS = 12;
/** The same among flakes, where there is enough to look at. */
const STEPS_OVER_FLAKES = 7;

/** The flow is worked out once for the same colour, film and room. */
const kept: { key: string; wet: WetColour }[] = [];
function settled(wish: WetWish): WetColour {
  const key = JSON.stringify(wish);
  const found = kept.find((one) => one.key === key);
  if (found) return found.wet;
  const wet = wetColour(wish);
  kept.unshift({ key, wet });
  kept.length = Math.min(kept.length, 6);
  return wet;
}

/**
 * Places with the colour that ran over them: pixels where it lies equally thick are a part of their own, with its film between
 * the place's layers. Between two steps of thickness pixels take either, by chance, so that no step shows as a line.
 */
export const withStrings = (
  places: readonly FieldPlace[],
  strings: readonly PlannedStrings[],
  picture: WallPicture,
): readonly FieldPlace[] =>
  // From the last one down: what is put between the layers above moves nothing below.
  strings.reduceRight((parts, one) => parted(parts, one, picture), places);

function parted(
  places: readonly FieldPlace[],
  { wish, pots, under }: PlannedStrings,
  picture: WallPicture,
): readonly FieldPlace[] {
  if (!places.some(({ id }) => id in under)) return places;
  const wet = settled(wish);
  const most = wet.colour.map((pot) => pot.reduce((top, mm) => Math.max(top, mm), 0));
  const thickness = thicknesses(wet, picture);
  const random = randomStream(wish.laying.seed);
  const chance = Float32Array.from({ length: 4096 }, random);
  return places.flatMap((place): readonly FieldPlace[] => {
    if (!(place.id in under)) return [place];
    const at = under[place.id];
    const steps = place.look.some(({ layer }) => layer === 'flakes') ? STEPS_OVER_FLAKES : STEPS;
    const byStep = new Map<number, number[]>();
    for (const pixel of place.pixels) {
      let step = 0;
      for (let pot = pots.length - 1; pot >= 0; pot -= 1) {
        const share = most[pot] > 0 ? Math.sqrt(Math.max(0, thickness(pixel, pot)) / most[pot]) : 0;
        step = step * (steps + 1) + Math.min(steps, Math.floor(share * steps + chance[(pixel * 31 + pot * 7) & 4095]));
      }
      const list = byStep.get(step);
      if (list) list.push(pixel);
      else byStep.set(step, [pixel]);
    }
    return [...byStep].map(([step, pixels]) => ({
      id: place.id,
      pixels: Uint32Array.from(pixels),
      look: tinted(
        place.look,
        at,
        pots.map(({ ink, load }, pot) => {
          const own = Math.floor(step / (steps + 1) ** pot) % (steps + 1);
          return { ink, load, mm: (own / steps) ** 2 * most[pot] };
        }),
      ),
    }));
  });
}

function tinted(
  look: Look,
  at: number,
  pots: readonly (Omit<PlannedStrings['pots'][number], 'ml'> & { readonly mm: number })[],
): Look {
  const tints = pots.filter(({ mm }) => mm > 0).map(({ ink, load, mm }) => inkTint(ink, load, mm));
  return tints.length === 0 ? look : [...look.slice(0, at), filmLook(filmOf(tints)), ...look.slice(at)];
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
