import { glossed, hexOf, layOver } from '../colour';
import type { CoatId, CoatOf, Design, Workshop } from '../design';
import { potFilm } from '../ink';
import { groundsUnder, trialPlan, type Plan } from '../plan';
import { itemOf } from '../stock';

/** How often a tinted coat is laid over itself at most; beyond that it is another recipe. */
export const coatCounts = [1, 2, 3] as const;
export type CoatCount = (typeof coatCounts)[number];

/** What is seen of a place after one, two and three coats, hex. */
export interface DeepPlace {
  readonly place: string;
  readonly name: string;
  readonly colours: readonly string[];
  /** of one coat where its film is a quarter thinner and thicker than it should be, hex */
  readonly thin: string;
  readonly thick: string;
}

/** How much thinner and thicker than it should be a film comes out where it runs and pools, as a share of it. */
const UNEVEN = 0.25;

/** The tinted coat of a design by its id; null where it is of another kind, or gone. */
export const inkCoat = (design: Pick<Design, 'coats'>, id: CoatId): CoatOf<'ink'> | null => {
  const coat = design.coats.find((one) => one.id === id);
  return coat?.kind === 'ink' ? coat : null;
};

/** A design up to a tinted coat, that coat so many times. */
export function laidTimes(design: Design, coat: CoatOf<'ink'>, times: CoatCount): Design {
  const before = design.coats.slice(
    0,
    design.coats.findIndex(({ id }) => id === coat.id),
  );
  const again = coatCounts.slice(1, times).map((count) => ({ ...coat, id: `${coat.id}/${count}` as CoatId }));
  return { ...design, coats: [...before, coat, ...again] };
}

/** What is seen where a tinted coat goes, right after it, and were it laid twice and three times. */
export function afterCoats(design: Design, workshop: Workshop, id: CoatId): readonly DeepPlace[] {
  const coat = inkCoat(design, id);
  if (!coat) return [];
  const plans = coatCounts.map((times) => trialPlan(laidTimes(design, coat, times), workshop));
  const under = groundsUnder(design, workshop, id);
  const laid = plans[0].coats.at(-1);
  const inksOn = (place: string) => {
    const loads = laid?.graded?.pots.find(({ on }) => on.includes(place))?.loads;
    return (laid?.drops ?? []).flatMap(({ item, load }, at) => {
      const ink = itemOf(workshop.shelf, item, 'ink');
      return ink ? [{ ink, load: loads?.[at] ?? load }] : [];
    });
  };
  return placesOf(plans[0], coat).map(({ id: place, name }) => {
    const [thin, thick] = [1 - UNEVEN, 1 + UNEVEN].map((share) => {
      const seen = layOver(potFilm(inksOn(place), coat.thickness * share), under[place].spectrum);
      return hexOf(workshop.settings.gloss ? glossed(seen) : seen);
    });
    return { place, name, colours: plans.map(({ coats }) => coats[coats.length - 1].seen[place]), thin, thick };
  });
}

/** The places of the wall that a coat really lies on: areas, pots of those that fade, and parts of them between heights. */
export function placesOf({ places, coats }: Pick<Plan, 'places' | 'coats'>, { id }: CoatOf<'ink'>): Plan['places'] {
  const at = coats.findIndex((coat) => coat.id === id);
  if (at < 0) return [];
  return places.filter((place) => coats[at].thick[place.id] > (at > 0 ? coats[at - 1].thick[place.id] : 0));
}
