import * as z from 'zod';
import { heightsBetween, onGrid, ontoOneTurn, type RegionPolygon } from '../regions';
import { circumferenceAt, levelAt, levelHeight, levelSchema, wallLength, type Cup } from '../vessel';
import { angleSchema, sharedFields } from './area-id';
import { levelFaults, mm, tenthDegree, turnOf, type AreaKind } from './area-kind';

/** A stripe that climbs as it goes round. Lengths mm: `pitch` up a turn, `width` across the stripe itself. */
export const spiralSchema = z.strictObject({
  kind: z.literal('spiral'),
  ...sharedFields,
  start: angleSchema,
  pitch: z
    .number()
    .min(5, 'A spiral climbs at least 5 mm a turn.')
    .max(5000, 'A spiral of over 5 m a turn is a straight section.'),
  width: z.number().min(0.5, 'A stripe is at least 0.5 mm wide.').max(300, 'A stripe is at most 300 mm wide.'),
  hand: z.enum(['right', 'left'], { error: 'A spiral climbs to the right or to the left.' }),
  stripes: z.int('Stripes come whole.').min(1, 'At least one stripe.').max(24, '24 stripes are the most.').default(1),
  lower: levelSchema,
  upper: levelSchema,
});
export type Spiral = z.infer<typeof spiralSchema>;

/** Longest straight piece of a stripe's edge, mm of height. */
const STEP = 3;

export const spiral: AreaKind<Spiral> = {
  kind: 'spiral',
  name: 'Spiral',
  explains: 'a sloping stripe, or several, of one width, climbing so many mm a turn',
  shape: (area, cup) => {
    const [low, high] = [levelHeight(area.lower, cup), levelHeight(area.upper, cup)];
    const heights = heightsBetween(cup.stations, low, high, STEP);
    return ontoOneTurn(
      Array.from({ length: area.stripes }, (_, stripe): RegionPolygon => {
        const side = (sign: 1 | -1) =>
          heights.map((height) => {
            const middle = middleAt(area, height, low) + (360 * stripe) / area.stripes;
            return [onGrid(middle + (sign * spanAt(area, height, cup)) / 2), onGrid(height)] as const;
          });
        const left = side(-1);
        return [[...left, ...side(1).reverse(), left[0]]];
      }),
    );
  },
  faults: (area, cup) => {
    const levels = levelFaults(area.name, area.lower, area.upper, cup, ['lower', 'upper']);
    if (levels.length > 0) return levels;
    const [low, high] = [levelHeight(area.lower, cup), levelHeight(area.upper, cup)];
    const widest = Math.max(...heightsBetween(cup.stations, low, high, STEP).map((height) => spanAt(area, height, cup)));
    if (widest * area.stripes < 359) return [];
    const most = (area.width * 359) / (widest * area.stripes);
    return [
      {
        field: 'width',
        sentence: `The turns of “${area.name}” would lie on each other. With this pitch a stripe can be ${mm(Math.floor(most * 10) / 10)} mm wide; widen the pitch for more.`,
      },
    ];
  },
  widths: (area) => ({ lower: area.width, upper: area.width }),
  handles: (area, cup) => {
    const [low, high] = [levelHeight(area.lower, cup), levelHeight(area.upper, cup)];
    const third = low + (high - low) / 3;
    return [
      { key: 'start', label: `Start of ${area.name}`, angle: turnOf(area.start), height: low, goes: 'round' },
      { key: 'climb', label: `Climb of ${area.name}`, angle: turnOf(middleAt(area, third, low)), height: third, goes: 'up' },
      { key: 'upper', label: `Upper end of ${area.name}`, angle: turnOf(middleAt(area, high, low)), height: high, goes: 'up' },
    ];
  },
  moved: (area, key, { angle, height }, cup) => {
    const [low, high] = [levelHeight(area.lower, cup), levelHeight(area.upper, cup)];
    switch (key) {
      case 'start':
        return { ...area, start: tenthDegree(angle) };
      case 'climb': {
        const pitch = area.pitch * ((height - low) / ((high - low) / 3));
        return pitch < 5 ? area : { ...area, pitch: Math.round(pitch * 10) / 10 };
      }
      default:
        return { ...area, upper: levelAt(height, area.upper.by, cup) };
    }
  },
  withLevels: (area, change) => ({ ...area, lower: change(area.lower), upper: change(area.upper) }),
};

const middleAt = (area: Spiral, height: number, low: number): number =>
  turnOf(area.start) + ((area.hand === 'right' ? 1 : -1) * 360 * (height - low)) / area.pitch;

/** How far round a stripe reaches at a height, degrees: its width over the sine of its climb there. */
function spanAt(area: Spiral, height: number, cup: Cup): number {
  const { stations } = cup;
  const tape = circumferenceAt(stations, height);
  const lift = wallLength(stations, Math.max(0, height - 0.5), height + 0.5) * area.pitch;
  return (360 * area.width) / (tape * Math.sin(Math.atan2(lift, tape)));
}
