import { gradedHeights, type Coat, type CoatedWhere, type CoatHeights, type CoatOf } from '../design';
import { boxOfRegion } from '../regions';
import { coatedHeight, heightOf, type Cup } from '../vessel';
import type { PlannedAreas } from './planned-areas';

/** A height of the wall at which a coat ends, or one of its pots. */
interface CoatEnd {
  /** mm above the foot */
  readonly mm: number;
  readonly on: CoatedWhere;
  /** wet pots are drawn into each other there: no line shows */
  readonly drawn: boolean;
}

/** How coats part the wall by height. */
export interface CoatLevels {
  readonly ends: readonly CoatEnd[];
  /** of each tinted coat whose load changes on the way up: the heights of its pots, from below */
  readonly pots: Readonly<Record<string, readonly CoatHeights[]>>;
}

/** @param areas of the cup, as they lie */
export function levelsOfCoats(coats: readonly Coat[], cup: Cup, areas: PlannedAreas['areas']): CoatLevels {
  const top = heightOf(cup);
  const pots: Record<string, readonly CoatHeights[]> = {};
  const ends = coats.flatMap((coat): readonly CoatEnd[] => {
    if (!('on' in coat)) return [];
    const { on } = coat;
    const between = 'between' in coat ? coat.between : undefined;
    const own = between ? [between.from, between.to].map((mm) => ({ mm, on, drawn: false })) : [];
    if (coat.kind !== 'ink' || coat.pots === undefined) return own;
    const heights = gradedHeights(coat, reachOf(coat, coatedHeight(cup), areas));
    pots[coat.id] = heights;
    return [...own, ...heights.slice(1).map(({ from }) => ({ mm: from, on, drawn: true }))];
  });
  return { ends: ends.filter(({ mm }) => mm > 0 && mm < top), pots };
}

/** The wall that a coat lies on, from its lowest spot to its highest, to the mm. */
function reachOf(
  { on, between }: Pick<CoatOf<'ink'>, 'on' | 'between'>,
  coated: number,
  areas: PlannedAreas['areas'],
): CoatHeights {
  const boxes = on === 'all' ? [] : areas.filter(({ id }) => on.includes(id)).flatMap(({ region }) => boxOfRegion(region) ?? []);
  const [low, high] =
    boxes.length === 0
      ? [0, coated]
      : [Math.min(...boxes.map(({ bottom }) => bottom)), Math.min(coated, Math.max(...boxes.map(({ top }) => top)))];
  return { from: Math.max(Math.floor(low), between?.from ?? 0), to: Math.min(Math.ceil(high), between?.to ?? Infinity) };
}

/** The heights that part a place of an area, from below, each once. */
export const endsOn = ({ ends }: Pick<CoatLevels, 'ends'>, area: string, drawn: boolean): readonly number[] =>
  [
    ...new Set(
      ends.filter((end) => (drawn || !end.drawn) && (end.on === 'all' || end.on.some((id) => id === area))).map(({ mm }) => mm),
    ),
  ].sort((one, other) => one - other);
