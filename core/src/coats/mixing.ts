import type { Settings } from '../design';
import { resinMix, resinMixByWeight, type ResinMix } from '../resin';
import type { ItemOf } from '../stock';
import type { CoatContext } from './coat-kind';
import type { PlannedMix } from './planned-coat';

/** What one coat of resin covers: cm², mm, and ml that raw glitter soaks up. */
export interface ToCover {
  readonly area: number;
  readonly thickness: number;
  readonly fill: number;
}

/** How much of each part of a resin one pot takes, rounded by what its label counts in: ml, or g on the scale. */
export function mixOf(resin: ItemOf<'resin'>, cover: ToCover, { resinStep }: Pick<Settings, 'resinStep'>): ResinMix {
  const need = { ...cover, ratio: resin.ratio, step: resinStep };
  return resin.ratioBy === 'weight' ? resinMixByWeight(need, resin.density) : resinMix(need);
}

/** What to mix of a resin for one coat, by volume and by weight. */
export function mixFor(resin: ItemOf<'resin'>, area: number, thickness: number, fill: number, context: CoatContext): PlannedMix {
  const mix = mixOf(resin, { area, thickness, fill }, context.settings);
  return {
    resin: resin.name,
    ratio: resin.ratio,
    ratioBy: resin.ratioBy,
    fill,
    ...mix,
    aGrams: mix.a * resin.density[0],
    bGrams: mix.b * resin.density[1],
  };
}
