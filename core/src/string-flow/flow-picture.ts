import { filmOf, hexOf, layOver } from '../colour';
import { inkTint } from '../ink';
import { LEFT_OVER } from '../layout';
import { regionPixels } from '../field';
import type { WetColour } from '../wet';
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
export function flowPicture({ grid, colour: wet, turned }: WetColour, { plan, step, pots }: StringsStep): FlowPicture {
  const { columns: width, rows: height } = grid;
  const view = { width, height, top: height * grid.rise, rowsPerMm: 1 / grid.rise };
  const owner = new Uint16Array(width * height);
  const places = [{ id: LEFT_OVER as string, region: plan.leftOver }, ...plan.places].map(({ id, region }) => ({
    id: id as string,
    region,
  }));
  places.forEach(({ region }, place) => {
    for (const pixel of regionPixels(region, view)) owner[pixel] = place + 1;
  });
  const most = wet.map((pot) => pot.reduce((top, mm) => Math.max(top, mm), 0));
  const drifted = Math.round((turned / 360) * width);
  const known = new Map<number, readonly number[]>();
  const pixels = new Uint8ClampedArray(width * height * 4);
  for (let pixel = 0; pixel < owner.length; pixel += 1) {
    const [row, column] = [height - 1 - Math.floor(pixel / width), pixel % width];
    const at = row * width + ((((column - drifted) % width) + width) % width);
    const place = owner[pixel];
    const reached = place > 0 && step.before[places[place - 1].id].spectrum !== step.after[places[place - 1].id].spectrum;
    let key = 0;
    for (let pot = pots.length - 1; pot >= 0; pot -= 1) {
      const share = reached && most[pot] > 0 ? Math.sqrt(Math.max(0, wet[pot][at]) / most[pot]) : 0;
      key = key * (STEPS + 1) + Math.round(share * STEPS);
    }
    key = key * (places.length + 1) + place;
    let colour = known.get(key);
    if (colour === undefined) known.set(key, (colour = bytesOf(seenAt(key, place === 0 ? null : places[place - 1].id))));
    pixels.set(colour, 4 * pixel);
  }
  return { width, height, pixels };

  function seenAt(key: number, place: string | null): string {
    if (place === null) return plan.bareWall;
    let left = Math.floor(key / (places.length + 1));
    const tints = pots.flatMap(({ ink, load }, pot) => {
      const share = (left % (STEPS + 1)) / STEPS;
      left = Math.floor(left / (STEPS + 1));
      return share > 0 ? [inkTint(ink, load, share * share * most[pot])] : [];
    });
    const under = step.before[place].spectrum;
    return hexOf(tints.length > 0 ? layOver(filmOf(tints), under) : under);
  }
}

const bytesOf = (hex: string): readonly number[] => [...[1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)), 255];
