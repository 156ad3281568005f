import { isFilm, type Coat, type CoatId, type Design, type Workshop } from '../design';
import { stillAfter, wetColours, wetMeasures, type WetMeasures } from '../wet';
import { stringsStep } from './strings-step';

/** Another way to lay the same strings, and what it comes to. */
export interface OtherWay {
  readonly name: string;
  /** null until it is worked out */
  readonly measures: WetMeasures | null;
  readonly design: Design;
}

/** Minutes since mixing that makers compare. */
const RESTS = [5, 12, 25] as const;

/** Other rests, and every other resin of the shelf under them; the design as it is comes first. */
export function otherWays(design: Design, { shelf }: Pick<Workshop, 'shelf'>, id: CoatId): readonly OtherWay[] {
  const at = design.coats.findIndex((coat) => coat.id === id);
  const coat = design.coats.at(at);
  if (at < 0 || coat?.kind !== 'strings') return [];
  const changed = (change: (coat: Coat) => Coat): Design => ({
    ...design,
    coats: design.coats.map(change),
  });
  const under = design.coats.slice(0, at).findLast(isFilm);
  const rests = RESTS.filter((rest) => rest !== coat.rest).map((rest) => ({
    name: `laid ${rest} min after mixing`,
    design: changed((one) => (one.id === id ? { ...coat, rest } : one)),
  }));
  const resins = shelf.flatMap((item) =>
    item.kind !== 'resin' || !under || item.id === under.resin
      ? []
      : [{ name: `in ${item.name}`, design: changed((one) => (one.id === under.id ? { ...under, resin: item.id } : one)) }],
  );
  return [{ name: 'as it is', design }, ...rests, ...resins].map((way) => ({ ...way, measures: null }));
}

/** The same with what each comes to, told as each is known. */
export function* comparedWays(
  design: Design,
  workshop: Workshop,
  id: CoatId,
): Generator<readonly OtherWay[], readonly OtherWay[]> {
  const ways = [...otherWays(design, workshop, id)];
  for (const [i, way] of ways.entries()) {
    const found = stringsStep(way.design, workshop, id);
    if (!found) continue;
    for (const { wet } of wetColours(found.wish, [stillAfter(found.wish.drive)])) {
      if (wet) ways[i] = { ...way, measures: wetMeasures(wet, found.coat.reach) };
      yield ways;
    }
  }
  return ways;
}
