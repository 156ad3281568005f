import type { Step } from '../coats';
import type { Look } from '../look';

/**
 * The places whose colour a coat changed, each with how many layers of its picture lie under that coat. Paint takes the place of
 * all that was there: what lay under it is seen no more.
 */
export function reachedPlaces({ before, after }: Step, last: Step['after']): Readonly<Record<string, number>> {
  const reached = Object.keys(after).filter(
    (place) => after[place].spectrum !== before[place].spectrum && liesUnder(before[place].look, last[place].look),
  );
  return Object.fromEntries(reached.map((place) => [place, before[place].look.length]));
}

const liesUnder = (before: Look, last: Look): boolean => before.every((layer, i) => last[i] === layer);
