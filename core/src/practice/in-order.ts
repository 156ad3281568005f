import type { Design, DesignId } from '../design';
import { randomStream } from '../random';

/**
 * A copy of a design with its coats in disorder, drawn by seed: to be put in order again.
 * @param seed the same gives the same disorder
 */
export function toPutInOrder(design: Design, id: string, seed: number): Design {
  const random = randomStream(seed);
  const coats = [...design.coats];
  for (let i = coats.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [coats[i], coats[j]] = [coats[j], coats[i]];
  }
  const order = design.coats.map((coat) => coat.id);
  return {
    ...design,
    id: id as DesignId,
    name: `${design.name}, to put in order`.slice(0, 80),
    coats,
    practice: { kind: 'order', order },
  };
}

/** How many of some things stand in order already: the most that needn't be moved. */
export function standInOrder<Thing>(now: readonly Thing[], order: readonly Thing[]): number {
  const places = now.map((one) => order.indexOf(one)).filter((place) => place >= 0);
  // For each length the least place that an ordered run of it ends with (patience sorting).
  const ends: number[] = [];
  for (const place of places) {
    const at = ends.findIndex((end) => end >= place);
    ends[at < 0 ? ends.length : at] = place;
  }
  return ends.length;
}
