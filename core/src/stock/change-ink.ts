import { inkSorts, type InkSort } from '../ink';
import type { ItemOf } from './shelf-item';

type Ink = ItemOf<'ink'>;

/** What a dab tells of an ink: typed otherwise, it is the dab's no more. */
const swatch = ['type', 'colour', 'hiding', 'referenceLoad', 'referenceFilm'] as const satisfies readonly (keyof Ink)[];

/** An ink with something typed anew; what no longer rests on its dab says so. */
export function changedInk(ink: Ink, change: Partial<Ink>): Ink {
  const next = { ...ink, ...change };
  const stands = swatch.every((field) => next[field] === ink[field]) && next.basis === ink.basis;
  if (stands) return next;
  delete next.sure;
  const read = next.basis === 'dab' || next.basis === 'by eye';
  return read && next.basis === ink.basis ? { ...next, basis: 'label' } : next;
}

/** An ink sold as another sort: it takes light as that does, and brings the solvent that is usual for it. */
export function withInkSort(ink: Ink, sort: InkSort): Ink {
  const next = changedInk(ink, { sort, type: inkSorts[sort].type });
  delete next.solvent;
  return next;
}
