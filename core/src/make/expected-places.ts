import { labOf, reflectanceOf } from '../colour';
import type { ExpectedPlace } from '../cup-photo';
import type { CoatId } from '../design';
import { planOf } from '../plan';
import { benchOf } from './bench';
import type { LogEntry } from './log-entry';
import type { Make } from './make';

/** What a cup should look like once some of its coats are on. */
export interface ExpectedCup {
  readonly places: readonly ExpectedPlace[];
  /** whether it looks as it will once all are: those to come change nothing that is seen */
  readonly finished: boolean;
  /** with what a photo of it is compared; nothing of a finished cup */
  readonly says: string;
}

/**
 * What a made cup should look like after one of its coats. A photo shows what resin lies over through its gloss, so that is how it
 * is expected, whatever colours are told as elsewhere.
 * @param last the last coat that is on; null of a cup without any
 */
export function expectedCup({ design, settings, shelf, steps }: Make, last: CoatId | null): ExpectedCup {
  const plan = planOf(design, { settings: { ...settings, gloss: true }, shelf });
  const number = plan.coats.findIndex(({ id }) => id === last);
  const seenAfter = (coat: number) => plan.places.map(({ id }) => plan.coats.at(coat)?.seen[id] ?? plan.bareWall);
  const seen = number < 0 ? plan.places.map(() => plan.bareWall) : seenAfter(number);
  const inTheEnd = seenAfter(-1);
  const finished = seen.every((hex, place) => hex === inTheEnd[place]);
  const title = steps.find(({ coat }) => coat === last)?.title ?? '';
  return {
    places: plan.places.map(({ id, name, region }, place) => ({ id, name, region, expected: labOf(reflectanceOf(seen[place])) })),
    finished,
    says: finished
      ? ''
      : number < 0
        ? 'No coat was on yet when it was taken: it is compared with the bare wall.'
        : `When it was taken “${title}” was on, coat ${number + 1} of ${steps.length}: it is compared with the cup as it should be then.`,
  };
}

/** What each place of a made cup should look like once all coats are on. */
export const expectedPlaces = (make: Make): readonly ExpectedPlace[] => expectedCup(make, make.steps.at(-1)?.coat ?? null).places;

/** The last coat that was on at a moment; null of a bare cup. @param at ms since 1970 */
export const lastCoatOn = (make: Make, entries: readonly LogEntry[], at: number): CoatId | null =>
  benchOf(make, entries, at).coats.findLast(({ state, ended }) => state === 'done' && ended !== null && ended <= at)?.step.coat ??
  null;
