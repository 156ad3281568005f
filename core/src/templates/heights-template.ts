import type { AreaOf } from '../areas';
import { coatedHeight, levelHeight, wallLength, type Cup } from '../vessel';
import { mark, sheetAround, type Template } from './template';

/** mm: wide enough to write on, and a mark's length across it */
const WIDE = 34;
const TICK = 12;

/**
 * A strip of paper to lay beside the cup, foot to the end of the coats, with a mark where each band begins and
 * ends: measured along the wall, since that is how paper lies on it.
 */
export function heightsTemplate(bands: readonly AreaOf<'band'>[], cup: Cup): Template {
  const top = wallLength(cup.stations, 0, coatedHeight(cup));
  const along = (height: number) => wallLength(cup.stations, 0, height);
  const spans = bands.map(({ name, lower, upper }) => ({
    name,
    from: levelHeight(lower.level, cup),
    to: levelHeight(upper.level, cup),
  }));
  const heights = [...new Set(spans.flatMap(({ from, to }) => [from, to]).map((mm) => Number(mm.toFixed(1))))];
  const at = (height: number) => top - along(height);
  return {
    title: 'Heights of the bands',
    says: [
      'Stand it on the table beside the cup, or tape it to the wall at the seam; the figures are mm above the foot, straight up.',
    ],
    warns: null,
    sheets: [
      sheetAround(
        'Heights of the bands',
        [
          {
            role: 'cut',
            points: [
              [0, 0],
              [WIDE, 0],
              [WIDE, top],
              [0, top],
              [0, 0],
            ],
            closed: true,
          },
          ...heights.map((height) => mark([0, at(height)], [TICK, at(height)])),
        ],
        [
          ...heights.map((height) => ({ at: [TICK + 1, at(height) + (at(height) < 4 ? 3 : 1)] as const, text: `${height}` })),
          ...spans.map(({ name, from, to }) => ({ at: [1.5, (at(from) + at(to)) / 2 + 1] as const, text: name })),
        ],
      ),
    ],
  };
}
