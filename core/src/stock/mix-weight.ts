import type { ItemOf } from './shelf-item';

type Measured = Pick<ItemOf<'resin'>, 'ratio' | 'ratioBy' | 'density'>;

/** A to B by volume, whatever the label counts in. */
export const volumeRatio = ({ ratio: [a, b], ratioBy, density }: Measured): readonly [number, number] =>
  ratioBy === 'weight' ? [a / density[0], b / density[1]] : [a, b];

/** g a ml of a resin weighs, both parts mixed in its ratio. */
export function mixWeight(resin: Measured): number {
  const [a, b] = volumeRatio(resin);
  return (a * resin.density[0] + b * resin.density[1]) / (a + b);
}
