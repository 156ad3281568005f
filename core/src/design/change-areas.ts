import { coatedHeight, heightOf, type Cup } from '../vessel';
import type { Area, AreaId, Band } from './area';
import type { Design } from './design';

const bandsOf = (design: Design): readonly Band[] => design.areas.filter((area): area is Band => area.kind === 'band');

/** A design with one area more: a band over what is left at the top, or the base. */
export function withArea(design: Design, id: AreaId, kind: Area['kind']): Design {
  if (kind === 'base') return { ...design, areas: [...design.areas, { kind, id, name: 'Underside' }] };
  const top = coatedHeight(design.cup);
  const reached = Math.max(0, ...bandsOf(design).map((band) => band.to));
  const from = reached < top - 1 ? reached : Math.round(top / 2);
  return { ...design, areas: [...design.areas, { kind, id, name: nameNotIn(design), from, to: top }] };
}

/** The wall split into bands of equal height instead of the bands it had; an area under the cup stays. */
export function withBandsEven(design: Design, ids: readonly AreaId[]): Design {
  const top = coatedHeight(design.cup);
  const edge = (index: number) => (index === ids.length ? top : Math.round((top * index) / ids.length));
  const bands = ids.map((id, index): Band => ({
    kind: 'band',
    id,
    name: `Band ${index + 1}`,
    from: edge(index),
    to: edge(index + 1),
  }));
  const cleared = bandsOf(design).reduce((rest, band) => withoutArea(rest, band.id), design);
  return { ...cleared, areas: [...bands, ...cleared.areas] };
}

/** A design without an area; its blend goes with it, and coats that lay on it alone go on everything. */
export function withoutArea(design: Design, id: AreaId): Design {
  return {
    ...design,
    areas: design.areas.filter((area) => area.id !== id),
    blends: design.blends.filter((blend) => blend.area !== id),
    coats: design.coats.map((coat) => {
      if (!('on' in coat) || coat.on === 'all' || !coat.on.includes(id)) return coat;
      const on = coat.on.filter((other) => other !== id);
      return { ...coat, on: on.length > 0 ? on : 'all' };
    }),
  };
}

function nameNotIn(design: Design): string {
  const names = new Set(design.areas.map((area) => area.name));
  let number = design.areas.length + 1;
  while (names.has(`Band ${number}`)) number += 1;
  return `Band ${number}`;
}

/** The design on another cup: every height keeps its share of the coated wall, to a tenth of a mm. */
export function withCupFitted(design: Design, cup: Cup): Design {
  const [before, after] = [coatedHeight(design.cup), coatedHeight(cup)];
  const fitted = (mm: number) => (mm === before ? after : Math.min(heightOf(cup), Math.round(((mm * after) / before) * 10) / 10));
  return {
    ...design,
    cup,
    areas: design.areas.map((area) => (area.kind === 'band' ? { ...area, from: fitted(area.from), to: fitted(area.to) } : area)),
    coats: design.coats.map((coat) => (coat.kind === 'decal' ? { ...coat, centre: fitted(coat.centre) } : coat)),
  };
}
