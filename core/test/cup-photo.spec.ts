import {
  hexOfLinearRgb,
  labOf,
  linearRgbOfHex,
  planOf,
  radiusOf,
  randomStream,
  reflectanceOf,
  type Station,
  type Triple,
} from '../src';
import {
  HandlesError,
  PhotoReadError,
  placeFinder,
  readCupPhoto,
  seenCup,
  type CupHandles,
  type CupPhoto,
  type PicturePoint,
} from '../src/cup-photo';
import { PatchError } from '../src';
import { demoFile, demoNames, workshop } from './workshop';

/** A camera that isn't there: a true pinhole, its white balance off, light from one side, noise, tilted. */
interface Camera {
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
const kind: Camera = { tilt: 0, away: 2000, gains: [1, 1, 1], side: 0, from: 0, noise: 0, seed: 1 };
const usual: Camera = { tilt: 11, away: 900, gains: [1.18, 0.95, 0.7], side: 0.55, from: 45, noise: 2, seed: 1 };

const [WIDTH, HEIGHT] = [240, 320];
const CARD = '#c8c8c8';
const radians = (degrees: number) => (degrees * Math.PI) / 180;

interface Made {
  readonly photo: CupPhoto;
}

/** A cup whose places have one colour each, as such a camera sees it; the card hangs beside it, facing the camera. */
function photographed(
  stations: readonly Station[],
  places: readonly {
    readonly id: string;
    readonly name: string;
    readonly region: CupPhoto['places'][number]['region'];
    readonly hex: string;
  }[],
  camera: Camera,
  faces = 180,
): Made {
  const random = randomStream(camera.seed);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const rim = stations[stations.length - 1].height;
  const focal = (0.78 * HEIGHT * camera.away) / rim;
  const [sine, cosine] = [Math.sin(radians(camera.tilt)), Math.cos(radians(camera.tilt))];
  const project = (x: number, y: number, z: number): PicturePoint => {
    const up = (y - rim / 2) * cosine - z * sine;
    const near = camera.away - ((y - rim / 2) * sine + z * cosine);
    return [WIDTH / 2 + (focal * x) / near, HEIGHT / 2 - (focal * up) / near];
  };
  const radiusAt = (height: number) => {
    const at = Math.max(
      1,
      stations.findIndex((station) => station.height >= height),
    );
    const [low, high] = [stations[at - 1], stations[at]];
    const share = (height - low.height) / (high.height - low.height);
    return radiusOf(low.circumference + share * (high.circumference - low.circumference));
  };
  const light = (aside: number) => 1 - camera.side + camera.side * Math.max(0, Math.cos(radians(aside - camera.from)));
  const pixels = new Uint8ClampedArray(4 * WIDTH * HEIGHT).fill(255);
  const put = (x: number, y: number, rgb: Triple, lit: number) => {
    const seen = hexOfLinearRgb(
      [0, 1, 2].map((axis) => Math.min(1, rgb[axis] * lit * camera.gains[axis] * 0.8)) as unknown as Triple,
    );
    const from = 4 * (y * WIDTH + x);
    for (const axis of [0, 1, 2])
      pixels[from + axis] = Number.parseInt(seen.slice(1 + 2 * axis, 3 + 2 * axis), 16) + camera.noise * normal();
  };
  const colours = places.map(({ hex }) => linearRgbOfHex(hex));
  const placeAt = placeFinder(places);
  const done = new Set<number>();
  // Nearer points are put last, over what they hide.
  for (let row = 0; row < 520; row += 1) {
    const at = (rim * (row + 0.5)) / 520;
    const radius = radiusAt(at);
    for (let column = 0; column < 340; column += 1) {
      const aside = 90 * ((2 * (column + 0.5)) / 340 - 1);
      const [x, y] = project(radius * Math.sin(radians(aside)), at, radius * Math.cos(radians(aside))).map(Math.round);
      const key = y * WIDTH + x;
      if (x < 0 || y < 0 || x >= WIDTH || y >= HEIGHT || done.has(key)) continue;
      const angle = (((faces + aside) % 360) + 360) % 360;
      const place = placeAt(angle, at);
      if (place < 0) continue;
      done.add(key);
      put(x, y, colours[place], light(aside));
    }
  }
  const corner = (aside: number, height: number) => project(radiusAt(height) * Math.sin(radians(aside)), height, 0);
  const handles: CupHandles = {
    rimLeft: corner(-90, rim),
    rimRight: corner(90, rim),
    footLeft: corner(-90, 0),
    footRight: corner(90, 0),
  };
  const seen = hexOfLinearRgb(
    linearRgbOfHex(CARD).map((value, axis) => value * light(0) * camera.gains[axis] * 0.8) as unknown as Triple,
  );
  return {
    photo: {
      picture: { pixels, width: WIDTH, height: HEIGHT },
      handles,
      card: { seen, is: CARD },
      stations,
      faces,
      places: places.map(({ id, name, region, hex }) => ({ id, name, region, expected: labOf(reflectanceOf(hex)) })),
    },
  };
}

function placesOf(name: (typeof demoNames)[number]) {
  const { design } = demoFile(name);
  const plan = planOf(design, workshop);
  const seen = plan.coats.at(-1)?.seen ?? {};
  return {
    stations: design.cup.stations,
    places: plan.places.map(({ id, name: called, region }) => ({ id, name: called, region, hex: seen[id] ?? plan.bareWall })),
  };
}

test.each(demoNames)(
  '%s through a camera with its white balance off, light from one side, noise and tilt: read within ΔE00 2, and its ± covers it',
  (name) => {
    const { stations, places } = placesOf(name);
    const read = readCupPhoto(photographed(stations, places, usual).photo);
    const well = read.places.filter(({ share }) => share > 0.04);
    expect(well.length).toBeGreaterThan(0);
    for (const { name: place, off, spread } of well) {
      expect([place, off < 2]).toEqual([place, true]);
      expect([place, off < 2 * spread]).toEqual([place, true]);
    }
    expect(read.leaning).toBeGreaterThan(1.2);
    expect(Math.abs(read.tilt - usual.tilt)).toBeLessThan(8);
  },
);

test('a kind camera is read nearly exactly; a truly other colour is told as far off as it is', () => {
  const { stations, places } = placesOf('thistle-weave');
  const { photo } = photographed(stations, places, kind);
  for (const { off, share } of readCupPhoto(photo).places) if (share > 0.04) expect(off).toBeLessThan(0.8);
  const [largest] = [...readCupPhoto(photo).places].sort((one, other) => other.share - one.share);
  const others = photo.places.map((place) =>
    place.id === largest.id ? { ...place, expected: labOf(reflectanceOf('#20a060')) } : place,
  );
  const told = readCupPhoto({ ...photo, places: others }).places.find(({ id }) => id === largest.id);
  expect(told?.off).toBeGreaterThan(10);
});

test('more noise is less sure', () => {
  const { stations, places } = placesOf('orchard-frost');
  const spread = (noise: number) =>
    readCupPhoto(photographed(stations, places, { ...usual, noise }).photo).places.reduce((sum, one) => sum + one.spread, 0);
  expect(spread(25)).toBeGreaterThan(spread(1));
});

describe('what can’t be read is said', () => {
  const { stations, places } = placesOf('thistle-weave');
  const { photo } = photographed(stations, places, kind);
  const { rimLeft, rimRight, footLeft, footRight } = photo.handles;
  test('handles on each other, on another shape, or mixed up', () => {
    const wrong: CupHandles[] = [
      { rimLeft, rimRight: rimLeft, footLeft, footRight },
      { rimLeft, rimRight, footLeft: rimLeft, footRight: rimRight },
      { rimLeft, rimRight, footLeft: [footLeft[0], footLeft[1] - 250], footRight: [footRight[0], footRight[1] - 250] },
      { rimLeft, rimRight, footLeft, footRight: [footRight[0] + 300, footRight[1]] },
    ];
    for (const handles of wrong) expect(() => seenCup(stations, handles)).toThrow(HandlesError);
  });
  test('a card that is dark or burnt out, and a cup out of the picture', () => {
    expect(() => readCupPhoto({ ...photo, card: { seen: '#000000', is: CARD } })).toThrow(PatchError);
    expect(() => readCupPhoto({ ...photo, card: { seen: '#ffffff', is: CARD } })).toThrow(PatchError);
    const aside = ([x, y]: PicturePoint): PicturePoint => [x + 5000, y];
    const handles = {
      rimLeft: aside(rimLeft),
      rimRight: aside(rimRight),
      footLeft: aside(footLeft),
      footRight: aside(footRight),
    };
    expect(() => readCupPhoto({ ...photo, handles })).toThrow(PhotoReadError);
  });
});
