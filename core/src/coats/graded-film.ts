import type { Film } from '../colour';
import { gradedClasses } from '../pattern';
import { heightOf } from '../vessel';
import type { CoatContext } from './coat-kind';
import { DRAWN } from './graded';
import type { Grounds } from './ground';
import { patterned } from './patterned';
import type { LaidPattern, PlannedGrade } from './planned-coat';
import { underFilm } from './under-film';

/** The film of resin with each ink at a load, %; null of clear resin. */
type InkedFilm = (loads: readonly number[]) => Film | null;

/** How a coat's pots lie above each other: where two were drawn into each other, what is mixed of both. */
export function drawnOver({ pots }: PlannedGrade, film: InkedFilm, { stations }: Pick<CoatContext, 'stations'>): LaidPattern {
  const meet = pots.slice(1).map(({ heights }) => heights.from);
  const films = gradedClasses({ meet }).map((at) => {
    const [lower, over] = [pots[Math.floor(at)].loads, pots[Math.ceil(at)].loads];
    const share = at - Math.floor(at);
    return film(lower.map((load, ink) => load + share * (over[ink] - load)));
  });
  return { wish: { kind: 'graded', tall: heightOf({ stations }), meet, drawn: DRAWN }, films };
}

/** Places under such a coat: the wall as its pots lie, and what is no wall under the pot that it is coated with. */
export function underPots(
  grounds: Grounds,
  { pots }: PlannedGrade,
  { pattern, film, context }: { readonly pattern: LaidPattern; readonly film: InkedFilm; readonly context: CoatContext },
): Grounds {
  const onWall = (place: string) => place in context.regions;
  const wall = patterned(
    grounds,
    pots.flatMap(({ on }) => on.filter(onWall)),
    pattern,
    context,
  );
  return pots.reduce(
    (all, { on, loads }) =>
      underFilm(
        all,
        on.filter((place) => !onWall(place)),
        film(loads),
        context,
      ),
    wall,
  );
}
