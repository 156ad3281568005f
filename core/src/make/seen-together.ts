import { deltaE2000, type Lab } from '../colour';
import type { MakePhoto } from './make-photo';

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

/** How long photos are of one state of a cup, ms: an hour. Coats that show take longer. */
const SITTING = 60 * 60_000;

/** Other makes as their latest photos show them, the latest make first: of those it isn't known when their last coat was on. */
export function othersSeen(
  photos: readonly MakePhoto[],
): readonly { readonly number: number; readonly places: readonly PlaceSeen[] }[] {
  const numbers = [...new Set(photos.map(({ number }) => number))].sort((one, other) => other - one);
  return numbers.map((number) => {
    const own = photos.filter((photo) => photo.number === number && photo.reading !== null);
    const last = Math.max(...own.map(({ at }) => Date.parse(at)));
    return { number, places: seenTogether(own.filter(({ at }) => Date.parse(at) >= last - SITTING)) };
  });
}
