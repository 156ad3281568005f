import type { AreaId, Wedge } from '../areas';
import { footLevel, topLevel, type Level } from '../vessel';
import { withoutArea } from './change-areas';
import type { Design } from './design';

/** Sections to lay round: how many, how wide each (degrees), and how far they lean. */
export interface SectionsWish {
  readonly ids: readonly AreaId[];
  readonly width: number;
  readonly lean: number;
  /** degrees from the seam to the first */
  readonly start: number;
  readonly lower?: Level;
  readonly upper?: Level;
}

/** A design with sections side by side round the wall, instead of the sections it had unless they are locked. */
export function withSections(design: Design, wish: SectionsWish): Design {
  const cleared = design.areas
    .filter((area) => area.kind === 'wedge' && !area.locked)
    .reduce((rest, area) => withoutArea(rest, area.id), design);
  const sections = wish.ids.map((id, index): Wedge => ({
    kind: 'wedge',
    id,
    name: `Section ${index + 1}`,
    locked: false,
    masked: false,
    // Each line is worked out once, so that neighbours share it to the last digit and leave no sliver.
    from: lineAt(wish, index) % 360,
    width: lineAt(wish, index + 1) - lineAt(wish, index),
    lean: wish.lean,
    lower: wish.lower ?? footLevel(0),
    upper: wish.upper ?? topLevel,
  }));
  return { ...cleared, areas: [...cleared.areas, ...sections] };
}

/** Binary fractions of a degree add up exactly, so that the last section ends where the first begins. */
const lineAt = (wish: SectionsWish, index: number): number =>
  Math.round((wish.start + (wish.width * wish.ids.length * index) / wish.ids.length) * 2 ** 20) / 2 ** 20;

/** The unlocked sections of a design made equal: together once round, in their order, keeping the first one's line. */
export function withSectionsEqual(design: Design): Design {
  const sections = design.areas.filter((area): area is Wedge => area.kind === 'wedge');
  if (sections.length === 0 || sections.some((area) => area.locked)) return design;
  const wish = { ids: sections.map(({ id }) => id), width: 360 / sections.length, lean: 0, start: sections[0].from };
  let index = -1;
  return {
    ...design,
    areas: design.areas.map((area) => {
      if (area.kind !== 'wedge') return area;
      index += 1;
      return { ...area, from: lineAt(wish, index) % 360, width: lineAt(wish, index + 1) - lineAt(wish, index) };
    }),
  };
}

/**
 * The sections of a design in another order round the cup: each keeps its width, its blend and its coats, and they
 * stand side by side from where the first one stood. Locked ones keep all in place.
 * @param order ids of all sections that move, in their new order
 */
export function withSectionsInOrder(design: Design, order: readonly string[]): Design {
  const sections = design.areas.filter((area): area is Wedge => area.kind === 'wedge');
  const moving = order.flatMap((id) => sections.filter((section) => section.id === id));
  if (moving.length === 0 || moving.some(({ locked }) => locked)) return design;
  const places = sections.filter(({ id }) => order.includes(id)).sort((one, other) => one.from - other.from);
  // Sections that leave gaps keep them: only where all are alike can each take another's place.
  const alike = places.every(({ width, lean }) => width === places[0].width && lean === places[0].lean);
  const froms = new Map<string, number>();
  let next = places[0].from;
  moving.forEach((section, i) => {
    froms.set(section.id, alike ? places[i].from : next % 360);
    next += section.width;
  });
  return {
    ...design,
    areas: design.areas.map((area) => {
      const from = area.kind === 'wedge' ? froms.get(area.id) : undefined;
      return area.kind === 'wedge' && from !== undefined ? { ...area, from } : area;
    }),
  };
}

/** Sections side by side, each as wide as its weight has it, together as wide as they were. */
export interface WeighedSection {
  readonly id: AreaId;
  /** degrees */
  readonly from: number;
  readonly width: number;
}

/**
 * How sections share their stretch of the cup.
 * @param weights by id; one that has none weighs 1
 */
export function weighedSections(
  design: Pick<Design, 'areas'>,
  ids: readonly string[],
  weights: Readonly<Record<string, number>>,
): readonly WeighedSection[] {
  const sections = design.areas
    .filter((area): area is Wedge => area.kind === 'wedge' && ids.includes(area.id))
    .sort((one, other) => one.from - other.from);
  const weightOf = ({ id }: Wedge) => Math.max(0, weights[id] ?? 1);
  const whole = sections.reduce((sum, one) => sum + weightOf(one), 0);
  const width = sections.reduce((sum, one) => sum + one.width, 0);
  let before = 0;
  // Lines are worked out once, on binary fractions, so that neighbours share them.
  const line = () => Math.round((sections[0].from + (width * before) / whole) * 2 ** 20) / 2 ** 20;
  return sections.map((section) => {
    const from = line();
    before += weightOf(section);
    return { id: section.id, from: from % 360, width: line() - from };
  });
}

/** A design with its sections as wide as they weigh; locked ones keep all in place. */
export function withSectionsWeighed(design: Design, ids: readonly string[], weights: Readonly<Record<string, number>>): Design {
  if (design.areas.some((area) => area.kind === 'wedge' && area.locked && ids.includes(area.id))) return design;
  const weighed = new Map(weighedSections(design, ids, weights).map((one) => [one.id, one]));
  return {
    ...design,
    areas: design.areas.map((area) => {
      const one = weighed.get(area.id);
      return area.kind === 'wedge' && one ? { ...area, from: one.from, width: one.width } : area;
    }),
  };
}
