import type { ItemOf } from './shelf-item';

/** g a ml of a resin weighs, both parts mixed in its ratio. */
export function mixWeight({ ratio: [a, b], density }: Pick<ItemOf<'resin'>, 'ratio' | 'density'>): number {
  return (a * density[0] + b * density[1]) / (a + b);
}
