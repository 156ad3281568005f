import { deltaE2000, hexOfLab, labOfLinearRgb, solveLinear, type KnownPatch, type Lab, type Triple } from '../colour';
import type { Region } from '../regions';
import type { Station } from '../vessel';
import { lightBy, type LightOfPhoto } from './light-of-photo';
import { placeFinder } from './place-finder';
import { seenCup, type CupHandles } from './seen-cup';

/** A photo as it is read: RGBA, sRGB. */
export interface Picture {
  readonly pixels: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** A place of the wall, and the colour it should have. */
export interface ExpectedPlace {
  readonly id: string;
  readonly name: string;
  readonly region: Region;
  readonly expected: Lab;
}

export interface CupPhoto {
  readonly picture: Picture;
  readonly handles: CupHandles;
  /** white or grey cards in the photo, facing the camera beside the cup: one, or more to be surer */
  readonly cards: readonly [KnownPatch, ...KnownPatch[]];
  readonly stations: readonly Station[];
  /** degrees from the seam that face the camera */
  readonly faces: number;
  readonly places: readonly ExpectedPlace[];
}

/** What a photo shows of a place. */
export interface SeenPlace {
  readonly id: string;
  readonly name: string;
  readonly lab: Lab;
  readonly hex: string;
  /** ΔE00 from what was expected */
  readonly off: number;
  /** ΔE00, one standard deviation of what the photo itself can't tell */
  readonly spread: number;
  /** share of what the camera sees well of the cup */
  readonly share: number;
}

export interface ReadPhoto {
  /** those that are seen well enough, as they were given */
  readonly places: readonly SeenPlace[];
  /** names of those that aren't */
  readonly unseen: readonly string[];
  readonly tilt: number;
  /** times brighter the right side is than the left, before that was set right */
  readonly leaning: number;
  /** several cards say the same, as nearly as cards do */
  readonly cardsAgree: boolean;
}

/** No place is seen well enough; the sentence says what to do. */
export class PhotoReadError extends Error {
  override readonly name = 'PhotoReadError';
}

/** Degrees aside from which on the wall is seen too much from the side: it mirrors the room. */
const GRAZING = 60;
const ACROSS = 81;
const UP = 110;
/** Samples beside one that must be of the same place: 2 mm or so. */
const EDGE = 2;
/** Samples that a place needs. */
const LEAST = 40;
/** Linear light over which a pixel is burnt out, or a glint. */
const BURNT = 0.985;

interface Sample {
  readonly place: number;
  /** sine of the degrees aside */
  readonly side: number;
  readonly rgb: Triple;
}

/**
 * Reads the colours of a cup off a photo: the light is set right by the card, its falling off across the cup is fitted and
 * taken out (each place has one colour on the whole, so what changes from side to side in all of them is light), the visible
 * wall is unrolled by its stations, and each place's mean is compared with what was expected.
 * @throws HandlesError, PatchError, PhotoReadError with what to do
 */
export function readCupPhoto({ picture, handles, cards, stations, faces, places }: CupPhoto): ReadPhoto {
  const cup = seenCup(stations, handles);
  const light = lightBy(cards);
  const samples = sampled(picture, (aside, at) => cup.point(aside, at), { stations, faces, places, balance: light.balance });
  const counts = places.map((_, i) => samples.reduce((sum, { place }) => sum + (place === i ? 1 : 0), 0));
  const well = places.map((_, i) => counts[i] >= LEAST);
  const seen = samples.filter(({ place }) => well[place]);
  if (seen.length === 0)
    throw new PhotoReadError(
      'None of the cup can be read: it is burnt out, or out of the picture. Draw the handles onto it, or take another photo.',
    );
  const fall = falloffOf(seen, places.length);
  return {
    places: places.flatMap((place, i): SeenPlace[] =>
      well[i]
        ? [
            seenPlace(
              place,
              seen.filter((sample) => sample.place === i),
              { fall, light },
              seen.length,
            ),
          ]
        : [],
    ),
    unseen: places.filter((_, i) => !well[i]).map(({ name }) => name),
    tilt: cup.tilt,
    leaning: Math.exp(fall.at(SIDE) - fall.at(-SIDE)),
    cardsAgree: light.agree,
  };
}

const SIDE = Math.sin((GRAZING * Math.PI) / 180);

function sampled(
  { pixels, width, height }: Picture,
  point: (aside: number, at: number) => readonly [number, number],
  { stations, faces, places, balance }: Pick<CupPhoto, 'stations' | 'faces' | 'places'> & { readonly balance: Triple },
): readonly Sample[] {
  const rim = stations[stations.length - 1].height;
  const heightOf = (row: number) => (rim * (row + 0.5)) / UP;
  const asideOf = (column: number) => GRAZING * ((2 * (column + 0.5)) / ACROSS - 1);
  const placeAt = placeFinder(places);
  const grid = Int32Array.from({ length: UP * ACROSS }, (_, i) => {
    const angle = (((faces + asideOf(i % ACROSS)) % 360) + 360) % 360;
    return placeAt(angle, heightOf(Math.floor(i / ACROSS)));
  });
  // Handles are drawn by hand: what lies at an edge may be of its neighbour.
  const within = (row: number, column: number, place: number): boolean => {
    for (let up = -EDGE; up <= EDGE; up += 1)
      for (let along = -EDGE; along <= EDGE; along += 1) {
        const [r, c] = [row + up, column + along];
        if (r < 0 || r >= UP || c < 0 || c >= ACROSS || grid[r * ACROSS + c] !== place) return false;
      }
    return true;
  };
  const samples: Sample[] = [];
  for (let row = 0; row < UP; row += 1) {
    const at = heightOf(row);
    for (let column = 0; column < ACROSS; column += 1) {
      const aside = asideOf(column);
      const place = grid[row * ACROSS + column];
      if (place < 0 || !within(row, column, place)) continue;
      const [x, y] = point(aside, at).map(Math.round);
      if (x < 0 || y < 0 || x >= width || y >= height) continue;
      const from = 4 * (y * width + x);
      const raw: Triple = [LINEAR[pixels[from]], LINEAR[pixels[from + 1]], LINEAR[pixels[from + 2]]];
      if (Math.max(...raw) > BURNT) continue;
      const rgb: Triple = [raw[0] * balance[0], raw[1] * balance[1], raw[2] * balance[2]];
      samples.push({ place, side: Math.sin((aside * Math.PI) / 180), rgb });
    }
  }
  return samples;
}

/** sRGB's own curve, for each value a pixel can have. */
const LINEAR = Float64Array.from({ length: 256 }, (_, value) => {
  const share = value / 255;
  return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
});

const brightness = ([r, g, b]: Triple): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;
const powers = (side: number): readonly number[] => [side, side ** 2, side ** 3];

interface Falloff {
  /** logarithm of how much brighter the light is at a side than at what faces the camera */
  at(side: number): number;
  /** one standard deviation of that */
  readonly error: number;
}

/** Columns that the wall is summed up in before its light is fitted: flakes differ more from each other than light does. */
const COLUMNS = 24;

/** The logarithm of light across the cup as a cubic of the sine aside, by least squares; each place has a level of its own. */
function falloffOf(samples: readonly Sample[], places: number): Falloff {
  const cells = new Map<number, { sum: number; side: number; count: number; place: number }>();
  for (const { place, side, rgb } of samples) {
    const column = Math.min(COLUMNS - 1, Math.floor(((side / SIDE + 1) / 2) * COLUMNS));
    const key = place * COLUMNS + column;
    const cell = cells.get(key) ?? { sum: 0, side: 0, count: 0, place };
    cell.sum += brightness(rgb);
    cell.side += side;
    cell.count += 1;
    cells.set(key, cell);
  }
  const rows = [...cells.values()]
    .filter(({ sum }) => sum > 0)
    .map(({ sum, side, count, place }) => ({ place, weight: count, light: Math.log(sum / count), powers: powers(side / count) }));
  // Each place's own level goes out with its mean.
  const means = Array.from({ length: places }, (_, i) => {
    const own = rows.filter(({ place }) => place === i);
    const weight = own.reduce((sum, row) => sum + row.weight, 0) || 1;
    const mean = (of: (row: (typeof rows)[number]) => number) => own.reduce((sum, row) => sum + row.weight * of(row), 0) / weight;
    return { light: mean(({ light }) => light), powers: [0, 1, 2].map((k) => mean((row) => row.powers[k])) };
  });
  const centred = rows.map((row) => ({
    weight: row.weight,
    light: row.light - means[row.place].light,
    powers: row.powers.map((power, k) => power - means[row.place].powers[k]),
  }));
  const matrix = [0, 1, 2].map((i) =>
    Float64Array.from(
      { length: 4 },
      (_, j) =>
        centred.reduce((sum, { weight, light, powers: p }) => sum + weight * p[i] * (j < 3 ? p[j] : light), 0) +
        (i === j ? 1e-6 : 0),
    ),
  );
  const [a, b, c] = solveLinear(matrix);
  const weights = centred.reduce((sum, { weight }) => sum + weight, 0) || 1;
  const left = centred.reduce(
    (sum, { weight, light, powers: [p, q, r] }) => sum + weight * (light - a * p - b * q - c * r) ** 2,
    0,
  );
  return { at: (side) => a * side + b * side ** 2 + c * side ** 3, error: Math.sqrt(left / weights) };
}

function seenPlace(
  { id, name, expected }: ExpectedPlace,
  samples: readonly Sample[],
  { fall, light }: { readonly fall: Falloff; readonly light: LightOfPhoto },
  all: number,
): SeenPlace {
  const lit = samples.map(({ rgb, side }) => {
    const times = Math.exp(-fall.at(side));
    return [rgb[0] * times, rgb[1] * times, rgb[2] * times] as const;
  });
  const mean = meanOf(lit);
  const lab = labOfLinearRgb(mean);
  // Pixels beside each other share flakes: a tenth of them tell of themselves.
  const free = Math.max(1, samples.length / 10);
  const noise = [0, 1, 2].map((axis) =>
    Math.sqrt(lit.reduce((sum, rgb) => sum + (rgb[axis] - mean[axis]) ** 2, 0) / lit.length / free),
  );
  const moved = (by: Triple) => deltaE2000(lab, labOfLinearRgb([mean[0] + by[0], mean[1] + by[1], mean[2] + by[2]]));
  const apart = [0, 1, 2].map((axis) => moved([axis === 0 ? noise[0] : 0, axis === 1 ? noise[1] : 0, axis === 2 ? noise[2] : 0]));
  const scaled = (share: number) => moved([mean[0] * share, mean[1] * share, mean[2] * share]);
  // The card's own grey, each primary by itself; and light that the fit left.
  const by = light.spread.map((share, axis) => share * mean[axis]);
  const tint = [0, 1, 2].map((axis) => moved([axis === 0 ? by[0] : 0, axis === 1 ? by[1] : 0, axis === 2 ? by[2] : 0]));
  const spread = Math.hypot(...apart, ...tint, scaled(fall.error), moved([by[0], by[1], by[2]]));
  return { id, name, lab, hex: hexOfLab(lab), off: deltaE2000(lab, expected), spread, share: samples.length / all };
}

function meanOf(all: readonly Triple[]): Triple {
  const sum = [0, 0, 0];
  for (const rgb of all) rgb.forEach((value, axis) => (sum[axis] += value));
  return [sum[0] / all.length, sum[1] / all.length, sum[2] / all.length];
}
