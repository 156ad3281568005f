import { inside, type Bound } from './bound';
import type { MixColours } from './mix-colour';
import { keptFirst, type Mix } from './mix-question';
import { mixesBySum, type SumSearch } from './mixes-by-sum';

/** Which mixes to go through, and what one must satisfy. */
export interface HidingSearch extends Pick<SumSearch, 'colours' | 'size'> {
  found(parts: Mix['parts']): void;
  bounds(): readonly Bound[];
  /** what else must not fall below zero in sum: worth of a step of each jar, by its place in the question */
  limits?(): readonly Float64Array[];
}

/**
 * Every mix of so many hiding jars that the bounds don’t rule out. A mix’s colour is the mean of its jars’,
 * weighed by face; so a bound on XYZ is a sum over its parts. None where a see-through jar must be kept.
 * @returns the share of the work done
 */
export function* hidingMixes({ colours, size, found, bounds, limits }: HidingSearch): Generator<number> {
  const { jars } = colours.question;
  if (jars.some(({ keep }, jar) => keep && !colours.hiding[jar])) return;
  const hiding = keptFirst(jars, (jar) => colours.hiding[jar]);
  const worths = () => [...bounds().map((bound) => worthOf(colours, bound)), ...(limits?.() ?? [])];
  const every = (parts: Mix['parts']): boolean => {
    found(parts);
    return true;
  };
  yield* mixesBySum({ colours, ...hiding, size, worths, found: every });
}

const worthOf = (colours: MixColours, bound: Bound): Float64Array =>
  Float64Array.from(colours.face, (face, jar) => (colours.hiding[jar] ? face * inside(bound, colours.alone[jar]) : 0));
