import {
  areaAside,
  areaMirrored,
  areaMoved,
  areaSqueezed,
  areaWithLevels,
  plainEdge,
  reachedByBands,
  startingArea,
  type Area,
  type AreaId,
  type AreaKindName,
  type Band,
  type WallPlace,
} from '../areas';
import { coatedHeight, footLevel, heightOf, topLevel, wallArea, type Cup, type Level } from '../vessel';
import type { CoatHeights } from './coat';
import type { Design } from './design';
import { inkForWall } from './ink-for-wall';

/** A design with one area more, on top of the others. */
export function withArea(design: Design, id: AreaId, kind: AreaKindName): Design {
  const number = freeNumber(
    design,
    design.areas.filter((area) => area.kind === kind).length + 1,
    (n) => startingArea(kind, id, n, design.cup, 0).name,
  );
  const reached = reachedByBands(design.areas, design.cup);
  return { ...design, areas: [...design.areas, startingArea(kind, id, number, design.cup, reached)] };
}

/** A design with an area changed; a locked one only lets itself be unlocked. */
export function withAreaChanged(design: Design, id: AreaId, change: (area: Area) => Area): Design {
  return {
    ...design,
    areas: design.areas.map((area) => {
      if (area.id !== id) return area;
      const changed = change(area);
      return area.locked && changed.locked ? area : changed;
    }),
  };
}

/** A design with an area moved by one of its handles. */
export const withHandleMoved = (design: Design, id: AreaId, key: string, to: WallPlace): Design =>
  withAreaChanged(design, id, (area) => areaMoved(area, key, to, design.cup));

/** A design with an area laid further up or down the order; further down the list lies on top. */
export function withAreaOrder(design: Design, from: number, to: number): Design {
  if (from === to || to < 0 || to >= design.areas.length) return design;
  const areas = [...design.areas];
  areas.splice(to, 0, ...areas.splice(from, 1));
  return { ...design, areas };
}

/** A design with an area twice: the copy lies right on it, a step aside where it can be seen; its blend comes along. */
export const withAreaTwice = (design: Design, id: AreaId, copy: AreaId): Design => withCopy(design, id, copy, areaAside);

/** A design with an area and the same mirrored, right on it; unchanged where that would be the same again. */
export const withAreaMirrored = (design: Design, id: AreaId, copy: AreaId): Design => withCopy(design, id, copy, areaMirrored);

function withCopy(design: Design, id: AreaId, copy: AreaId, made: (source: Area) => Area | null): Design {
  const index = design.areas.findIndex((area) => area.id === id);
  const source = design.areas.at(index);
  const other = source && index >= 0 ? made(source) : null;
  if (!source || !other) return design;
  // What ends in a number already goes on counting: “Section 1” has “Section 2” for a copy.
  const [, own, counted] = /^(.*?)(?: (\d{1,3}))?$/.exec(source.name) ?? [];
  const named = (number: number) => `${own.slice(0, 56)} ${number}`;
  const twin = { ...other, id: copy, name: named(freeNumber(design, Number(counted ?? 1) + 1, named)), locked: false };
  const blend = design.blends.find((one) => one.area === id);
  const fade = design.fades.find((one) => one.area === id);
  return {
    ...design,
    areas: design.areas.toSpliced(index + 1, 0, twin),
    blends: blend ? [...design.blends, { ...blend, area: copy }] : design.blends,
    fades: fade ? [...design.fades, { ...fade, area: copy }] : design.fades,
    coats: design.coats.map((coat) =>
      'on' in coat && coat.on !== 'all' && coat.on.includes(id) ? { ...coat, on: [...coat.on, copy] } : coat,
    ),
  };
}

/** The wall split into bands of equal height instead of the bands it had; other areas stay. */
export function withBandsEven(design: Design, ids: readonly AreaId[]): Design {
  const top = coatedHeight(design.cup);
  const edge = (index: number): Level => (index === ids.length ? topLevel : footLevel(Math.round((top * index) / ids.length)));
  const bands = ids.map((id, index): Band => ({
    kind: 'band',
    id,
    name: `Band ${index + 1}`,
    locked: false,
    masked: false,
    lower: plainEdge(edge(index)),
    upper: plainEdge(edge(index + 1)),
  }));
  const cleared = design.areas
    .filter((area) => area.kind === 'band' && !area.locked)
    .reduce((rest, area) => withoutArea(rest, area.id), design);
  return { ...cleared, areas: [...bands, ...cleared.areas] };
}

/** A design without an area; its blend goes with it, and coats that lay on it alone go on everything. */
export function withoutArea(design: Design, id: AreaId): Design {
  return {
    ...design,
    areas: design.areas
      .filter((area) => area.id !== id)
      .map((area) => (area.kind === 'scatter' && area.inside === id ? { ...area, inside: null } : area)),
    blends: design.blends.filter((blend) => blend.area !== id),
    fades: design.fades.filter((fade) => fade.area !== id),
    coats: design.coats.map((was) => {
      const coat = was.kind === 'strings' && was.area === id ? { ...was, area: null } : was;
      if (!('on' in coat) || coat.on === 'all' || !coat.on.includes(id)) return coat;
      const on = coat.on.filter((other) => other !== id);
      return { ...coat, on: on.length > 0 ? on : 'all' };
    }),
  };
}

/** The first number from one on whose name no area has yet. */
function freeNumber(design: Design, from: number, named: (number: number) => string): number {
  const names = new Set(design.areas.map((area) => area.name));
  let number = from;
  while (names.has(named(number)) && named(number) !== named(number + 1)) number += 1;
  return number;
}

/**
 * The design on another cup. Levels counted as a share follow by themselves; those in mm keep their
 * share of the coated wall too, to a tenth of a mm.
 */
export function withCupFitted(design: Design, cup: Cup): Design {
  const [before, after] = [coatedHeight(design.cup), coatedHeight(cup)];
  const fitted = (mm: number) => (mm === before ? after : Math.min(heightOf(cup), Math.round(((mm * after) / before) * 10) / 10));
  const level = (one: Level): Level => (one.by === 'share' ? one : { ...one, mm: fitted(one.mm) });
  const heights = ({ from, to }: CoatHeights): CoatHeights => ({
    from: fitted(from),
    to: Math.max(fitted(from) + 1, fitted(to)),
  });
  return {
    ...design,
    cup,
    areas: design.areas.map((area) => areaSqueezed(areaWithLevels(area, level), after / before)),
    coats: design.coats.map((was) => {
      const coat = inkForWall(was, wallArea(cup.stations) / wallArea(design.cup.stations));
      if ('centre' in coat) return { ...coat, centre: fitted(coat.centre) };
      if (coat.kind === 'strings' && coat.reach) return { ...coat, reach: heights(coat.reach) };
      if (!('between' in coat) || !coat.between) return coat;
      return { ...coat, between: heights(coat.between) };
    }),
  };
}
