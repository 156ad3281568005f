import { areaWithLevels, MOST_MOTIFS, type Area, type Edge } from '../areas';
import { withCupFitted, withoutArea, type Coat, type CoatHeights, type Design } from '../design';
import { circumferenceAt, coatedHeight, cupKinds, heightOf, levelHeight, wallArea, type Cup, type Level } from '../vessel';

/** How what is laid out on one cup goes onto another. */
export interface RefitWays {
  /** edges at the same share of the wall, or at the same mm from the foot; of locked areas always the latter */
  readonly heights: 'share' | 'mm';
  /** teeth and waves: as many as there were, or as wide as they were */
  readonly teeth: 'number' | 'width';
  /** motifs: as many, larger or smaller with the wall; or of the same size, as close together as they were */
  readonly motifs: 'scaled' | 'same size';
}

/** As a maker would expect, who says nothing else. */
export const usualWays: RefitWays = { heights: 'share', teeth: 'number', motifs: 'scaled' };

const tenth = (mm: number): number => Math.round(10 * mm) / 10;
const within = (least: number, value: number, most: number): number => Math.min(most, Math.max(least, value));

/** Areas that a cup has no place for: an underside on a sleeve, a handle on a cup without one. */
export const homeless = ({ areas }: Design, cup: Cup): readonly Area[] =>
  areas.filter(({ kind }) => (kind === 'base' && !cupKinds[cup.shape].underside) || (kind === 'grip' && !cup.handle));

/** A design laid out on another cup, without what that has no place for; what it is poured stays as it was. */
export function onCup(whole: Design, cup: Cup, ways: RefitWays): Design {
  const design = homeless(whole, cup).reduce((rest, { id }) => withoutArea(rest, id), whole);
  const fitted = withCupFitted(design, cup);
  const areas = design.areas.map((area, i) => {
    const own =
      ways.heights === 'mm' || area.locked ? areaWithLevels(area, (level) => atSameHeight(level, design.cup)) : fitted.areas[i];
    return withMotifs(withTeeth(own, area, design.cup, cup, ways), area, design.cup, cup, ways);
  });
  const coats =
    ways.heights === 'share' ? fitted.coats : fitted.coats.map((coat, i) => atSameHeights(coat, design.coats[i], cup));
  return { ...fitted, areas, coats };
}

/** A level that stays where it is, whatever is above it; what reached the rim still does. */
const atSameHeight = (level: Level, cup: Cup): Level => {
  const height = levelHeight(level, cup);
  return height >= coatedHeight(cup) ? { by: 'rim', mm: 0 } : { by: 'foot', mm: Math.max(0, tenth(height)) };
};

/** Where coats lie between heights in mm, those stay, as far as there is wall. */
function atSameHeights(coat: Coat, before: Coat, cup: Cup): Coat {
  const top = heightOf(cup);
  const heights = ({ from, to }: CoatHeights): CoatHeights => ({ from: Math.min(from, top - 1), to: Math.min(to, top) });
  if ('centre' in coat && 'centre' in before) return { ...coat, centre: Math.min(before.centre, top) };
  if (coat.kind === 'strings' && before.kind === 'strings' && before.reach) return { ...coat, reach: heights(before.reach) };
  if ('between' in coat && 'between' in before && before.between) return { ...coat, between: heights(before.between) } as Coat;
  return coat;
}

/** mm round the cup at a level, as far as there is a cup. */
const girth = (level: Level, cup: Cup): number =>
  circumferenceAt(cup.stations, within(0, levelHeight(level, cup), heightOf(cup)));

function withTeeth(area: Area, before: Area, from: Cup, to: Cup, { teeth }: RefitWays): Area {
  if (teeth === 'number') return area;
  const times = (was: Level, now: Level) => girth(now, to) / girth(was, from);
  if (area.kind === 'wave' && before.kind === 'wave')
    return { ...area, waves: within(1, Math.round(before.waves * times(before.level, area.level)), 60) };
  if (area.kind !== 'band' || before.kind !== 'band') return area;
  const edge = (now: Edge, was: Edge): Edge =>
    now.teeth && was.teeth
      ? { ...now, teeth: { ...now.teeth, count: within(1, Math.round(was.teeth.count * times(was.level, now.level)), 200) } }
      : now;
  return { ...area, lower: edge(area.lower, before.lower), upper: edge(area.upper, before.upper) };
}

/** As much larger or smaller as the wall is where they stand, up or round, whichever is less. */
function withMotifs(area: Area, before: Area, from: Cup, to: Cup, { motifs }: RefitWays): Area {
  if (area.kind === 'window' && before.kind === 'window')
    return motifs === 'scaled' ? { ...area, width: scaledBy(area.width, from, to, [[before.level, area.level]]) } : area;
  if (area.kind !== 'scatter' || before.kind !== 'scatter') return area;
  if (motifs === 'same size') {
    const count = Math.round(area.count * (wallArea(to.stations) / wallArea(from.stations)));
    return { ...area, count: within(1, count, MOST_MOTIFS) };
  }
  const at = [
    [before.lower, area.lower],
    [before.upper, area.upper],
  ] as const;
  return { ...area, width: scaledBy(area.width, from, to, at), clearance: tenth(area.clearance * scaleAt(from, to, at)) };
}

type Levels = readonly (readonly [was: Level, is: Level])[];

const scaleAt = (from: Cup, to: Cup, at: Levels): number =>
  Math.min(coatedHeight(to) / coatedHeight(from), ...at.map(([was, is]) => girth(is, to) / girth(was, from)));

const scaledBy = (width: number, from: Cup, to: Cup, at: Levels): number => Math.max(1, tenth(width * scaleAt(from, to, at)));
