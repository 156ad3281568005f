import type { Settings } from '../design';
import { potLifeAt, spreadMinutes } from '../resin';
import type { ItemOf } from '../stock';
import { mixOf, type ToCover } from './mixing';
import type { PlannedMix } from './planned-coat';

/** Pots one resin coat is mixed in, at most: beyond that it is another coat. */
const MOST_POTS = 12;

/** A coat of resin as it is mixed: so many pots alike, one after the other. */
export interface Batch {
  readonly pots: number;
  readonly each: PlannedMix;
  /** minutes that a pot can be worked, and that spreading it takes */
  readonly lasts: number;
  readonly takes: number;
  /** whether each pot is on before it goes off */
  readonly inTime: boolean;
}

/** The fewest pots, each on the cup before it goes off in this room; one where no number of them is. */
export function batchFor(
  { area, thickness, fill, held = 0, pots: parted = 0 }: ToCover,
  resin: ItemOf<'resin'>,
  settings: Pick<Settings, 'resinStep' | 'celsius'>,
): Batch {
  const inPots = (pots: number): Batch => {
    const each = mixOf(resin, { area: area / pots, thickness, fill: fill / pots, held: held / pots, pots: parted }, settings);
    const [lasts, takes] = [potLifeAt(resin.potLife, each.mix, settings.celsius), spreadMinutes(area / pots)];
    return { pots, each, lasts, takes, inTime: lasts >= takes };
  };
  for (let pots = 1; pots <= MOST_POTS; pots += 1) {
    const batch = inPots(pots);
    if (batch.inTime) return batch;
  }
  // Where even a small pot goes off too soon, parting it gains nothing.
  return inPots(1);
}
