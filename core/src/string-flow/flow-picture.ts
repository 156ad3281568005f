import { glossed, hexOf, layOver } from '../colour';
import { regionPixels } from '../regions';
import { bytesOf } from '../hex';
import { runTogether } from '../ink';
import { LEFT_OVER } from '../layout';
import { ThicknessSteps, type WetColour, type WetGrid } from '../wet';
import type { StringsStep } from './strings-step';

/** The unrolled wall: rim at the top, seam at both sides. */
export interface FlowPicture {
  readonly width: number;
  readonly height: number;
  /** RGBA, row by row */
  readonly pixels: Uint8ClampedArray<ArrayBuffer>;
}

/** Steps that a pot's thickness is told apart in, from none to its most. */
const STEPS = 20;

/** What is seen of the wall with wet colour on it, over what really lies under it: a pixel a cell. */
export function flowPicture(wet: WetColour, strung: StringsStep, owners: Uint16Array): FlowPicture {
  const { columns: width, rows: height } = wet.grid;
  const { plan, step, pots } = strung;
  const steps = new ThicknessSteps(wet, STEPS);
  const grounds = placesOf(strung).map(({ id }) => ({
    under: step.before[id].spectrum,
    glossy: plan.throughGloss && step.before[id].glossy,
    reached: step.before[id].spectrum !== step.after[id].spectrum,
  }));
  const bare = bytesOf(plan.bareWall);
  const drifted = Math.round((wet.turned / 360) * width);
  const known = new Map<string, readonly number[]>();
  const seenAt = (owner: number, number: number): readonly number[] => {
    const key = `${owner}/${number}`;
    const found = known.get(key);
    if (found) return found;
    const { under, glossy } = grounds[owner - 1];
    const below = number === 0 ? under : layOver(runTogether(pots, steps.thickOf(number)), under);
    const seen = bytesOf(hexOf(glossy ? glossed(below) : below));
    known.set(key, seen);
    return seen;
  };
  const pixels = new Uint8ClampedArray(width * height * 4).fill(255);
  owners.forEach((owner, pixel) => {
    const [row, column] = [height - 1 - Math.floor(pixel / width), pixel % width];
    const at = row * width + ((((column - drifted) % width) + width) % width);
    const number =
      owner > 0 && grounds[owner - 1].reached
        ? steps.numberOf(
            (pot) => wet.colour[pot][at],
            () => 0.5,
          )
        : 0;
    pixels.set(owner === 0 ? bare : seenAt(owner, number), 4 * pixel);
  });
  return { width, height, pixels };
}

/** Which place each cell of a grid belongs to, from 1, 0 being bare wall; rim at the top. */
export function cellOwners(strung: StringsStep, { columns: width, rows: height, rise }: WetGrid): Uint16Array {
  const owners = new Uint16Array(width * height);
  placesOf(strung).forEach(({ region }, place) => {
    for (const pixel of regionPixels(region, { width, height, top: height * rise, rowsPerMm: 1 / rise }))
      owners[pixel] = place + 1;
  });
  return owners;
}

const placesOf = ({ plan }: StringsStep) => [{ id: LEFT_OVER as string, region: plan.leftOver }, ...plan.places];
