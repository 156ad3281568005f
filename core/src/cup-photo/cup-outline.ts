import type { Station } from '../vessel';
import { HandlesError, seenCup, type CupHandles, type PicturePoint, type SeenCup } from './seen-cup';

/** The four parts of a cup's outline. */
export const outlineParts = ['left', 'right', 'rim', 'foot'] as const;
export type OutlinePart = (typeof outlineParts)[number];

/** A point of the outline, and which way is out there. */
export interface OutlinePoint {
  readonly part: OutlinePart;
  readonly at: PicturePoint;
  /** of length one */
  readonly out: PicturePoint;
}

/** Points of each side, and of each end. */
const OF_SIDE = 28;
const OF_END = 15;
/** Degrees aside as far as an end's outline is looked at: nearer to the corners it runs along the sides. */
const END_ASIDE = 62;

/**
 * The outline of a cup as handles have it: up its left side, along the upper edge of its rim, down its right side, and back along
 * the lower edge of its foot; null where no cup looks so.
 */
export function outlineOf(stations: readonly Station[], handles: CupHandles): readonly OutlinePoint[] | null {
  const cup = cupBy(stations, handles);
  if (!cup) return null;
  const height = stations[stations.length - 1].height;
  const left = side(cup, height, 'left');
  const right = side(cup, height, 'right').reverse();
  return [...left, ...end(cup, height, 'rim', cup.up), ...right, ...end(cup, 0, 'foot', [-cup.up[0], -cup.up[1]]).reverse()];
}

/** The same as a line to be drawn, through the handles; between them alone where no cup looks so. */
export function outlineLine(stations: readonly Station[], handles: CupHandles): readonly PicturePoint[] {
  const outline = outlineOf(stations, handles) ?? [];
  const { footLeft, rimLeft, rimRight, footRight } = handles;
  const of = (part: OutlinePart) => outline.filter((point) => point.part === part).map(({ at }) => at);
  return [footLeft, ...of('left'), rimLeft, ...of('rim'), rimRight, ...of('right'), footRight, ...of('foot')];
}

/** From the foot up. */
function side(cup: SeenCup, height: number, part: 'left' | 'right'): OutlinePoint[] {
  const aside = part === 'right' ? 90 : -90;
  const step = height / OF_SIDE / 2;
  return Array.from({ length: OF_SIDE }, (_, i) => {
    const at = (height * (i + 0.5)) / OF_SIDE;
    const along = between(cup.point(aside, at - step), cup.point(aside, at + step));
    // Upwards along the right side, out is to the right of the way.
    return { part, at: cup.point(aside, at), out: part === 'right' ? [-along[1], along[0]] : [along[1], -along[0]] };
  });
}

/** From left to right. */
const end = (cup: SeenCup, at: number, part: 'rim' | 'foot', out: PicturePoint): OutlinePoint[] =>
  Array.from({ length: OF_END }, (_, i) => ({
    part,
    at: outermost(cup, END_ASIDE * ((2 * (i + 0.5)) / OF_END - 1), at, out),
    out,
  }));

/** Of an end's near and far edge the one that is seen against what is behind the cup. */
function outermost(cup: SeenCup, aside: number, at: number, out: PicturePoint): PicturePoint {
  const [near, far] = [cup.point(aside, at), cup.point(180 - aside, at)];
  const farther = (far[0] - near[0]) * out[0] + (far[1] - near[1]) * out[1] > 0;
  return farther ? far : near;
}

function cupBy(stations: readonly Station[], handles: CupHandles): SeenCup | null {
  try {
    return seenCup(stations, handles);
  } catch (error) {
    if (error instanceof HandlesError) return null;
    throw error;
  }
}

/** The way from one point to another, of length one. */
function between([x0, y0]: PicturePoint, [x1, y1]: PicturePoint): PicturePoint {
  const long = Math.hypot(x1 - x0, y1 - y0) || 1;
  return [(x1 - x0) / long, (y1 - y0) / long];
}
