import { deltaE2000 } from '../colour';
import { countText } from '../units';
import { benchOf } from './bench';
import { expectedPlaces } from './expected-places';
import type { LogEntry } from './log-entry';
import type { Make } from './make';
import type { MakePhotos } from './make-photo';
import { othersSeen, seenTogether, type PlaceSeen } from './seen-together';

/** How far a make is from something else, by photos. */
export interface Apart {
  /** ΔE00, the mean over places that both show, by how much is seen of each; and one standard deviation of it */
  readonly off: number;
  readonly spread: number;
  readonly says: string;
}
export interface MakeApart extends Apart {
  /** of the other make of its design */
  readonly number: number;
}

/** How far a finished make is from its plan, and from each other make of its design, by photos. */
export interface PhotosApart {
  readonly plan: Apart | null;
  /** the latest first */
  readonly makes: readonly MakeApart[];
}

/**
 * @param entries its log: photos from before its last coat was on show another cup than the finished one, and don't count
 * @returns nothing where no photo of it, finished, was read
 */
export function photosApart(make: Make, entries: readonly LogEntry[], { photos, others }: MakePhotos): PhotosApart {
  const { coats, standing } = benchOf(make, entries, 0);
  const finished = Math.max(...coats.map(({ ended }) => ended ?? 0));
  const own = standing.at === null ? seenTogether(photos.filter(({ at }) => Date.parse(at) >= finished)) : [];
  if (own.length === 0) return { plan: null, makes: [] };
  const planned = expectedPlaces(make).map(({ id, name, expected }) => ({ id, name, lab: expected, spread: 0, share: 1 }));
  return {
    plan: apartOf(own, planned),
    makes: othersSeen(others).flatMap(({ number, places }) => {
      const apart = apartOf(own, places);
      return apart ? [{ number, ...apart }] : [];
    }),
  };
}

function apartOf(own: readonly PlaceSeen[], theirs: readonly PlaceSeen[]): Apart | null {
  const both = own.flatMap((here) => {
    const there = theirs.find(({ id }) => id === here.id);
    if (!there) return [];
    const share = Math.min(here.share, there.share);
    return [{ name: here.name, share, off: deltaE2000(here.lab, there.lab), spread: Math.hypot(here.spread, there.spread) }];
  });
  const whole = both.reduce((sum, { share }) => sum + share, 0);
  if (whole === 0) return null;
  const mean = (value: (one: (typeof both)[number]) => number) =>
    both.reduce((sum, one) => sum + one.share * value(one), 0) / whole;
  // A card that is read wrong is wrong for all places of a photo: their ± don't cancel out.
  return { off: mean((one) => one.off), spread: mean((one) => one.spread), says: saysOf(both) };
}

/** What made most of it: the place that is more apart than photos can be wrong by, if there is one. */
function saysOf(both: readonly { readonly name: string; readonly off: number; readonly spread: number }[]): string {
  const telling = both.filter(({ off, spread }) => off > 2 * spread);
  if (telling.length === 0) return `No more apart than photos can be wrong by, in ${countText(both.length, 'place')}.`;
  const most = telling.reduce((farthest, one) => (one.off > farthest.off ? one : farthest));
  return `Most in ${most.name}: ΔE ${most.off.toFixed(1)} ± ${most.spread.toFixed(1)}.`;
}
