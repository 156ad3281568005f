import type { Cup } from '../vessel';
import { LOOK_DOWN, radiusAt, rowOf, type Stance } from './projection';

/** How a handle stands off its cup: the middle line of its loop from the lower joint to the upper, and how thick it is. */
export interface HandleLoop {
  /** degrees from the seam */
  readonly angle: number;
  /** mm, of its cross-section, taken as round */
  readonly radius: number;
  readonly line: readonly LoopPoint[];
}

/** mm from the cup's axis, and above the foot. */
export interface LoopPoint {
  readonly out: number;
  readonly up: number;
}

const POINTS = 40;

/**
 * The loop of a handle: half an ellipse over its joints that is as long as the tape along its outside says, less what the
 * outside is longer than the middle. Null without a handle.
 */
export function handleLoop({ handle, stations }: Pick<Cup, 'handle' | 'stations'>): HandleLoop | null {
  if (!handle) return null;
  const radius = handle.girth / (2 * Math.PI);
  const [low, high] = [radiusAt(stations, handle.from), radiusAt(stations, handle.to)];
  const half = Math.abs(handle.to - handle.from) / 2;
  const reach = reachFor(half, Math.max(2 * half, handle.length - Math.PI * radius));
  const line = Array.from({ length: POINTS + 1 }, (_, i): LoopPoint => {
    const turn = (Math.PI * i) / POINTS;
    const share = (1 - Math.cos(turn)) / 2;
    return { out: low + (high - low) * share + reach * Math.sin(turn), up: handle.from + (handle.to - handle.from) * share };
  });
  return { angle: handle.angle, radius, line };
}

/** How far half an ellipse of a length stands off its chord, mm; by halving. */
function reachFor(half: number, length: number): number {
  let [near, far] = [0, length];
  for (let round = 0; round < 40; round += 1) {
    const middle = (near + far) / 2;
    if (halfEllipse(half, middle) < length) near = middle;
    else far = middle;
  }
  return far;
}

/** Half the way round an ellipse (S. Ramanujan, “Modular equations and approximations to π”, 1914). */
const halfEllipse = (a: number, b: number): number => (Math.PI / 2) * (3 * (a + b) - Math.sqrt((3 * a + b) * (a + 3 * b)));

/** How far from its axis a cup reaches with its handle, mm; 0 without one. */
export const handleReach = (cup: Pick<Cup, 'handle' | 'stations'>): number => {
  const loop = handleLoop(cup);
  return loop ? Math.max(...loop.line.map(({ out }) => out)) + loop.radius : 0;
};

/** A handle on a picture: pixels, and whether it stands this side of the cup. */
export interface SeenHandle {
  readonly points: readonly { readonly x: number; readonly y: number }[];
  readonly radius: number;
  readonly near: boolean;
}

/** @param turn of the cup to the right, radians */
export function seenHandle({ angle, radius, line }: HandleLoop, stance: Stance, turn: number): SeenHandle {
  const face = ((angle - 180) * Math.PI) / 180 + turn;
  const points = line.map(({ out, up }) => ({
    x: stance.axis + out * stance.scale * Math.sin(face),
    y: rowOf(stance, up) + out * stance.scale * Math.cos(face) * Math.sin(LOOK_DOWN),
  }));
  return { points, radius: radius * stance.scale, near: Math.cos(face) > 0 };
}
