import { bytesOf } from '../hex';
import { BARE_GRIP } from '../layout';
import type { Plan } from '../plan';
import type { SeenHandle } from './handle-loop';

/** What a handle is seen in, hex: its own area's finished colour, or what the coats left on it. */
export function handleColour({ areas, finished }: Pick<Plan, 'areas' | 'finished'>): string {
  const grip = areas.areas.findLast(({ kind, area }) => kind === 'grip' && area > 0);
  return finished[grip?.id ?? BARE_GRIP];
}

/** A picture under work, RGBA. */
interface Canvas {
  readonly pixels: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** Paints a handle as a round bar along its loop, in the light that its cup stands in. */
export function paintHandle({ pixels, width, height }: Canvas, { points, radius }: SeenHandle, colour: string): void {
  const rgb = bytesOf(colour);
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  const [left, right] = [Math.floor(Math.min(...xs) - radius), Math.ceil(Math.max(...xs) + radius)];
  const [top, bottom] = [Math.floor(Math.min(...ys) - radius), Math.ceil(Math.max(...ys) + radius)];
  for (let y = Math.max(0, top); y < Math.min(height, bottom); y += 1)
    for (let x = Math.max(0, left); x < Math.min(width, right); x += 1) {
      const off = nearest(points, x + 0.5, y + 0.5);
      const away = Math.hypot(off.x, off.y) / radius;
      if (away > 1) continue;
      const facing = Math.sqrt(1 - away * away);
      const lit = 0.5 + 0.5 * facing ** 0.7 - (0.16 * off.x) / radius - (0.1 * off.y) / radius;
      const at = (y * width + x) * 4;
      for (let k = 0; k < 3; k += 1) pixels[at + k] = rgb[k] * lit;
      pixels[at + 3] = 255;
    }
}

/** From the nearest point of a line to a place, pixels. */
function nearest(points: SeenHandle['points'], x: number, y: number): { x: number; y: number } {
  let best = { x: Infinity, y: Infinity };
  let least = Infinity;
  for (let i = 1; i < points.length; i += 1) {
    const [from, to] = [points[i - 1], points[i]];
    const [alongX, alongY] = [to.x - from.x, to.y - from.y];
    const length = alongX * alongX + alongY * alongY;
    const share = length === 0 ? 0 : Math.min(1, Math.max(0, ((x - from.x) * alongX + (y - from.y) * alongY) / length));
    const [offX, offY] = [x - from.x - share * alongX, y - from.y - share * alongY];
    const away = offX * offX + offY * offY;
    if (away < least) [least, best] = [away, { x: offX, y: offY }];
  }
  return best;
}
