import { deltaE2000, type Lab } from '../colour';
import { countText } from '../units';
import { expectedPlaces } from './expected-places';
import type { Make } from './make';
import type { MakePhoto, MakePhotos } from './make-photo';

/** A place as all photos of a make show it together. */
export interface PlaceSeen {
  readonly id: string;
  readonly name: string;
  readonly lab: Lab;
  /** one standard deviation, ΔE00, of what the photos can't tell */
  readonly spread: number;
  /** of what is seen of the cup */
  readonly share: number;
}

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

/**
 * Each place as several photos show it: the mean of their readings, the surer ones counting more (by the inverse of their variance).
 * It is surer than each of them, unless they contradict each other: then no surer than that.
 */
export function seenTogether(photos: readonly Pick<MakePhoto, 'reading'>[]): readonly PlaceSeen[] {
  const all = photos.flatMap(({ reading }) => reading?.places ?? []);
  return [...new Set(all.map(({ id }) => id))].map((place) => {
    const readings = all.filter((one) => one.id === place);
    const weights = readings.map(({ spread }) => 1 / Math.max(spread, LEAST) ** 2);
    const whole = weights.reduce((sum, weight) => sum + weight, 0);
    const mean = (value: (one: (typeof readings)[number]) => number): number =>
      readings.reduce((sum, one, i) => sum + weights[i] * value(one), 0) / whole;
    const lab: Lab = [mean(({ lab: [l] }) => l), mean(({ lab: [, a] }) => a), mean(({ lab: [, , b] }) => b)];
    const apart = readings.reduce((sum, one) => sum + deltaE2000(lab, one.lab as Lab) ** 2, 0);
    const { id, name } = readings[0];
    const share = Math.max(...readings.map((one) => one.share));
    return { id, name, lab, spread: Math.max(1 / Math.sqrt(whole), Math.sqrt(apart) / readings.length), share };
  });
}

/** No photo is surer than this, ΔE00. */
const LEAST = 0.1;

/** How far a make came out from what its plan predicts, by its photos; null without one that was read. */
export function apartFromPlan(make: Make, photos: MakePhotos['photos']): Apart | null {
  const own = seenTogether(photos);
  if (own.length === 0) return null;
  const planned = expectedPlaces(make).map(({ id, name, expected }) => ({ id, name, lab: expected, spread: 0, share: 1 }));
  return apartOf(own, planned);
}

/** How far a make is from each other one of which a photo was read too, the latest first; none without photos that were read. */
export function makesApart({ photos, others }: MakePhotos): readonly MakeApart[] {
  const own = seenTogether(photos);
  const numbers = [...new Set(others.map(({ number }) => number))].sort((one, other) => other - one);
  return numbers.flatMap((number) => {
    const apart = apartOf(own, seenTogether(others.filter((one) => one.number === number)));
    return apart ? [{ number, ...apart }] : [];
  });
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
