import { inksOf, type CoatOf } from '../design';
import { rememberRecord } from '../remember';
import { heightOf, wallArea, type Station } from '../vessel';
import { spreadCovers } from '../wet';
import type { LaidStrings } from './planned-coat';

/** Worked out from plain numbers, again only when one of them is another. */
const covers = rememberRecord(spreadCovers, 24);
/** Share of the wall that strings kept apart cover at most. */
const APART = 0.75;

/** Share of the wall that strings cover once they lie still. */
export function stringsCover(
  coat: CoatOf<'strings'>,
  { film, drive }: Pick<LaidStrings, 'film' | 'drive'>,
  stations: readonly Station[],
): number {
  const height = heightOf({ stations });
  const round = (wallArea(stations) * 100) / height;
  const reach = coat.reach ?? { from: 0, to: height };
  // Nothing is laid past the rim, or along an edge that nobody named.
  if (reach.from >= height || (coat.way === 'edge' && coat.area === null)) return 0;
  const reached = Math.max(1, Math.min(height, reach.to) - reach.from);
  const volume = (1000 * coat.ml) / coat.count;
  const line = (amount: number, apart: number) => ({ shape: 'line' as const, amount, apart });
  const each = {
    up: () => line(volume / (reached / Math.cos((coat.slope * Math.PI) / 180)), round / coat.count),
    round: () => line(volume / round, reached / coat.count),
    // Lines close beside each other along an edge soon are one.
    edge: () => line((1000 * coat.ml) / round, height),
    drops: () => ({ shape: 'drop' as const, amount: volume, apart: Math.sqrt((round * reached) / coat.count) }),
  }[coat.way]();
  const share = covers({ ...drive, lean: 0, film, round, width: coat.width, ...each });
  return coat.way === 'edge' ? share : (share * reached) / height;
}

/**
 * The same strings kept apart: as many of them as do, each of as much as it is now; as many of half as much where even that
 * covers too much. Null where nothing helps.
 */
export function keptApart(coat: CoatOf<'strings'>, laid: LaidStrings, stations: readonly Station[]): CoatOf<'strings'> | null {
  const tries: CoatOf<'strings'>[] = [];
  for (let count = coat.count >> 1; count >= inksOf(coat).length; count >>= 1)
    tries.push({ ...coat, count, ml: Math.max(0.5, Math.round((20 * coat.ml * count) / coat.count) / 20) });
  tries.push({ ...coat, ml: Math.max(0.5, Math.round(10 * coat.ml) / 20) });
  return tries.find((one) => stringsCover(one, laid, stations) < APART) ?? null;
}
