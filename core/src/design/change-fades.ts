import type { AreaId } from '../areas';
import type { ShelfItemId } from '../stock';
import type { Design } from './design';
import { MOST_POTS, MOST_STOPS, STOPS_APART, type Fade, type FadeStop, type WeighedPot } from './fade';

/** A first fade is laid in so many pots, strewn so many mm over each other. */
const FIRST = { pots: 5, overlap: 6 } as const;

/**
 * A design with an area that fades: its blend, as deep as it lies, thinning out. The blend itself is kept for when the
 * fade is taken off again.
 * @param depth flakes deep the blend lies now
 */
export function withFadeBegun(design: Design, id: AreaId, depth: number): Design {
  const parts = design.blends.find(({ area }) => area === id)?.parts;
  return parts ? withFadeOf(design, id, depth, { from: { parts, cover: 1 }, to: { parts, cover: 0 } }) : design;
}

/** Flakes deep a fade begins at where no blend says it: 5 % stays bare. */
const USUAL_DEPTH = 3;

/** A design with an area that fades from one jar into another, whether or not it has a blend. */
export const withFadeBetween = (design: Design, id: AreaId, from: ShelfItemId, to: ShelfItemId): Design =>
  withFadeOf(design, id, USUAL_DEPTH, {
    from: { parts: [{ item: from, ml: 1 }], cover: 1 },
    to: { parts: [{ item: to, ml: 1 }], cover: 1 },
  });

type Ends = Readonly<Record<'from' | 'to', Pick<FadeStop, 'parts' | 'cover'>>>;

function withFadeOf(design: Design, id: AreaId, depth: number, { from, to }: Ends): Design {
  const area = design.areas.find((one) => one.id === id);
  if (!area || design.fades.some((fade) => fade.area === id)) return design;
  const fade: Fade = {
    area: id,
    way: area.kind === 'spiral' ? 'spiral' : 'up',
    turns: 2,
    stops: [
      { at: 0, ...from, base: null },
      { at: 1, ...to, base: null },
    ],
    ...FIRST,
    depth: Math.min(8, Math.max(0.1, Number(depth.toFixed(2)))),
    castOff: false,
  };
  return { ...design, fades: [...design.fades, fade] };
}

/** A design with a fade set otherwise. What was weighed was weighed for the pots it had: with other ones it is gone. */
export function withFade(design: Design, id: AreaId, change: (fade: Fade) => Fade): Design {
  const fade = design.fades.find(({ area }) => area === id);
  const changed = fade && change(fade);
  if (!fade || !changed || changed === fade) return design;
  const stays = !fade.weighed || changed.weighed !== fade.weighed || potsAsked(changed) === potsAsked(fade);
  const taken = stays ? changed : asTheStopsSay(changed);
  return { ...design, fades: design.fades.map((one) => (one === fade ? taken : one)) };
}

/** All that says what is in which pot; what is painted under them doesn't. */
const potsAsked = ({ way, turns, pots, overlap, depth, castOff, stops }: Fade): string =>
  JSON.stringify([way, turns, pots, overlap, depth, castOff, stops.map(({ at, parts, cover }) => [at, parts, cover])]);

/** The fade with its pots worked out again, and none as it was weighed. */
export const asTheStopsSay = (fade: Fade): Fade => ({ ...fade, weighed: undefined });

/** The fade with a pot as it was weighed, in place of what was weighed of it before. */
export const withWeighedPot = (fade: Fade, weighed: WeighedPot): Fade => ({
  ...fade,
  weighed: [...(fade.weighed ?? []).filter(({ pot }) => pot !== weighed.pot), weighed].sort((one, other) => one.pot - other.pot),
});

/** The area in one blend again, the one it had before. */
export const withoutFade = (design: Design, id: AreaId): Design => ({
  ...design,
  fades: design.fades.filter(({ area }) => area !== id),
});

const withStop = (fade: Fade, stop: number, change: (stop: FadeStop) => FadeStop): Fade => ({
  ...fade,
  stops: fade.stops.map((one, i) => (i === stop ? change(one) : one)),
});

/** As many pots as the stops take at least. */
const withRoom = (fade: Fade): Fade => ({
  ...fade,
  pots: Math.min(MOST_POTS, Math.max(fade.pots, fade.stops.filter(({ cover }) => cover > 0).length)),
});

/** A stop dragged along the way, as far as its neighbours let it. */
export function withStopDragged(fade: Fade, stop: number, at: number): Fade {
  const least = stop === 0 ? 0 : fade.stops[stop - 1].at + STOPS_APART;
  const most = stop === fade.stops.length - 1 ? 1 : fade.stops[stop + 1].at - STOPS_APART;
  const place = Number(Math.min(most, Math.max(least, at)).toFixed(3));
  return place === fade.stops[stop].at ? fade : withStop(fade, stop, (one) => ({ ...one, at: place }));
}

/** A stop put where it was typed; the design's own check says when it lies wrong. */
export const withStopAt = (fade: Fade, stop: number, at: number): Fade => withStop(fade, stop, (one) => ({ ...one, at }));

export const withStopParts = (fade: Fade, stop: number, parts: FadeStop['parts']): Fade =>
  withRoom(withStop(fade, stop, (one) => ({ ...one, parts, cover: one.cover === 0 ? 1 : one.cover })));

export const withStopCover = (fade: Fade, stop: number, cover: number): Fade =>
  withRoom(withStop(fade, stop, (one) => ({ ...one, cover })));

/** One stop more, in the widest gap, as its neighbour before. */
export function withStopAdded(fade: Fade): Fade {
  if (fade.stops.length >= MOST_STOPS) return fade;
  const gaps = fade.stops.slice(1).map(({ at }, i) => at - fade.stops[i].at);
  const before = gaps.indexOf(Math.max(...gaps));
  const { at } = fade.stops[before];
  const stop = { ...fade.stops[before], cover: fade.stops[before].cover || 1, at: Number((at + gaps[before] / 2).toFixed(3)) };
  return withRoom({ ...fade, stops: fade.stops.toSpliced(before + 1, 0, stop) });
}

export const withoutStop = (fade: Fade, stop: number): Fade =>
  fade.stops.length > 2 ? { ...fade, stops: fade.stops.toSpliced(stop, 1) } : fade;

/** The same colours the other way round. */
export const turnedRound = (fade: Fade): Fade => ({
  ...fade,
  stops: fade.stops.map((stop) => ({ ...stop, at: Number((1 - stop.at).toFixed(3)) })).reverse(),
});

/** Stops where the eye has them. */
export const withStopsAt = (fade: Fade, at: readonly number[]): Fade => ({
  ...fade,
  stops: fade.stops.map((stop, i) => ({ ...stop, at: at[i] ?? stop.at })),
});

/** How a fall thins: heavy at the rim, most of it within the first third, the last flakes far down. */
const FALL = [
  { at: 0, cover: 1 },
  { at: 0.3, cover: 0.5 },
  { at: 0.65, cover: 0.16 },
  { at: 1, cover: 0 },
] as const;

/** The first stop's mix falling from the rim. */
export const asFall = (fade: Fade): Fade =>
  withRoom({
    ...fade,
    way: 'down',
    stops: FALL.map(({ at, cover }) => ({ ...fade.stops[0], at, cover })),
  });

/**
 * A design with another base colour under a stop, or the coats' own again. The last base coat there before the glitter
 * is told to lay the fade's paints.
 */
export function withStopBase(design: Design, id: AreaId, stop: number, base: ShelfItemId | null): Design {
  const changed = withFade(design, id, (fade) => withStop(fade, stop, (one) => ({ ...one, base })));
  if (base === null) return changed;
  const glitter = changed.coats.findIndex((coat) => coat.kind === 'glitter' && (coat.on === 'all' || coat.on.includes(id)));
  const before = glitter < 0 ? changed.coats.length : glitter;
  const last = changed.coats.findLastIndex(
    (coat, i) => i < before && coat.kind === 'base' && (coat.on === 'all' || coat.on.includes(id)),
  );
  return {
    ...changed,
    coats: changed.coats.map((coat, i) => (i === last && coat.kind === 'base' ? { ...coat, fading: true } : coat)),
  };
}
