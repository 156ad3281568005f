import type { Area, AreaId } from '../areas';
import type { Fade } from '../design';
import { potSlots, type PotSlot } from '../fade';
import { rememberEachRecord } from '../remember';
import { bandRegion, boxOf, onGrid, ontoOneTurn, partOf, wallMeasure, type Region } from '../regions';
import { circumferenceAt, heightOf, type Cup } from '../vessel';
import type { PlannedArea } from './planned-areas';

/** A stretch of wall, mm from where its fade is measured from, without and with what is strewn over the neighbours. */
export interface FadeStretch {
  readonly from: number;
  readonly to: number;
  readonly strewnFrom: number;
  readonly strewnTo: number;
}

/** Where one pot of a fade lies. */
export interface FadeSlice {
  readonly id: AreaId;
  readonly name: string;
  readonly slot: PotSlot;
  readonly region: Region;
  /** cm² of its stretch */
  readonly area: number;
  /** mm of its stretch along the way */
  readonly along: number;
  /** two where the fade goes both ways */
  readonly stretches: readonly FadeStretch[];
}

/** How a way runs over an area: shares of it as wall, and as mm. */
interface Course {
  /** mm from where the way begins to where it ends */
  readonly length: number;
  /** the wall between two shares of the way */
  shape(from: number, to: number): Region;
  /** the same in mm as a maker measures it */
  stretches(from: number, to: number): readonly { readonly from: number; readonly to: number }[];
}

/** What of a fade says where its pots lie; nothing about colours. */
export type FadePlaces = Pick<Fade, 'stops' | 'way' | 'turns' | 'pots' | 'overlap'>;

/** cm²: what later areas cover wholly still gets its spoonful. */
const NEXT_TO_NOTHING = 0.05;

/** A pot's place on the cup, for coats and pictures. */
export const potId = (area: AreaId, pot: number): AreaId => `${area}/pot-${pot + 1}` as AreaId;

/** The area of a fade split up among its pots; what later areas take of it is missing from them. */
export function slicesOfFade(fade: FadePlaces, area: Area, planned: PlannedArea, cup: Cup): readonly FadeSlice[] {
  const course = courseOf(fade, area, planned, cup);
  const { way, turns } = fade;
  return potSlots(fade.stops, fade.pots).map((slot, i): FadeSlice => {
    const { from, to } = slot;
    return {
      id: potId(planned.id, i),
      name: `${planned.name}, pot ${i + 1}`,
      slot,
      ...stretchOf(planned, { from, to, of: area, cup, way, turns }),
      along: (to - from) * course.length,
      stretches: stretchesOf(course, slot, strewnOver(slot, fade, course)),
    };
  });
}

/** cm² that each pot of a fade is strewn on, what lies over its neighbours with it: for who measures a stretch of wall. */
export function strewnAreas(fade: FadePlaces, area: Area, planned: PlannedArea, cup: Cup): readonly number[] {
  const course = courseOf(fade, area, planned, cup);
  const { way, turns } = fade;
  return potSlots(fade.stops, fade.pots).map((slot) => {
    const { from, to } = strewnOver(slot, fade, course);
    return Math.max(NEXT_TO_NOTHING, stretchOf(planned, { from, to, of: area, cup, way, turns }).area);
  });
}

/** Shares of the way a pot is strewn on: half the overlap to either side of its own. */
function strewnOver({ from, to }: PotSlot, { overlap }: FadePlaces, { length }: Course): { from: number; to: number } {
  const half = overlap / 2 / length;
  return { from: Math.max(0, from - half), to: Math.min(1, to + half) };
}

/** A stretch of an area along a fade's way. Clipping takes most of a fade's time: a stop that moves cuts only its own legs anew. */
const stretchOf = rememberEachRecord(
  (
    planned: PlannedArea,
    { of, cup, way, turns, from, to }: Pick<Fade, 'way' | 'turns'> & { of: Area; cup: Cup; from: number; to: number },
  ): { readonly region: Region; readonly area: number } => {
    const region = partOf(planned.region, courseOf({ way, turns }, of, planned, cup).shape(from, to));
    return { region, area: wallMeasure(cup.stations).areaOf(region) };
  },
  64,
);

/** Both ends of each stretch, with and without what is strewn over the neighbours. */
function stretchesOf(
  course: Course,
  slot: PotSlot,
  strewn: { readonly from: number; readonly to: number },
): readonly FadeStretch[] {
  const wide = course.stretches(strewn.from, strewn.to);
  return course.stretches(slot.from, slot.to).map(({ from, to }, i) => {
    // In the middle of a fade both ways two stretches may have become one.
    const around = wide.find((one) => one.from <= from + 1e-9 && one.to >= to - 1e-9) ?? wide[Math.min(i, wide.length - 1)];
    return { from, to, strewnFrom: around.from, strewnTo: around.to };
  });
}

function courseOf(fade: Pick<Fade, 'way' | 'turns'>, area: Area, planned: PlannedArea, cup: Cup): Course {
  const [low, high] = [planned.from ?? 0, planned.to ?? heightOf(cup)];
  switch (fade.way) {
    case 'round':
      return roundCourse(area, planned, low, high, cup);
    case 'spiral':
      return spiralCourse(fade, area, low, high, cup);
    default:
      return upCourse(fade.way, low, high, heightOf(cup));
  }
}

/** Teeth and waves reach past both ends: what lies beyond belongs to the first and the last pot. */
function upCourse(way: 'up' | 'down' | 'middle', low: number, high: number, rim: number): Course {
  const at = (share: number) => low + (high - low) * share;
  const band = (from: number, to: number) =>
    bandRegion(from <= 1e-9 ? 0 : onGrid(at(from)), to >= 1 - 1e-9 ? rim : onGrid(at(to)));
  const pieces = (from: number, to: number): readonly (readonly [number, number])[] => {
    if (way === 'up') return [[from, to]];
    if (way === 'down') return [[1 - to, 1 - from]];
    if (from <= 1e-9) return [[0.5 - to / 2, 0.5 + to / 2]];
    return [
      [0.5 - to / 2, 0.5 - from / 2],
      [0.5 + from / 2, 0.5 + to / 2],
    ];
  };
  return {
    length: way === 'middle' ? (high - low) / 2 : high - low,
    shape: (from, to) => pieces(from, to).flatMap(([a, b]) => band(a, b)),
    stretches: (from, to) => pieces(from, to).map(([a, b]) => ({ from: at(a), to: at(b) })),
  };
}

/** Round the cup from the area's left edge, or from the seam where it has none; mm along the tape at its middle height. */
function roundCourse(area: Area, planned: PlannedArea, low: number, high: number, cup: Cup): Course {
  const { start, width } = area.kind === 'wedge' ? { start: area.from, width: area.width } : turnOf(planned.own);
  const lean = area.kind === 'wedge' ? area.lean / (high - low) : 0;
  const tape = circumferenceAt(cup.stations, (low + high) / 2);
  const length = (tape * width) / 360;
  const rim = heightOf(cup);
  // Only as high as the area: carried on over the whole cup, a lean winds round without end.
  const [bottom, above] = [Math.max(0, low - 1), Math.min(rim, high + 1)].map(onGrid);
  const spare = Math.min(1, (360 - width) / 2);
  const shift = (height: number) => lean * (height - low);
  return {
    length,
    shape: (from, to) => {
      const left = onGrid(start + width * from - (from <= 1e-9 ? spare : 0));
      const right = onGrid(start + width * to + (to >= 1 - 1e-9 ? spare : 0));
      const [foot, top] = [onGrid(shift(bottom)), onGrid(shift(above))];
      return ontoOneTurn([
        [
          [
            [left + foot, bottom],
            [right + foot, bottom],
            [right + top, above],
            [left + top, above],
            [left + foot, bottom],
          ],
        ],
      ]);
    },
    stretches: (from, to) => [{ from: from * length, to: to * length }],
  };
}

/** Along the stripes of a spiral, or winding round an area of any other kind; mm along the stripe. */
function spiralCourse(fade: Pick<Fade, 'turns'>, area: Area, low: number, high: number, cup: Cup): Course {
  const own = area.kind === 'spiral' ? area : null;
  const pitch = own?.pitch ?? (high - low) / fade.turns;
  const stripes = own?.stripes ?? 1;
  const sign = own?.hand === 'left' ? -1 : 1;
  const thick = pitch / stripes;
  // A stripe begins before its middle line meets the lower edge, and ends after it meets the upper.
  const [first, last] = [-0.5 / stripes, (high - low) / pitch + 0.5 / stripes];
  const length = (last - first) * Math.hypot(circumferenceAt(cup.stations, (low + high) / 2), pitch);
  return {
    length,
    shape: (from, to) =>
      ontoOneTurn(
        Array.from({ length: stripes }, (_, stripe) => {
          const corner = (share: number, side: number) => {
            const turn = first + (last - first) * share;
            const angle = (own?.start ?? 0) + (360 * stripe) / stripes + sign * 360 * turn;
            return [onGrid(angle), onGrid(low + pitch * turn + side * thick)] as const;
          };
          const begin = corner(from, -0.5);
          return [[begin, corner(to, -0.5), corner(to, 0.5), corner(from, 0.5), begin]];
        }),
      ),
    stretches: (from, to) => [{ from: from * length, to: to * length }],
  };
}

/** How far round a region reaches: beyond its widest gap. A whole turn begins at the seam. */
function turnOf(region: Region): { readonly start: number; readonly width: number } {
  const spans = region.map(([outline]) => boxOf(outline)).sort((one, other) => one.left - other.left);
  let [gap, start, reach] = [0, 0, spans.at(-1)?.right ?? 360];
  reach = Math.max(...spans.map(({ right }) => right)) - 360;
  for (const { left, right } of spans) {
    if (left - reach > gap) [gap, start] = [left - reach, left];
    reach = Math.max(reach, right);
  }
  return gap < 0.01 ? { start: 0, width: 360 } : { start, width: 360 - gap };
}
