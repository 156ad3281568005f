import type { ItemOf } from '../stock';
import type { InkDab } from './ink-dab';
import type { DabReading } from './read-dab';

const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

/** An ink with what a dab said of it. */
export function withDab(ink: ItemOf<'ink'>, dab: InkDab, { effect, sure }: DabReading): ItemOf<'ink'> {
  return {
    ...ink,
    colour: effect.colour,
    hiding: rounded(effect.hiding, 3),
    referenceLoad: rounded(effect.referenceLoad, 3),
    referenceFilm: rounded(effect.referenceFilm, 3),
    basis: dab.seenBy === 'eye' ? 'by eye' : 'dab',
    sure: { colour: rounded(sure.colour, 2), strength: rounded(sure.strength, 3) },
  };
}
