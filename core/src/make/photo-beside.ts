import { deltaE2000, hexOfLab } from '../colour';
import type { ExpectedPlace, SeenPlace } from '../cup-photo';
import type { MakePhoto, PhotoReading } from './make-photo';
import { othersSeen } from './seen-together';

/** A place of a photo beside what it should look like, and beside the latest other make that was read. */
export interface PlaceBeside extends SeenPlace {
  readonly expected: string;
  /** more apart than what the photo can't tell */
  readonly telling: boolean;
  readonly other: { readonly number: number; readonly off: number; readonly spread: number } | null;
}

/** Share of what is seen well below which a place is a sliver: nobody compares it. */
const SLIVER = 0.005;

/** Places as they are told. @param others photos of other makes of the design */
export function placesBeside(
  seen: readonly SeenPlace[],
  expected: readonly ExpectedPlace[],
  others: readonly MakePhoto[],
): readonly PlaceBeside[] {
  const makes = othersSeen(others);
  const should = new Map(expected.map((place) => [place.id, hexOfLab(place.expected)]));
  return seen
    .filter(({ share }) => share > SLIVER)
    .map((place) => ({
      ...place,
      expected: should.get(place.id) ?? place.hex,
      telling: place.off > 2 * place.spread,
      other: besideOther(place, makes),
    }));
}

function besideOther({ id, lab, spread }: SeenPlace, makes: ReturnType<typeof othersSeen>): PlaceBeside['other'] {
  for (const { number, places } of makes) {
    const there = places.find((place) => place.id === id);
    if (there) return { number, off: deltaE2000(lab, there.lab), spread: Math.hypot(spread, there.spread) };
  }
  return null;
}

/** The place that is farthest from what it should be; null where nothing was seen. */
export const farthestOff = ({ places }: PhotoReading): PhotoReading['places'][number] | null =>
  places.reduce<PhotoReading['places'][number] | null>((most, one) => (!most || one.off > most.off ? one : most), null);
