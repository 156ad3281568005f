import type { Interval } from './difference-bounds';

/** Which see-through jars a mix has, within which shares of its face, and the hiding jars the rest may be of. */
export interface ShareBox {
  readonly through: readonly number[];
  /** by see-through jar, 0..1; then, where there are hiding jars, of all of those together. A mix’s own add up to 1 */
  readonly shares: readonly Interval[];
  readonly hiding: readonly number[];
  /** the strictest sum known that no mix of it may take below zero: what a whole share adds, of each see-through jar and by hiding jar */
  readonly strict: { readonly own: Float64Array; readonly hiding: Float64Array } | null;
}

/** The share that hiding jars have together. */
export const hidingShare = ({ through, shares }: ShareBox): Interval => shares[through.length] ?? [0, 0];
