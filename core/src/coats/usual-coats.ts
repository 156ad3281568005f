import type { AreaId } from '../areas';
import type { Blend, Coat, CoatId, CoatKindName, Design, Workshop } from '../design';
import type { ItemOf } from '../stock';
import { startingCoat } from './change-coats';
import { nearestPaint, ownColour } from './nearest-paint';

/** The order of work most cups go through, with what is on the shelf; a start to change from. */
const USUAL: readonly CoatKindName[] = ['prep', 'base', 'glue', 'glitter', 'press', 'seal', 'resin', 'sand', 'resin', 'rest'];

type Shelf = Pick<Workshop, 'shelf'>;

/**
 * The usual coats for what a design has so far: under each mix the paint nearest to it, glue where glitter goes.
 * @param newId a fresh id for each coat
 * @returns the coats; those whose material nobody has on the shelf are left out
 */
export function usualCoats(design: Design, workshop: Shelf, newId: () => string): readonly Coat[] {
  const has = (kind: string) => workshop.shelf.some((item) => item.kind === kind);
  const begun = (kind: CoatKindName) => startingCoat(kind, design, workshop, newId() as CoatId);
  const mixed = mixesOf(design).map(({ area }) => area);
  return USUAL.flatMap((kind): readonly Coat[] => {
    if (kind === 'base') return has('paint') ? baseCoats(design, workshop, () => begun('base')) : [];
    if ((kind === 'glue' || kind === 'resin') && !has(kind)) return [];
    const coat = begun(kind);
    const some = mixed.length > 0 && mixed.length < design.areas.length;
    return [coat.kind === 'glue' && some ? { ...coat, on: mixed } : coat];
  });
}

/** A design with the usual coats in place of those it has. */
export const withUsualCoats = (design: Design, workshop: Shelf, newId: () => string): Design => ({
  ...design,
  coats: [...usualCoats(design, workshop, newId)],
});

/** What lies on each area: its blend, or all that it fades through. */
const mixesOf = ({ blends, fades }: Design): readonly { readonly area: AreaId; readonly parts: Blend['parts'] }[] => [
  ...blends.filter(({ parts, area }) => parts.length > 0 && !fades.some((fade) => fade.area === area)),
  ...fades.map(({ area, stops }) => ({ area, parts: stops.flatMap(({ parts }) => parts) })),
];

/** The paint that most areas want all over, then each other one on its own areas. */
function baseCoats(design: Design, { shelf }: Shelf, begun: () => Coat): readonly Coat[] {
  const paints = shelf.filter((item): item is ItemOf<'paint'> => item.kind === 'paint');
  const wanted = new Map<ItemOf<'paint'>, AreaId[]>();
  for (const { area, parts } of mixesOf(design)) {
    const colour = ownColour(parts, shelf);
    const paint = colour && nearestPaint(colour, paints);
    if (paint) wanted.set(paint, [...(wanted.get(paint) ?? []), area]);
  }
  const [first, ...others] = [...wanted].sort(([, one], [, other]) => other.length - one.length);
  if (!first) return [begun()];
  return [
    { ...begun(), paint: first[0].id } as Coat,
    ...others.map(([paint, on]) => ({ ...begun(), paint: paint.id, on }) as Coat),
  ];
}
