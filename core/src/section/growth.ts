import type { CoatId, Design } from '../design';
import { LEFT_OVER } from '../layout';
import type { Plan } from '../plan';

/** A moment between two coats: after so many of them, the last of which changed what is seen somewhere. */
export interface GrowthStep {
  /** coats that are on; 0 of the bare wall */
  readonly coats: number;
  readonly coat: CoatId | null;
  readonly title: string;
}

/** What is seen of each place at each of these moments, hex. */
export interface Growth {
  readonly steps: readonly GrowthStep[];
  /** what resin lies over is told through its gloss */
  readonly throughGloss: boolean;
  readonly rows: readonly { readonly place: string; readonly name: string; readonly colours: readonly string[] }[];
}

/** A smallest left-over that is worth a row of its own, cm². */
const SEEN = 0.05;

/** How a cup grows, from the bare wall to the last coat that changes what is seen. */
export function growthOf(plan: Plan): Growth {
  const left = plan.areas.leftOver.area > SEEN ? [{ id: LEFT_OVER, name: 'left over' }] : [];
  const places = [...plan.places.map(({ id, name }) => ({ id: id as string, name })), ...left];
  const seenAfter = (coats: number, place: string): string =>
    coats === 0 ? plan.bareWall : (plan.coats[coats - 1].seen[place] ?? plan.bareWall);
  const hides = (coat: CoatId) => plan.pieces.some((piece) => piece.coat === coat && piece.hides !== null);
  const changes = plan.coats.flatMap(({ id, title }, at): readonly GrowthStep[] =>
    hides(id) || places.some((place) => seenAfter(at, place.id) !== seenAfter(at + 1, place.id))
      ? [{ coats: at + 1, coat: id, title }]
      : [],
  );
  const steps = [{ coats: 0, coat: null, title: 'The wall as it comes' }, ...changes];
  return {
    steps,
    throughGloss: plan.throughGloss,
    rows: places.map(({ id, name }) => ({ place: id, name, colours: steps.map(({ coats }) => seenAfter(coats, id)) })),
  };
}

/** A design as far as it has come after so many coats. */
export const designUpTo = (design: Design, coats: number): Design => ({ ...design, coats: design.coats.slice(0, coats) });
