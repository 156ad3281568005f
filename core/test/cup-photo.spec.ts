import { hexOfLinearRgb, labOf, linearRgbOfHex, PatchError, planOf, randomStream, reflectanceOf, type KnownPatch } from '../src';
import { HandlesError, PhotoReadError, readCupPhoto, seenCup, type CupHandles, type PicturePoint } from '../src/cup-photo';
import { CARD, photographed, type Camera } from './photographed';
import { demoFile, demoNames, workshop } from './workshop';

const kind: Camera = { tilt: 0, away: 2000, gains: [1, 1, 1], side: 0, from: 0, noise: 0, seed: 1 };
const usual: Camera = { tilt: 11, away: 900, gains: [1.18, 0.95, 0.7], side: 0.55, from: 45, noise: 2, seed: 1 };

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
    const read = readCupPhoto(photographed(stations, places, usual));
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
  const photo = photographed(stations, places, kind);
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
    readCupPhoto(photographed(stations, places, { ...usual, noise })).places.reduce((sum, one) => sum + one.spread, 0);
  expect(spread(25)).toBeGreaterThan(spread(1));
});

test('a second card makes it surer, and the truth stays within two ±; cards that contradict each other are told, and no surer', () => {
  const { stations, places } = placesOf('copper-eaves');
  const random = randomStream(9);
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  let [within, count, surer] = [0, 0, 0];
  for (let seed = 1; seed <= 24; seed += 1) {
    const photo = photographed(stations, places, { ...usual, seed }, { second: '#777777' });
    // No card is just what it is said to be: a fiftieth more or less of each primary.
    const card = ({ seen, is }: KnownPatch): KnownPatch => {
      const [r, g, b] = linearRgbOfHex(seen);
      return { seen: hexOfLinearRgb([r * (1 + 0.02 * normal()), g * (1 + 0.02 * normal()), b * (1 + 0.02 * normal())]), is };
    };
    const [first, ...others] = photo.cards;
    const cards: typeof photo.cards = [card(first), ...others.map(card)];
    const [alone, both] = [readCupPhoto({ ...photo, cards: [cards[0]] }), readCupPhoto({ ...photo, cards })];
    if (!both.cardsAgree) continue;
    for (const [i, { off, spread, share }] of both.places.entries()) {
      if (share <= 0.04) continue;
      count += 1;
      if (off < 2 * spread) within += 1;
      surer += spread / alone.places[i].spread;
    }
  }
  expect(within / count).toBeGreaterThan(0.9);
  expect(surer / count).toBeLessThan(0.95);
  const photo = photographed(stations, places, usual, { second: '#777777' });
  const wrong = { ...photo.cards[0], is: '#a0a0a0' };
  const apart = readCupPhoto({ ...photo, cards: [photo.cards[0], wrong] });
  expect([apart.cardsAgree, readCupPhoto(photo).cardsAgree]).toEqual([false, true]);
  for (const [i, { spread }] of apart.places.entries()) expect(spread).toBeGreaterThan(readCupPhoto(photo).places[i].spread);
});

describe('what can’t be read is said', () => {
  const { stations, places } = placesOf('thistle-weave');
  const photo = photographed(stations, places, kind);
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
    expect(() => readCupPhoto({ ...photo, cards: [{ seen: '#000000', is: CARD }] })).toThrow(PatchError);
    expect(() => readCupPhoto({ ...photo, cards: [{ seen: '#ffffff', is: CARD }] })).toThrow(PatchError);
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
