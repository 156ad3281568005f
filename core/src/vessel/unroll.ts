import { heightOf } from './cup';
import { flattenBand } from './flatten';
import { piecesOf, type Station } from './station';
import { heightAtWallLength, wallLength } from './wall';

/** A point of the unrolled wall, mm to the right and mm down from the top left corner of its frame. */
export type FlatPoint = readonly [x: number, y: number];

/**
 * The wall laid flat for the eye, seam at both sides, foot at the bottom.
 * - `sheet`: a straight cup, a rectangle; nothing is bent
 * - `fan`: one cone, part of a ring; nothing is bent
 * - `map`: a wall that bends can't lie flat: every height keeps its true width and every area its
 *   size, only slopes lean, the more the nearer the seam
 */
export interface Unrolling {
  readonly kind: 'sheet' | 'fan' | 'map';
  /** frame, mm */
  readonly width: number;
  readonly height: number;
  point(angle: number, height: number): FlatPoint;
  wallPoint(x: number, y: number): { angle: number; height: number };
}

export function unrolling(stations: readonly Station[]): Unrolling {
  return piecesOf(stations).length === 1 ? unrolledCone(stations) : mapOf(stations);
}

/** One cone piece laid flat truly, its lower edge down. Heights are those of the cup. */
export function unrolledCone(stations: readonly Station[]): Unrolling {
  const [foot, rim] = [stations[0].height, heightOf({ stations })];
  const flat = flattenBand(stations, foot, rim);
  if (flat.innerRadius === null) {
    const { width, length } = flat;
    const perMm = length / (rim - foot);
    return {
      kind: 'sheet',
      width,
      height: length,
      point: (angle, height) => [(angle / 360) * width, (rim - height) * perMm],
      wallPoint: (x, y) => ({ angle: (x / width) * 360, height: rim - y / perMm }),
    };
  }
  // A cup that narrows upwards opens its fan the other way round: the centre lies above it.
  const opens = stations[stations.length - 1].circumference > stations[0].circumference ? 1 : -1;
  const [low, high] = opens === 1 ? [flat.innerRadius, flat.outerRadius] : [flat.outerRadius, flat.innerRadius];
  const radiusAt = (height: number) => low + ((height - foot) / (rim - foot)) * (high - low);
  const half = (flat.angle * Math.PI) / 360;
  const outer = flat.outerRadius;
  const side = half >= Math.PI / 2 ? outer : outer * Math.sin(half);
  const ends = [flat.innerRadius, flat.outerRadius].map((radius) => radius * Math.cos(half));
  const nearest = Math.min(...ends);
  return {
    kind: 'fan',
    width: 2 * side,
    height: outer - nearest,
    point: (angle, height) => {
      const turn = (angle / 180 - 1) * half;
      const radius = radiusAt(height);
      const across = side + radius * Math.sin(turn);
      const down = radius * Math.cos(turn);
      return [across, opens === 1 ? outer - down : down - nearest];
    },
    wallPoint: (x, y) => {
      const down = opens === 1 ? outer - y : y + nearest;
      const across = x - side;
      const radius = Math.hypot(across, down);
      return {
        angle: (Math.atan2(across, down) / half + 1) * 180,
        height: foot + ((radius - low) / (high - low)) * (rim - foot),
      };
    },
  };
}

function mapOf(stations: readonly Station[]): Unrolling {
  const rim = heightOf({ stations });
  const whole = wallLength(stations, 0, rim);
  const widest = Math.max(...stations.map((station) => station.circumference));
  const along = stations.map(({ height }) => wallLength(stations, 0, height));
  /** the piece a height lies in, and how far up it, as a share */
  const pieceAt = (height: number): readonly [index: number, share: number] => {
    let index = 1;
    while (index < stations.length - 1 && height > stations[index].height) index += 1;
    const [lower, upper] = [stations[index - 1], stations[index]];
    return [index, Math.min(1, Math.max(0, (height - lower.height) / (upper.height - lower.height)))];
  };
  const between = (from: number, to: number, share: number) => from + share * (to - from);
  const tapeAt = (height: number) => {
    const [index, share] = pieceAt(height);
    return between(stations[index - 1].circumference, stations[index].circumference, share);
  };
  return {
    kind: 'map',
    width: widest,
    height: whole,
    point: (angle, height) => {
      const [index, share] = pieceAt(height);
      const tape = between(stations[index - 1].circumference, stations[index].circumference, share);
      return [widest / 2 + (angle / 360 - 0.5) * tape, whole - between(along[index - 1], along[index], share)];
    },
    wallPoint: (x, y) => {
      const height = heightAtWallLength(stations, Math.min(whole, Math.max(0, whole - y)));
      return { angle: ((x - widest / 2) / tapeAt(height) + 0.5) * 360, height };
    },
  };
}
