import { deltaE2000, hexOfLab, labOf, planOf, reflectanceOf, type Lab } from '../src';
import { readCupPhoto } from '../src/cup-photo';
import {
  expectedCup,
  expectedPlaces,
  lastCoatOn,
  makePhotoSchema,
  othersSeen,
  photosApart,
  placesBeside,
  seenTogether,
  type MakePhoto,
} from '../src/make';
import { asPlanned, made, MINUTE } from './made';
import { photographed, type Camera } from './photographed';
import { demoFile, demoNames, workshop } from './workshop';

const cameras: readonly Camera[] = [
  { tilt: 11, away: 900, gains: [1.18, 0.95, 0.7], side: 0.55, from: 45, noise: 2, seed: 1 },
  { tilt: 4, away: 1400, gains: [0.9, 1, 1.15], side: 0.3, from: -60, noise: 3, seed: 2 },
  { tilt: 7, away: 1100, gains: [1.05, 0.92, 0.85], side: 0.45, from: 20, noise: 4, seed: 3 },
];

const taken = new Map<string, MakePhoto>();
/** A photo of a make of a demo design, read; a place of it may have come out in a colour of its own. */
function photo(
  name: (typeof demoNames)[number],
  camera: Camera,
  number = 1,
  other: Readonly<Record<string, string>> = {},
): MakePhoto {
  const key = JSON.stringify([name, camera, other]);
  const read = taken.get(key) ?? readPhoto(name, camera, number, other);
  taken.set(key, read);
  return { ...read, number };
}
function readPhoto(
  name: (typeof demoNames)[number],
  camera: Camera,
  number: number,
  other: Readonly<Record<string, string>>,
): MakePhoto {
  const { design } = demoFile(name);
  const plan = planOf(design, workshop);
  const seen = plan.coats.at(-1)?.seen ?? {};
  const places = plan.places.map(({ id, name: called, region }) => ({
    id,
    name: called,
    region,
    hex: other[id] ?? seen[id] ?? plan.bareWall,
  }));
  const { places: read } = readCupPhoto(photographed(design.cup.stations, places, camera));
  const at = { rimLeft: [0, 0], rimRight: [1, 0], footLeft: [0, 1], footRight: [1, 1] };
  return makePhotoSchema.parse({
    id: `${number}-${camera.seed}`,
    make: `make-${number}`,
    number,
    at: '2027-01-30T10:00:00.000Z',
    coat: null,
    width: 600,
    height: 800,
    reading: {
      handles: at,
      card: { at: [0, 0], is: '#f0f0ee' },
      faces: 0,
      places: read.map(({ id, name: called, lab, hex, off, spread, share }) => ({
        id,
        name: called,
        lab,
        hex,
        off,
        spread,
        share,
      })),
    },
  });
}

test('several photos narrow what one can’t tell, and their ± covers the truth', () => {
  let [covered, all] = [0, 0];
  for (const name of demoNames) {
    const photos = cameras.slice(0, 2).map((camera) => photo(name, camera));
    const plan = planOf(demoFile(name).design, workshop);
    const truth = plan.coats.at(-1)?.seen ?? {};
    const alone = seenTogether(photos.slice(0, 1));
    for (const place of seenTogether(photos).filter(({ share }) => share > 0.04)) {
      const one = alone.find(({ id }) => id === place.id);
      if (one) expect(place.spread).toBeLessThan(one.spread);
      all += 1;
      if (deltaE2000(place.lab, labOf(reflectanceOf(truth[place.id] ?? plan.bareWall))) < 2 * place.spread) covered += 1;
    }
  }
  expect(all).toBeGreaterThan(10);
  expect(covered / all).toBeGreaterThanOrEqual(0.9);
});

test('photos that contradict each other are no surer for being two', () => {
  const one = photo('copper-eaves', cameras[0]);
  const [place] = one.reading?.places ?? [];
  const elsewhere = { ...place, lab: [place.lab[0] + 20, place.lab[1], place.lab[2]] as [number, number, number] };
  const [together] = seenTogether([one, { reading: one.reading && { ...one.reading, places: [elsewhere] } }]);
  expect(together.spread).toBeGreaterThan(5);
});

const ofCopper = made('copper-eaves');
const planned = Object.fromEntries(expectedPlaces(ofCopper).map(({ id, expected }) => [id, hexOfLab(expected)]));

test('two makes alike are no more apart than photos can be wrong by, for every demo design', () => {
  for (const name of demoNames) {
    const make = made(name);
    const { makes } = photosApart(make, asPlanned(make), {
      photos: [photo(name, cameras[0], 2)],
      others: [photo(name, cameras[1], 1)],
    });
    const [apart] = makes;
    expect(apart.number).toBe(1);
    expect(apart.says).toMatch(/^No more apart than photos can be wrong by, in \d+ places?\.$/);
    expect(apart.off).toBeLessThan(2 * apart.spread);
  }
});

test('a place that came out another colour is named with how far it is off, make by make', () => {
  const own = photo('copper-eaves', cameras[0], 3);
  const [largest] = [...(own.reading?.places ?? [])].sort((one, other) => other.share - one.share);
  const others = [photo('copper-eaves', cameras[1], 1), photo('copper-eaves', cameras[2], 2, { [largest.id]: '#3a6ea8' })];
  const [second, first] = photosApart(ofCopper, asPlanned(ofCopper), { photos: [own], others }).makes;
  expect([second.number, first.number]).toEqual([2, 1]);
  expect(second.says).toMatch(new RegExp(`^Most in ${largest.name}: ΔE \\d\\d`));
  expect(second.off).toBeGreaterThan(first.off + 5);
});

test('a make is told beside its plan: as planned no more off than photos can be wrong by, else with the place that is', () => {
  const fromPlan = (...photos: MakePhoto[]) => photosApart(ofCopper, asPlanned(ofCopper), { photos, others: [] }).plan;
  const good = photo('copper-eaves', cameras[0], 1, planned);
  expect(fromPlan(good)?.says).toMatch(/^No more apart/);
  const [largest] = [...(good.reading?.places ?? [])].sort((one, other) => other.share - one.share);
  const other = fromPlan(photo('copper-eaves', cameras[2], 1, { ...planned, [largest.id]: '#3a6ea8' }));
  expect(other?.says).toMatch(new RegExp(`^Most in ${largest.name}`));
  expect(fromPlan()).toBeNull();
});

test('a photo from before the last coat was on shows another cup: it counts for nothing', () => {
  const log = asPlanned(ofCopper);
  const good = photo('copper-eaves', cameras[0], 1, planned);
  const early: MakePhoto = { ...photo('copper-eaves', cameras[1], 1, { foot: '#ffffff' }), at: ofCopper.at };
  const told = (photos: MakePhoto[], entries = log) =>
    photosApart(ofCopper, entries, { photos, others: [{ ...good, number: 7 }] });
  expect(told([early])).toEqual({ plan: null, makes: [] });
  expect(told([early, good])).toEqual(told([good]));
  // A cup that isn't finished is beside nothing yet.
  expect(told([good], log.slice(0, -1))).toEqual({ plan: null, makes: [] });
});

test('of another make the latest photos count, not those of a coat before', () => {
  const at = (photo: MakePhoto, minutes: number): MakePhoto => ({
    ...photo,
    at: new Date(Date.parse(photo.at) + minutes * MINUTE).toISOString(),
  });
  const good = photo('copper-eaves', cameras[0], 1, planned);
  const early = photo('copper-eaves', cameras[1], 1, { foot: '#ffffff' });
  const [seen] = othersSeen([good, at(early, -300), at({ ...early, reading: null }, 600)]);
  expect(seen.places).toEqual(seenTogether([good]));
  const [both] = othersSeen([good, at(photo('copper-eaves', cameras[1], 1, planned), 20)]);
  expect(both.places[0].spread).toBeLessThan(seen.places[0].spread);
});

test('the photo’s own pane compares with other makes by the same figures', () => {
  const own = photo('copper-eaves', cameras[0], 2, planned);
  const others = [photo('copper-eaves', cameras[1], 1, planned), photo('copper-eaves', cameras[2], 1, planned)];
  const places = own.reading?.places ?? [];
  const told = placesBeside(places as Parameters<typeof placesBeside>[0], expectedPlaces(ofCopper), others);
  const together = new Map(seenTogether(others).map((place) => [place.id, place]));
  for (const { id, lab, other } of told) {
    const there = together.get(id);
    expect(other?.off).toBe(there && deltaE2000(lab, there.lab));
  }
  expect(told.length).toBeGreaterThan(1);
});

test('without a photo that was read, or with nothing that both show, nothing is said', () => {
  const log = asPlanned(ofCopper);
  const own = photo('copper-eaves', cameras[0], 2);
  const unread = { ...own, number: 1, reading: null };
  const makes = (photos: MakePhoto[], others: MakePhoto[]) => photosApart(ofCopper, log, { photos, others }).makes;
  expect(makes([], [own])).toEqual([]);
  expect(makes([{ ...own, reading: null }], [{ ...own, number: 1 }])).toEqual([]);
  expect(makes([own], [unread])).toEqual([]);
});

describe('a cup that isn’t finished', () => {
  const log = asPlanned(ofCopper);
  const endOf = (coat: string) => Date.parse(log.find((one) => one.what === 'done' && one.coat === coat)?.at ?? '') || Number.NaN;
  test('should look as its last coat leaves it: a bare wall before any, as planned once nothing that is seen is to come', () => {
    const [first] = ofCopper.steps;
    const moments = [endOf(first.coat) - MINUTE, endOf(ofCopper.steps[3].coat), Number.MAX_SAFE_INTEGER];
    const cups = moments.map((at) => expectedCup(ofCopper, lastCoatOn(ofCopper, log, at)));
    expect(lastCoatOn(ofCopper, log, moments[0])).toBeNull();
    expect(cups.map(({ finished }) => finished)).toEqual([false, false, true]);
    expect(cups[0].says).toMatch(/^No coat was on yet/);
    expect(cups[1].says).toContain(`“${ofCopper.steps[3].title}” was on, coat 4 of ${ofCopper.steps.length}`);
    expect(cups[2].says).toBe('');
    expect(cups[2].places).toEqual(expectedPlaces(ofCopper));
    const plan = planOf(ofCopper.design, { settings: { ...ofCopper.settings, gloss: true }, shelf: ofCopper.shelf });
    for (const { id, expected } of cups[1].places)
      expect(expected).toEqual(labOf(reflectanceOf(plan.coats[3].seen[id] ?? plan.bareWall)));
    expect(new Set(cups[0].places.map(({ expected }) => expected.join())).size).toBe(1);
  });
  test('photographed under its base colour, is near what it should be then, and far from what it will be', () => {
    const base = ofCopper.steps.find(({ kind }) => kind === 'base');
    const then = expectedCup(ofCopper, base?.coat ?? null).places;
    const read = photo(
      'copper-eaves',
      cameras[1],
      1,
      Object.fromEntries(then.map(({ id, expected }) => [id, hexOfLab(expected)])),
    );
    const off = (places: typeof then) =>
      (read.reading?.places ?? []).map(({ id, lab }) =>
        deltaE2000(lab as Lab, places.find((one) => one.id === id)?.expected ?? [0, 0, 0]),
      );
    const [near, far] = [off(then), off(expectedPlaces(ofCopper))].map(
      (all) => all.reduce((sum, one) => sum + one, 0) / all.length,
    );
    expect(near).toBeLessThan(2);
    expect(far).toBeGreaterThan(3 * near);
  });
});
