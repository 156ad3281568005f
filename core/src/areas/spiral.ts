import * as z from 'zod';
import { heightsBetween, onGrid, ontoOneTurn, type RegionPolygon } from '../regions';
import { countText, lengthText } from '../units';
import {
  circumferenceAt,
  coatedHeight,
  footLevel,
  heightOf,
  levelAt,
  levelHeight,
  levelSchema,
  topLevel,
  wallLength,
  type Cup,
} from '../vessel';
import { angleSchema, sharedFields } from './area-id';
import { acrossTheFront, degreeWords, half, levelFaults, mm, shortTurn, tenthDegree, turnOf, type AreaKind } from './area-kind';

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

/** How far beside a stripe's end the handle for its height lies, degrees. */
const ASIDE = 30;
/** Longest straight piece of a stripe's edge, mm of height. */
const STEP = 3;

export const spiral: AreaKind<Spiral> = {
  kind: 'spiral',
  name: 'Spiral',
  explains: 'a sloping stripe, or several, of one width, climbing so many mm a turn',
  single: false,
  start: (cup) => {
    const top = coatedHeight(cup);
    const width = half(Math.max(4, top / 16));
    const ends = { lower: footLevel(0), upper: topLevel };
    return { kind: 'spiral', start: 180, pitch: half(top / 2), width, hand: 'right', stripes: 1, ...ends };
  },
  weight: ({ stripes }) => stripes * 140,
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
    const end = turnOf(middleAt(area, high, low));
    return [
      { key: 'start', label: `Start of ${area.name}`, angle: turnOf(area.start), height: low, goes: 'round' },
      { key: 'climb', label: `Climb of ${area.name}`, angle: end, height: high, goes: 'round' },
      { key: 'lower', label: `Lower end of ${area.name}`, angle: turnOf(area.start + ASIDE), height: low, goes: 'up' },
      { key: 'upper', label: `Upper end of ${area.name}`, angle: turnOf(end + ASIDE), height: high, goes: 'up' },
    ];
  },
  moved: (area, key, { angle, height }, cup) => {
    const [low, high] = [levelHeight(area.lower, cup), levelHeight(area.upper, cup)];
    switch (key) {
      case 'start':
        return { ...area, start: tenthDegree(angle) };
      case 'climb': {
        // Its upper end is turned on: the further round, the gentler the climb.
        const turned = (360 * (high - low)) / area.pitch;
        const by = shortTurn(angle - turnOf(middleAt(area, high, low))) * (area.hand === 'right' ? 1 : -1);
        const pitch = turned + by > 1 ? (360 * (high - low)) / (turned + by) : area.pitch;
        return pitch < 5 || pitch > 5000 ? area : { ...area, pitch: Math.round(pitch * 10) / 10 };
      }
      default: {
        const side = key === 'lower' ? 'lower' : 'upper';
        return { ...area, [side]: levelAt(height, area[side].by, cup) };
      }
    }
  },
  withLevels: (area, change) => ({ ...area, lower: change(area.lower), upper: change(area.upper) }),
  aside: (area) => ({ ...area, start: (area.start + 60) % 360 }),
  mirrored: (area) => ({ ...area, start: acrossTheFront(area.start), hand: area.hand === 'left' ? 'right' : 'left' }),
  squeezed: (area) => area,
  words: (area, _laid, units) => {
    const [width, pitch] = [lengthText(area.width, units), lengthText(area.pitch, units)];
    return `${countText(area.stripes, 'stripe')} ${width} wide, climbing ${pitch} a turn to the ${area.hand} from ${degreeWords(area.start)}`;
  },
  figures: (area, _cup, units) => [{ key: 'climb', text: `climbs ${lengthText(area.pitch, units)} a turn` }],
};

const middleAt = (area: Spiral, height: number, low: number): number =>
  turnOf(area.start) + ((area.hand === 'right' ? 1 : -1) * 360 * (height - low)) / area.pitch;

/** How far round a stripe reaches at a height, degrees: its width over the sine of its climb there. */
function spanAt(area: Spiral, height: number, cup: Cup): number {
  const { stations } = cup;
  const tape = circumferenceAt(stations, height);
  // A mm of height about here, wholly on the wall.
  const from = Math.max(0, Math.min(heightOf(cup) - 1, height - 0.5));
  const lift = wallLength(stations, from, from + 1) * area.pitch;
  return (360 * area.width) / (tape * Math.sin(Math.atan2(lift, tape)));
}
