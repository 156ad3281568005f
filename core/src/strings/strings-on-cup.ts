import type { LaidStrings, Step } from '../coats';
import type { CoatId, CoatOf } from '../design';
import type { PlannedAreas } from '../layout';
import { reachedPlaces } from '../on-surface';
import type { Cup } from '../vessel';
import type { WetWish } from '../wet';
import { topEdge } from './top-edge';

/** Colour laid into a wet coat, as the picture needs it: what runs, what it is tinted with, and where between the layers it lies. */
export interface PlannedStrings {
  readonly coat: CoatId;
  /** its place among the coats, from 0 */
  readonly at: number;
  readonly name: string;
  readonly wish: WetWish;
  readonly pots: LaidStrings['pots'];
  /** by place that it reaches: how many of the place's layers lie under it */
  readonly under: Readonly<Record<string, number>>;
}

/** mm between lines along an edge, beyond their own width */
const BESIDE = 3;

/** All strings, in the order they are laid. */
export const stringsOnCup = (steps: readonly Step[], cup: Cup, areas: PlannedAreas): readonly PlannedStrings[] =>
  steps.flatMap((step, at): readonly PlannedStrings[] => {
    const { coat, planned, after } = step;
    if (coat.kind !== 'strings' || planned.strings === null) return [];
    return [
      {
        coat: coat.id,
        at,
        name: planned.title,
        wish: wishOf(coat, planned.strings, cup, areas),
        pots: planned.strings.pots,
        under: reachedPlaces(step, steps.at(-1)?.after ?? after),
      },
    ];
  });

/** What the flow is worked out from. */
export function wishOf(coat: CoatOf<'strings'>, { film, drive, pots }: LaidStrings, cup: Cup, areas: PlannedAreas): WetWish {
  const area = areas.areas.find(({ id }) => id === coat.area);
  return {
    stations: cup.stations,
    film,
    drive,
    laying: {
      way: coat.way,
      count: coat.count,
      reach: coat.reach,
      slope: coat.slope,
      wander: coat.wander,
      edge: coat.way === 'edge' && area ? topEdge(area.own) : null,
      apart: coat.width + BESIDE,
      seed: coat.seed,
    },
    width: coat.width,
    pots: pots.map(({ ml }) => ml),
    air: coat.air,
  };
}
