import type { CupHandles, PicturePoint } from '../cup-photo';
import { radiusOf, type Station } from '../vessel';

/**
 * How a cup stands in a picture: the middle of its axis, pixels; how far it leans to the right, radians; the logarithm of pixels
 * a mm in its middle; that of how many times as large its rim is drawn as its foot; and how far the camera looks down, radians.
 */
export type Pose = readonly [x: number, y: number, lean: number, scale: number, taper: number, tilt: number];

/** One standard deviation of each around nothing, as people photograph cups; where and how large it is isn't known beforehand. */
export const usualPose: Pose = [Infinity, Infinity, 0.08, Infinity, 0.04, 0.15];

/** The four handles of a cup that stands so: its ends lie square to its axis. */
export function handlesOf(stations: readonly Station[], [x, y, lean, scale, taper, tilt]: Pose, times = 1): CupHandles {
  const [foot, rim] = [stations[0], stations[stations.length - 1]];
  const up: PicturePoint = [Math.sin(lean), -Math.cos(lean)];
  const half = (Math.exp(scale) * rim.height * Math.cos(tilt)) / 2;
  const point = (along: number, aside: number): PicturePoint => [
    times * (x + along * up[0] - aside * up[1]),
    times * (y + along * up[1] + aside * up[0]),
  ];
  const [below, above] = [
    radiusOf(foot.circumference) * Math.exp(scale - taper / 2),
    radiusOf(rim.circumference) * Math.exp(scale + taper / 2),
  ];
  return {
    rimLeft: point(half, -above),
    rimRight: point(half, above),
    footLeft: point(-half, -below),
    footRight: point(-half, below),
  };
}

/** The same pose in a picture of so many times as many pixels. */
export const enlarged = ([x, y, lean, scale, taper, tilt]: Pose, times: number): Pose => [
  x * times,
  y * times,
  lean,
  scale + Math.log(times),
  taper,
  tilt,
];
