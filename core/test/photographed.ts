import {
  circumferenceAt,
  hexOfLinearRgb,
  labOf,
  linearRgbOfHex,
  radiusOf,
  randomStream,
  reflectanceOf,
  type Station,
  type Triple,
} from '../src';
import { placeFinder, type CupHandles, type CupPhoto, type PicturePoint } from '../src/cup-photo';

/** A camera that isn't there: a true pinhole, its white balance off, light from one side, noise, tilted. */
export interface Camera {
  readonly tilt: number;
  /** mm from the middle of the cup */
  readonly away: number;
  readonly gains: Triple;
  /** share of the light that comes from one side, and from how many degrees aside */
  readonly side: number;
  readonly from: number;
  /** one standard deviation, of 255 */
  readonly noise: number;
  readonly seed: number;
}
export const CARD = '#c8c8c8';
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * A cup whose places have one colour each, as such a camera sees it; the card hangs beside it, facing the camera.
 * @param bare what of the wall is in no place; left out where there is none. `second` hangs at the right; `behind` is what is behind the cup, linear sRGB
 */
export function photographed(
  stations: readonly Station[],
  places: readonly {
    readonly id: string;
    readonly name: string;
    readonly region: CupPhoto['places'][number]['region'];
    readonly hex: string;
  }[],
  camera: Camera,
  {
    faces = 180,
    width: WIDTH = 240,
    height: HEIGHT = 320,
    fills = 0.78,
    card = CARD,
    second = null as string | null,
    bare = null as string | null,
    middle = [0.5, 0.5] as readonly [number, number],
    behind = null as ((x: number, y: number) => Triple) | null,
  } = {},
): CupPhoto {
  const random = randomStream(camera.seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const rim = stations[stations.length - 1].height;
  const focal = (fills * HEIGHT * camera.away) / rim;
  const [sine, cosine] = [Math.sin(radians(camera.tilt)), Math.cos(radians(camera.tilt))];
  const project = (x: number, y: number, z: number): PicturePoint => {
    const up = (y - rim / 2) * cosine - z * sine;
    const near = camera.away - ((y - rim / 2) * sine + z * cosine);
    return [middle[0] * WIDTH + (focal * x) / near, middle[1] * HEIGHT - (focal * up) / near];
  };
  const radiusAt = (height: number) => radiusOf(circumferenceAt(stations, height));
  const light = (aside: number) => 1 - camera.side + camera.side * Math.max(0, Math.cos(radians(aside - camera.from)));
  const [rows, columns] = [Math.round(1.7 * HEIGHT), Math.round(1.1 * HEIGHT)];
  const asideOf = (column: number) => 90 * ((2 * (column + 0.5)) / columns - 1);
  const pixels = new Uint8ClampedArray(4 * WIDTH * HEIGHT).fill(255);
  const seenAs = (rgb: Triple, lit: number): readonly number[] => {
    const seen = hexOfLinearRgb(
      [0, 1, 2].map((axis) => Math.min(1, rgb[axis] * lit * camera.gains[axis] * 0.8)) as unknown as Triple,
    );
    return [0, 1, 2].map((axis) => Number.parseInt(seen.slice(1 + 2 * axis, 3 + 2 * axis), 16));
  };
  const put = (x: number, y: number, seen: readonly number[]) => {
    const from = 4 * (y * WIDTH + x);
    for (let axis = 0; axis < 3; axis += 1) pixels[from + axis] = seen[axis] + camera.noise * normal();
  };
  if (behind)
    for (let y = 0; y < HEIGHT; y += 1) for (let x = 0; x < WIDTH; x += 1) put(x, y, seenAs(behind(x / WIDTH, y / HEIGHT), 1));
  /** Of each place, and of what is in none, how it is seen in each column: its light is the same from rim to foot. */
  const inColumns = [...places.map(({ hex }) => hex), ...(bare === null ? [] : [bare])].map((hex) =>
    Array.from({ length: columns }, (_, column) => seenAs(linearRgbOfHex(hex), light(asideOf(column)))),
  );
  const placeAt = placeFinder(places);
  const done = new Set<number>();
  // Nearer points are put last, over what they hide.
  for (let row = 0; row < rows; row += 1) {
    const at = (rim * (row + 0.5)) / rows;
    const radius = radiusAt(at);
    for (let column = 0; column < columns; column += 1) {
      const aside = asideOf(column);
      const [x, y] = project(radius * Math.sin(radians(aside)), at, radius * Math.cos(radians(aside))).map(Math.round);
      const key = y * WIDTH + x;
      if (x < 0 || y < 0 || x >= WIDTH || y >= HEIGHT || done.has(key)) continue;
      const angle = (((faces + aside) % 360) + 360) % 360;
      const place = placeAt(angle, at);
      if (place < 0 && bare === null) continue;
      done.add(key);
      put(x, y, inColumns[place < 0 ? places.length : place][column]);
    }
  }
  const corner = (aside: number, height: number) => project(radiusAt(height) * Math.sin(radians(aside)), height, 0);
  const handles: CupHandles = {
    rimLeft: corner(-90, rim),
    rimRight: corner(90, rim),
    footLeft: corner(-90, 0),
    footRight: corner(90, 0),
  };
  const lit = (of: string) =>
    linearRgbOfHex(of).map((value, axis) => value * light(0) * camera.gains[axis] * 0.8) as unknown as Triple;
  const hang = (of: string, from: number) => {
    const seen = seenAs(linearRgbOfHex(of), light(0));
    for (let y = Math.round(0.44 * HEIGHT); y < 0.56 * HEIGHT; y += 1)
      for (let x = Math.round(from * WIDTH); x < (from + 0.11) * WIDTH; x += 1) put(x, y, seen);
    return { seen: hexOfLinearRgb(lit(of)), is: of };
  };
  const cards: CupPhoto['cards'] = [hang(card, 0.06), ...(second === null ? [] : [hang(second, 0.83)])];
  return {
    picture: { pixels, width: WIDTH, height: HEIGHT },
    handles,
    cards,
    stations,
    faces,
    places: places.map(({ id, name, region, hex }) => ({ id, name, region, expected: labOf(reflectanceOf(hex)) })),
  };
}
