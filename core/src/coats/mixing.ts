import type { Settings } from '../design';
import { potKeeps, resinMix, resinMixByWeight } from '../resin';
import type { ItemOf } from '../stock';
import type { PlannedMix } from './planned-coat';

/** What one coat of resin covers: cm², mm, and ml that raw glitter soaks up. */
export interface ToCover {
  readonly area: number;
  readonly thickness: number;
  readonly fill: number;
  /** ml held back for colour that is laid into it */
  readonly held?: number;
  /** pots it is parted into, beyond the one it is mixed in */
  readonly pots?: number;
}

/** How much of each part of a resin one pot takes, rounded by what its label counts in: ml, or g on the scale. */
export function mixOf(
  resin: ItemOf<'resin'>,
  cover: ToCover,
  { resinStep, losses }: Pick<Settings, 'resinStep' | 'losses'>,
): PlannedMix {
  const { name, ratio, ratioBy, density } = resin;
  const held = cover.held ?? 0;
  const lossMl = potKeeps(cover.pots ?? 0, losses?.pot);
  const need = { ...cover, fill: cover.fill + held, lossMl, lossShare: losses?.glove, ratio, step: resinStep };
  const mix = ratioBy === 'weight' ? resinMixByWeight(need, density) : resinMix(need);
  return { resin: name, ratio, ratioBy, fill: cover.fill, held, ...mix, aGrams: mix.a * density[0], bGrams: mix.b * density[1] };
}
