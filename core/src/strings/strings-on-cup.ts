import type { LaidStrings, Step } from '../coats';
import type { CoatId, CoatOf } from '../design';
import type { PlannedAreas } from '../layout';
import type { Look } from '../look';
import type { Cup } from '../vessel';
import type { WetWish } from '../wet';
import { topEdge } from './top-edge';

/** Colour laid into a wet coat, as the picture needs it: what runs, what it is tinted with, and where between the layers it lies. */
export interface PlannedStrings {
  readonly coat: CoatId;
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
  steps.flatMap(({ coat, planned, before, after }): readonly PlannedStrings[] => {
    if (coat.kind !== 'strings' || planned.strings === null) return [];
    const last = steps.at(-1)?.after ?? after;
    const reached = Object.keys(after).filter(
      (place) => after[place].spectrum !== before[place].spectrum && liesUnder(before[place].look, last[place].look),
    );
    return [
      {
        coat: coat.id,
        name: planned.title,
        wish: wishOf(coat, planned.strings, cup, areas),
        pots: planned.strings.pots,
        under: Object.fromEntries(reached.map((place) => [place, before[place].look.length])),
      },
    ];
  });

/** Paint takes the place of all that was there: what lay under it is seen no more. */
const liesUnder = (before: Look, last: Look): boolean => before.every((layer, i) => last[i] === layer);

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
