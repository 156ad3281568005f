import { mixSpectra, type Spectrum } from '../colour';
import { facePerMl, flakeRain, type Part } from '../glitter';
import { rememberRecord } from '../remember';
import { tidy } from '../units';
import { evenWalk, type EvenWalk } from './even-walk';
import type { FadeMix, FadeWish, WishedStop } from './fade-wish';
import type { PotSlot } from './pot-slots';

/** A mix's parts scaled to so many ml. */
export const measured = ({ parts }: FadeMix, ml: number): readonly (Part & FadeMix['parts'][number])[] => {
  const total = parts.reduce((sum, part) => sum + part.ml, 0);
  if (ml === 0) return [];
  // Field by field: hundreds are made at each step of a stop that is dragged.
  return parts.map(({ item, name, glitter, finish, ml: part }) => ({ item, name, glitter, finish, ml: (part * ml) / total }));
};

/** Parts that come from several mixes, each jar once. */
export function eachJarOnce<
  One extends { readonly item: FadeMix['parts'][number]['item']; readonly name: string; readonly ml: number },
>(parts: readonly One[]): readonly { readonly item: One['item']; readonly name: string; readonly ml: number }[] {
  const sums = new Map<string, { item: One['item']; name: string; ml: number }>();
  for (const { item, name, ml } of parts) sums.set(item, { item, name, ml: tidy((sums.get(item)?.ml ?? 0) + ml) });
  return [...sums.values()];
}

export const faceOf = (parts: readonly Part[]): number =>
  parts.reduce((sum, { glitter, ml }) => sum + ml * facePerMl(glitter), 0);

/** From one stop to the next: a bare one takes over the other's mix, so that it only thins out. */
export interface Leg {
  readonly from: WishedStop;
  readonly to: WishedStop;
  /** both ends are of the same jars in the same proportions: nothing is mixed on the way */
  readonly same: boolean;
}

/** A leg's walk hangs on its ends, not on where they lie: a stop dragged along walks nothing anew. */
const walkOf = rememberRecord(({ from, to, cover, coverTo, under, underTo, depth, stops }: WalkedLeg): EvenWalk => {
  const ends = { from: { mix: from, at: 0, cover, under }, to: { mix: to, at: 1, cover: coverTo, under: underTo } };
  const leg: Leg = { ...ends, same: sameMix(from, to) };
  return evenWalk(stops, (share) => seenOnLeg(leg, share, depth));
}, 64);

/** All that a leg's walk hangs on. */
interface WalkedLeg {
  readonly from: FadeMix;
  readonly to: FadeMix;
  readonly cover: number;
  readonly coverTo: number;
  readonly under: Spectrum;
  readonly underTo: Spectrum;
  readonly depth: number;
  readonly stops: number;
}

export function legsOf(stops: readonly WishedStop[]): readonly Leg[] {
  return stops.slice(1).map((next, i) => {
    const from = stops[i].cover === 0 ? { ...stops[i], mix: next.mix } : stops[i];
    const to = next.cover === 0 ? { ...next, mix: from.mix } : next;
    return { from, to, same: sameMix(from.mix, to.mix) };
  });
}

function sameMix(one: FadeMix, other: FadeMix): boolean {
  if (one === other) return true;
  const [a, b] = [measured(one, 1), measured(other, 1)];
  return (
    a.length === b.length && a.every(({ item, ml }) => b.some((part) => part.item === item && Math.abs(part.ml - ml) < 1e-9))
  );
}

const between = (from: number, to: number, share: number): number => from + (to - from) * share;

export const coverAt = ({ from, to }: Leg, share: number): number => between(from.cover, to.cover, share);

export const underAt = ({ from, to }: Leg, share: number): Spectrum =>
  from.under === to.under ? from.under : mixSpectra([from.under, to.under], [1 - share, share]);

/** What is seen at a share of a leg, before anything is rounded to spoons. */
export function seenOnLeg(leg: Leg, share: number, depth: number): Spectrum {
  const parts = leg.same ? leg.from.mix.parts : [...measured(leg.from.mix, 1 - share), ...measured(leg.to.mix, share)];
  return flakeRain(parts, depth * coverAt(leg, share), underAt(leg, share));
}

/** Where on its leg each pot lies so that steps are even to the eye, and how long each leg is in CIEDE2000. */
export interface EvenLegs {
  readonly pots: readonly { readonly leg: Leg; readonly share: number }[];
  readonly lengths: readonly number[];
}

export function evenLegs({ stops, slots, depth }: Pick<FadeWish, 'stops' | 'slots' | 'depth'>): EvenLegs {
  const legs = legsOf(stops);
  const walks = legs.map((leg, i) => {
    const steps = slots.find(({ stop }) => stop === i)?.of ?? 1;
    const { from, to } = leg;
    return walkOf({
      from: from.mix,
      to: to.mix,
      cover: from.cover,
      coverTo: to.cover,
      under: from.under,
      underTo: to.under,
      depth,
      stops: steps + 1,
    });
  });
  const place = ({ stop, step }: PotSlot) => {
    if (stop === legs.length) return { leg: legs[stop - 1], share: 1 };
    return { leg: legs[stop], share: walks[stop].at[step] };
  };
  return { pots: slots.map(place), lengths: walks.map(({ path }) => path) };
}
