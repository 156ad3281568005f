import { resinMix } from '../resin';
import type { ItemOf } from '../stock';
import type { CoatContext } from './coat-kind';
import type { PlannedMix } from './planned-coat';

/** What to mix of a resin for one coat, by volume and by weight. */
export function mixFor(resin: ItemOf<'resin'>, area: number, thickness: number, fill: number, context: CoatContext): PlannedMix {
  const mix = resinMix({ area, thickness, fill, ratio: resin.ratio, step: context.settings.resinStep });
  return {
    resin: resin.name,
    ratio: resin.ratio,
    fill,
    ...mix,
    aGrams: mix.a * resin.density[0],
    bGrams: mix.b * resin.density[1],
  };
}
