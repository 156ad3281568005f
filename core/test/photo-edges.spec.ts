import { planOf, randomStream, type Triple } from '../src';
import { outlineLine, outlineOf, readCupPhoto, type CupHandles, type Picture } from '../src/cup-photo';
import { foundCards, foundOutline, foundWords } from '../src/photo-edges';
import { photographed, type Camera } from './photographed';
import { demoFile, demoNames, workshop } from './workshop';

const tilted: Camera = { tilt: 11, away: 900, gains: [1.18, 0.95, 0.7], side: 0.55, from: 45, noise: 2, seed: 1 };
const grainy: Camera = { tilt: 5, away: 1200, gains: [1.05, 0.95, 0.8], side: 0.4, from: -30, noise: 9, seed: 2 };
const wall = (): Triple => [0.1, 0.12, 0.2];
const room = (x: number, y: number): Triple => (y > 0.72 ? [0.35, 0.24, 0.15] : [0.5 - 0.2 * x, 0.5 - 0.1 * y, 0.45]);
const [WIDE, HIGH] = [300, 400];
/** Where a cup stands, and the share of the picture's height that it takes. */
const standing: readonly (readonly [x: number, y: number, fills: number])[] = [
  [0.5, 0.5, 0.78],
  [0.6, 0.55, 0.5],
  [0.45, 0.48, 0.62],
];

function photoOf(
  name: (typeof demoNames)[number],
  camera: Camera,
  behind: (x: number, y: number) => Triple,
  where = standing[0],
) {
  const { design } = demoFile(name);
  const { coats, places, bareWall } = planOf(design, workshop);
  const seen = coats.at(-1)?.seen ?? {};
  const own = places.map(({ id, name: called, region }) => ({ id, name: called, region, hex: seen[id] ?? bareWall }));
  const [x, y, fills] = where;
  const look = { width: WIDE, height: HIGH, fills, middle: [x, y] as const, bare: '#aeb0b4', behind, card: '#f0f0ee' };
  return photographed(design.cup.stations, own, camera, look);
}

/** mm by which the farthest of four handles is off. */
function offBy(found: CupHandles, { handles, stations }: ReturnType<typeof photoOf>): number {
  const tall = Math.hypot(handles.rimLeft[0] - handles.footLeft[0], handles.rimLeft[1] - handles.footLeft[1]);
  const mm = stations[stations.length - 1].height / tall;
  const each = (['rimLeft', 'rimRight', 'footLeft', 'footRight'] as const).map((key) =>
    Math.hypot(found[key][0] - handles[key][0], found[key][1] - handles[key][1]),
  );
  return mm * Math.max(...each);
}

test.each(
  demoNames.map((name, i) => ({
    ...{ name, where: standing[i % standing.length] },
    ...(i % 2 === 0 ? { camera: tilted, behind: wall } : { camera: grainy, behind: room }),
  })),
)(
  'the cup of $name is found by its edges, wherever it stands; what is read by them alone is within two ± of the truth',
  ({ name, where, camera, behind }) => {
    const photo = photoOf(name, camera, behind, where);
    const found = foundOutline(photo.picture, photo.stations);
    const cards = foundCards(photo.picture, found?.handles ?? null);
    expect(found && offBy(found.handles, photo)).toBeLessThan(5);
    expect(foundWords(found, cards)).toContain('The cup and the card were found');
    // A card of a tenth of the picture, at its left, half way up.
    expect(Math.abs(cards[0].at[0] - 0.115 * WIDE)).toBeLessThan(0.03 * WIDE);
    expect(Math.abs(cards[0].at[1] - 0.5 * HIGH)).toBeLessThan(0.04 * HIGH);
    const read = readCupPhoto({ ...photo, handles: found?.handles ?? photo.handles });
    for (const { name: place, off, spread, share } of read.places)
      if (share > 0.04) expect([place, off < Math.min(5, 2 * spread)]).toEqual([place, true]);
  },
);

test('what nobody could make out isn’t said to be found for sure: the foot of a cup on a table of its colour', () => {
  const photo = photoOf('copper-eaves', tilted, (_, y) => (y > 0.6 ? [0.004, 0.045, 0.045] : [0.9, 0.9, 0.9]));
  const found = foundOutline(photo.picture, photo.stations);
  if (found && offBy(found.handles, photo) > 5) expect(found.unsure.length).toBeGreaterThan(0);
  const words = foundWords({ handles: photo.handles, unsure: ['rim', 'foot'] }, []);
  expect(words).toContain('Its rim and its foot can’t be made out surely');
  expect(words).toContain('a card wasn’t: draw the square handle onto it');
});

const plain = (colour: (x: number, y: number) => number): Picture => {
  const pixels = new Uint8ClampedArray(4 * WIDE * HIGH).fill(255);
  for (let y = 0; y < HIGH; y += 1)
    for (let x = 0; x < WIDE; x += 1) pixels.fill(colour(x, y), 4 * (y * WIDE + x), 4 * (y * WIDE + x) + 3);
  return { pixels, width: WIDE, height: HIGH };
};
const random = randomStream(3);
test.each([
  ['a bare wall', plain(() => 140)],
  ['nothing but grain', plain(() => 40 + 180 * random())],
  ['a wall that gets darker', plain((x, y) => 220 - x / 4 - y / 5)],
])('in a photo of %s neither cup nor card is found, and it is said what to do', (_, picture) => {
  const { stations } = photoOf('copper-eaves', tilted, wall);
  const found = foundOutline(picture, stations);
  expect([found, foundCards(picture, null)]).toEqual([null, []]);
  expect(foundWords(found, [])).toMatch(/can’t be made out.* the square one onto the card\.$/);
});

test.each([
  [1, 1],
  [3, 900],
  [4000, 12],
])('a picture of %i × %i is no reason to fail', (width, height) => {
  const picture = { pixels: new Uint8ClampedArray(4 * width * height).fill(90), width, height };
  const { stations } = photoOf('copper-eaves', tilted, wall);
  expect([foundOutline(picture, stations), foundCards(picture, null)]).toEqual([null, []]);
});

test('the outline that is drawn goes around the cup, through its handles; between them alone where no cup looks so', () => {
  const { handles, stations } = photoOf('orchard-frost', tilted, wall);
  const outline = outlineOf(stations, handles) ?? [];
  const line = outlineLine(stations, handles);
  expect(line).toHaveLength(outline.length + 4);
  const middle = (handles.rimLeft[1] + handles.footLeft[1]) / 2;
  for (const { part, at, out } of outline) {
    if (part === 'left' || part === 'right') expect(Math.sign(out[0])).toBe(part === 'left' ? -1 : 1);
    if (part === 'rim' || part === 'foot') expect(Math.sign(at[1] - middle)).toBe(part === 'rim' ? -1 : 1);
  }
  const odd = { ...handles, rimRight: handles.rimLeft };
  expect(outlineOf(stations, odd)).toBeNull();
  expect(outlineLine(stations, odd)).toEqual([odd.footLeft, odd.rimLeft, odd.rimRight, odd.footRight]);
});
