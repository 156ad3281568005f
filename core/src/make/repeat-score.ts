import * as z from 'zod';
import type { RoomMoment } from './room-moment';
import { cureFactor } from '../resin';
import { countText, durationText, percentText, temperatureText, type Units } from '../units';
import { benchOf, type BenchCoat } from './bench';
import type { LogEntry } from './log-entry';
import type { Make } from './make';
import { makeIdSchema } from './make-id';
import { reallyPoured } from './taken';

export const distanceKinds = ['amounts', 'coats', 'waits', 'room'] as const;
export type DistanceKind = (typeof distanceKinds)[number];

/** One way in which a cup came out other than its recipe has it, and what that costs of a hundred. */
export interface Distance {
  readonly kind: DistanceKind;
  readonly points: number;
  /** what alone made most of it, as a sentence; empty where there is nothing to say */
  readonly says: string;
}

/** How near a make is to its recipe: 100 where all was measured, laid, waited for and warm as planned. */
export interface RepeatScore {
  readonly score: number;
  readonly words: 'the same to the hand' | 'very near' | 'near' | 'a cousin' | 'another cup';
  /** the largest first */
  readonly distances: readonly Distance[];
}

/** How near each make of a design is to its recipe, the first first; null of those that were only begun. */
export const repeatsSchema = z.object({
  repeats: z.array(z.object({ id: makeIdSchema, number: z.int(), at: z.string(), score: z.number().nullable() })),
});
export type Repeats = z.infer<typeof repeatsSchema>['repeats'];

/**
 * What a full miss of each costs: half of all for amounts, since they make the colour; a tenth of the coats left out or
 * laid in another order, or waits that closed, a third of their own. Weights are this program's judgement, not a law.
 */
const WORTH: Readonly<Record<DistanceKind, number>> = { amounts: 50, coats: 25, waits: 15, room: 10 };
/** Misses at which each costs all it can: amounts off by so much of themselves, on the whole; °C away. */
const ALL_OFF = { amounts: 0.25, celsius: 8 } as const;

/**
 * How far a make is from its recipe, coat by coat as far as it has come.
 * @param room what it was like meanwhile; empty where nobody measured
 */
export function repeatScore(
  make: Make,
  entries: readonly LogEntry[],
  room: readonly RoomMoment[],
  units: Units,
): RepeatScore | null {
  const { coats } = benchOf(make, entries, 0);
  const over = coats.filter(({ state }) => state === 'done' || state === 'skipped');
  if (over.length === 0) return null;
  const distances = [amountsOff(over), coatsOff(over), waitsOff(make, over), roomOff(make, room, units)];
  const lost = distances.reduce((sum, { points }) => sum + points, 0);
  const score = Math.max(0, Math.round(100 - lost));
  return {
    score,
    words:
      score >= 97
        ? 'the same to the hand'
        : score >= 90
          ? 'very near'
          : score >= 75
            ? 'near'
            : score >= 50
              ? 'a cousin'
              : 'another cup',
    distances: [...distances].sort((one, other) => other.points - one.points),
  };
}

const cost = (kind: DistanceKind, share: number): number => WORTH[kind] * Math.min(1, share);

/** Root mean square of how far each amount was off, as a share of it: one wild pour counts more than many small ones. */
function amountsOff(over: readonly BenchCoat[]): Distance {
  const off = over
    .filter(({ state }) => state === 'done')
    .flatMap(({ step, poured }) =>
      step.amounts
        .filter(({ amount }) => amount > 0)
        .map((one) => {
          const times = reallyPoured(one, poured) / one.amount;
          const name = one.where === null ? `${one.name} of ${step.title}` : `${one.name}, ${one.where}`;
          return { times, share: Math.abs(times - 1), name };
        }),
    );
  if (off.length === 0) return { kind: 'amounts', points: 0, says: '' };
  const root = Math.sqrt(off.reduce((sum, { share }) => sum + Math.min(1, share) ** 2, 0) / off.length);
  const most = off.reduce((largest, one) => (one.share > largest.share ? one : largest), off[0]);
  return {
    kind: 'amounts',
    points: cost('amounts', root / ALL_OFF.amounts),
    says: most.share > 0 ? `${most.name}: ${timesText(most.times)} planned.` : '',
  };
}

/** How much of what was planned something is, where it isn't all: `12 % less than`, `28 times as much as`. */
function timesText(times: number): string {
  if (times >= 2) return `${times < 10 ? Number(times.toFixed(1)) : Math.round(times)} times as much as`;
  return `${percentText(Math.abs(times - 1))} ${times > 1 ? 'more' : 'less'} than`;
}

function coatsOff(over: readonly BenchCoat[]): Distance {
  const skipped = over.filter(({ state }) => state === 'skipped');
  const titles = skipped.map(({ step }) => step.title);
  return {
    kind: 'coats',
    points: cost('coats', (10 * skipped.length) / Math.max(10, over.length)),
    says: skipped.length === 0 ? '' : `${countText(skipped.length, 'coat')} left out: ${titles.join(', ')}.`,
  };
}

/** Coats that came too soon, or after their window had closed. */
function waitsOff({ steps }: Make, over: readonly BenchCoat[]): Distance {
  const done = over.filter(({ state }) => state === 'done');
  const misses = done.flatMap(({ step, begun }, i) => {
    const before = done.at(i - 1);
    if (i === 0 || !before || before.ended === null || begun === null) return [];
    const waited = (begun - before.ended) / 60_000;
    const { minutes, closes } = before.step.wait;
    // A minute is no miss: presses take as long.
    if (waited < minutes - 1)
      return [{ by: minutes - waited, says: `${step.title} came ${durationText(minutes - waited)} too soon.` }];
    if (closes !== null && waited > closes + 1)
      return [{ by: waited - closes, says: `${step.title} came ${durationText(waited - closes)} after its window had closed.` }];
    return [];
  });
  const worst = misses.reduce<(typeof misses)[number] | null>((most, one) => (!most || one.by > most.by ? one : most), null);
  return {
    kind: 'waits',
    points: cost('waits', (3 * misses.length) / Math.max(3, steps.length / 2)),
    says: worst?.says ?? '',
  };
}

/** How much warmer or colder it was than planned, on average, by what that does to curing. */
function roomOff({ settings }: Make, room: readonly RoomMoment[], units: Units): Distance {
  if (room.length === 0) return { kind: 'room', points: 0, says: 'Nobody measured the room.' };
  const mean = room.reduce((sum, { celsius }) => sum + celsius, 0) / room.length;
  const off = mean - settings.celsius;
  const slower = cureFactor(mean) / cureFactor(settings.celsius) - 1;
  return {
    kind: 'room',
    points: cost('room', Math.abs(off) / ALL_OFF.celsius),
    says:
      Math.abs(off) < 0.5
        ? ''
        : `The room had ${temperatureText(mean, units)} on average, planned for ${temperatureText(settings.celsius, units)}: resin cured ${percentText(Math.abs(slower))} ${slower > 0 ? 'slower' : 'quicker'}.`,
  };
}
