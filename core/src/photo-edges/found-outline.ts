import { outlineOf, outlineParts, type OutlinePart, type OutlinePoint, type CupHandles, type Picture } from '../cup-photo';
import type { Station } from '../vessel';
import { fitted, type Fitted } from './fitted';
import { enlarged, handlesOf, type Pose } from './pose';
import { apartAt, coarsePicture, finePicture, type SmallPicture } from './small-picture';

/** A cup that was found in a photo. */
export interface FoundOutline {
  readonly handles: CupHandles;
  /** parts of the outline that no edge shows well enough */
  readonly unsure: readonly OutlinePart[];
}

/** How large a cup may be in a photo, of its height; and by how much one that is looked for is larger than the one before. */
const SIZES = { least: 0.28, most: 1, step: 1.05 } as const;
/** Pixels of the coarse picture from one place that is looked at to the next. */
const STEP = 3;
/** Pixels outwards and inwards between which an edge is looked for, coarsely. */
const ACROSS = 3;
/** Of 255, over which an edge isn't more of an edge: one bright thing must not outdo a whole outline. */
const ENOUGH = 40;
/** Places that are looked at finely. */
const TRIES = 8;
/** Pixels of the coarse picture by which two places differ, one end or the other. */
const APART = 10;
/** A lip of bare steel before a grey wall, a dark foot on a dark table: without it the others are found the better. */
const LEFT_OUT = [null, 'rim', 'foot'] as const;
/** Share of a part's points that must lie on an edge. */
const SURE = 0.5;
/** And of all parts together, for a cup to be found at all. */
const AT_ALL = 0.45;

/** Finds a cup of these stations in a photo by its outline; null where nothing in it looks like one. */
export function foundOutline(picture: Picture, stations: readonly Station[]): FoundOutline | null {
  const [fine, coarse] = [finePicture(picture), coarsePicture(picture)];
  const found = likely(coarse, stations)
    .flatMap((pose) => LEFT_OUT.map((part) => fitted(fine, stations, enlarged(pose, coarse.times / fine.times), part)))
    .filter((fit) => fit !== null)
    .sort((one, other) => shown(other) - shown(one))
    .at(0);
  if (!found || shown(found) < AT_ALL) return null;
  return {
    handles: handlesOf(stations, found.pose, fine.times),
    unsure: outlineParts.filter((part) => found.on[part] < SURE),
  };
}

const shown = ({ on }: Fitted): number => outlineParts.reduce((sum, part) => sum + on[part], 0) / outlineParts.length;

/** Where an upright cup could be: the places whose outline lies most on edges, no two of them the same. */
function likely(picture: SmallPicture, stations: readonly Station[]): readonly Pose[] {
  const { width, height } = picture;
  const tall = stations[stations.length - 1].height;
  const all: { readonly pose: Pose; readonly by: number }[] = [];
  for (let size = SIZES.least; size <= SIZES.most; size *= SIZES.step) {
    const first: Pose = [width / 2, height / 2, 0, Math.log((size * height) / tall), 0, 0];
    const handles = handlesOf(stations, first);
    const outline = outlineOf(stations, handles);
    if (!outline) continue;
    const parts = outlineParts.map((part) => across(outline.filter((point) => point.part === part)));
    const half = Math.max(handles.rimRight[0] - handles.rimLeft[0], handles.footRight[0] - handles.footLeft[0]) / 2;
    for (let x = half; x <= width - half; x += STEP)
      for (let y = (size * height) / 2; y <= (1 - size / 2) * height; y += STEP) {
        all.push({ pose: [x, y, 0, first[3], 0, 0], by: onEdges(picture, parts, x - width / 2, y - height / 2) });
      }
  }
  const kept: Pose[] = [];
  for (const { pose } of all.sort((one, other) => other.by - one.by)) {
    if (kept.length >= TRIES) break;
    if (kept.every((other) => differ(pose, other, tall))) kept.push(pose);
  }
  return kept;
}

/** Pairs of points outside and inside of an outline, as x, y, x, y one after the other. */
const across = (outline: readonly OutlinePoint[]): Float64Array =>
  Float64Array.from(
    outline.flatMap(({ at: [x, y], out: [right, down] }) => {
      const [ox, oy] = [ACROSS * right, ACROSS * down];
      return [x + ox, y + oy, x - ox, y - oy];
    }),
  );

/** How much of an outline, moved by so much, lies on edges: asked for thousands of places. */
function onEdges(picture: SmallPicture, parts: readonly Float64Array[], right: number, down: number): number {
  let [all, weakest] = [0, Infinity];
  for (const pairs of parts) {
    let sum = 0;
    for (let i = 0; i < pairs.length; i += 4)
      sum += Math.min(
        1,
        apartAt(picture, pairs[i] + right, pairs[i + 1] + down, pairs[i + 2] + right, pairs[i + 3] + down) / ENOUGH,
      );
    const part = sum / (pairs.length / 4);
    all += part;
    weakest = Math.min(weakest, part);
  }
  // The weakest part counts as much as all together: a side that isn't there isn't made up for by a strong one.
  return all + parts.length * weakest;
}

/** Whether one end or the other of two cups lies elsewhere. */
const differ = ([x, y, , scale]: Pose, [otherX, otherY, , otherScale]: Pose, tall: number): boolean =>
  Math.hypot(x - otherX, y - otherY) + (tall / 2) * Math.abs(Math.exp(scale) - Math.exp(otherScale)) > APART;
