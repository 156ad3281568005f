import { areaHandles, type AreaId } from '../areas';
import { coatedHeight, heightOf } from '../vessel';
import type { Design } from './design';

/** A line that a dragged edge takes to when it comes near, and why. */
export interface SnapLine {
  readonly at: number;
  readonly says: string;
}

/** Sensible lines on a cup: its ends, bends and even shares, the handle, and the edges of the other areas. */
export function snapLines(design: Design, except: AreaId): { heights: readonly SnapLine[]; angles: readonly SnapLine[] } {
  const { cup } = design;
  const top = coatedHeight(cup);
  const share = (part: number, says: string): SnapLine => ({ at: top * part, says });
  const others = design.areas
    .filter((area) => area.id !== except)
    .flatMap((area) => areaHandles({ ...area, locked: false }, cup).map((handle) => ({ ...handle, says: area.name })));
  return {
    heights: [
      { at: 0, says: 'the foot' },
      { at: top, says: 'where the coats end' },
      { at: heightOf(cup), says: 'the rim' },
      share(1 / 2, 'half way up'),
      share(1 / 3, 'a third'),
      share(2 / 3, 'two thirds'),
      share(1 / 4, 'a quarter'),
      share(3 / 4, 'three quarters'),
      ...cup.stations.slice(1, -1).map(({ height }) => ({ at: height, says: 'a bend of the wall' })),
      ...others.filter(({ goes }) => goes !== 'round').map(({ height, says }) => ({ at: height, says })),
    ],
    angles: [
      { at: 0, says: 'the seam' },
      { at: 360, says: 'the seam' },
      ...[45, 60, 90, 120, 135, 180, 225, 240, 270, 300, 315].map((at) => ({ at, says: `${at}°` })),
      ...(cup.handle ? [{ at: cup.handle.angle, says: 'the handle' }] : []),
      ...others.filter(({ goes }) => goes === 'round').map(({ angle, says }) => ({ at: angle, says })),
    ],
  };
}

/** The nearest line within reach of a value, or none. */
export function snapTo(value: number, lines: readonly SnapLine[], reach: number): SnapLine | null {
  let best: SnapLine | null = null;
  for (const line of lines) {
    const away = Math.abs(line.at - value);
    if (away <= reach && (best === null || away < Math.abs(best.at - value))) best = line;
  }
  return best;
}
