import * as z from 'zod';
import { outlineMirrored, outlineName, outlineSchema, placeMotif, reachOf, shapeOf } from '../motif';
import { ontoOneTurn } from '../regions';
import { lengthText } from '../units';
import {
  circumferenceAt,
  coatedHeight,
  frontAngle,
  heightOf,
  levelAt,
  levelHeight,
  levelSchema,
  wallLength,
  type Cup,
  type Station,
} from '../vessel';
import { angleSchema, sharedFields } from './area-id';
import {
  acrossTheFront,
  degreeWords,
  half,
  mm,
  shortTurn,
  spanWords,
  tenthDegree,
  turnOf,
  type AreaFault,
  type AreaKind,
} from './area-kind';

/** One motif, placed by hand. Width mm, angles degrees, turned clockwise. */
export const windowSchema = z.strictObject({
  kind: z.literal('window'),
  ...sharedFields,
  outline: outlineSchema,
  angle: angleSchema,
  level: levelSchema,
  width: z.number().min(1, 'A motif is at least 1 mm wide.').max(600, 'A motif is at most 600 mm wide.'),
  turn: z.number().min(-360, 'A turn is −360 to 360°.').max(360, 'A turn is −360 to 360°.').default(0),
});
export type Window = z.infer<typeof windowSchema>;

export const window: AreaKind<Window> = {
  kind: 'window',
  name: 'Motif',
  explains: 'one outline, placed by hand: a window, a badge, a cut-out',
  single: false,
  start: (cup) => {
    const top = coatedHeight(cup);
    const angle = frontAngle(cup);
    const level = levelAt(half(top / 2), 'foot', cup);
    return { kind: 'window', outline: { shape: 'hexagon' }, angle, level, width: half(Math.min(40, top / 4)), turn: 0 };
  },
  weight: ({ outline }) => pointsOf(outline),
  shape: (area, cup) =>
    ontoOneTurn(
      placeMotif(
        shapeOf(area.outline),
        { angle: turnOf(area.angle), height: levelHeight(area.level, cup), width: area.width, turn: area.turn },
        cup.stations,
      ),
    ),
  faults: (area, cup): readonly AreaFault[] => {
    const height = levelHeight(area.level, cup);
    const rim = heightOf(cup);
    if (height < 0 || height > rim)
      return [
        {
          field: 'level',
          sentence: `The middle of “${area.name}” lies at ${mm(height)} mm, off this cup, which ends at ${mm(rim)} mm.`,
        },
      ];
    return motifFaults(area, height, height, cup.stations);
  },
  widths: (area) => ({ lower: area.width, upper: area.width }),
  handles: (area, cup) => {
    const height = levelHeight(area.level, cup);
    const half = (180 * area.width) / circumferenceAt(cup.stations, height);
    return [
      { key: 'middle', label: `Middle of ${area.name}`, angle: turnOf(area.angle), height, goes: 'both' },
      { key: 'width', label: `Width of ${area.name}`, angle: turnOf(area.angle + half), height, goes: 'round' },
    ];
  },
  moved: (area, key, { angle, height }, cup) => {
    if (key === 'middle') return { ...area, angle: tenthDegree(angle), level: levelAt(height, area.level.by, cup) };
    const tape = circumferenceAt(cup.stations, levelHeight(area.level, cup));
    const width = Math.round((Math.abs(shortTurn(angle - area.angle)) / 180) * tape * 10) / 10;
    return width < 1 ? area : { ...area, width };
  },
  withLevels: (area, change) => ({ ...area, level: change(area.level) }),
  aside: (area) => ({ ...area, angle: (area.angle + 45) % 360 }),
  mirrored: (area) => ({
    ...area,
    outline: outlineMirrored(area.outline),
    angle: acrossTheFront(area.angle),
    turn: area.turn === 0 ? 0 : -area.turn,
  }),
  squeezed: (area) => area,
  words: (area, laid, units) => {
    const turned = area.turn === 0 ? '' : `, turned ${degreeWords(area.turn)}`;
    const size = `${outlineName(area.outline)}, ${lengthText(area.width, units)} wide`;
    return `${size}, at ${degreeWords(area.angle)}${turned}, ${spanWords(laid, units)} up`;
  },
  figures: (area, _cup, units) => [{ key: 'width', text: `${lengthText(area.width, units)} wide` }],
};

/** How many points an outline is drawn with. */
export const pointsOf = (outline: Window['outline']): number => shapeOf(outline).flat(2).length;

/** How far a motif's middle lies from the seam by the tape, mm. */
export const fromSeam = (area: Window, cup: Cup): number =>
  (circumferenceAt(cup.stations, levelHeight(area.level, cup)) * area.angle) / 360;

/** Whether a motif of a size fits on a wall between two heights of its middle. */
export function motifFaults(
  { name, outline, width }: Pick<Window, 'name' | 'outline' | 'width'>,
  low: number,
  high: number,
  stations: readonly Station[],
): readonly AreaFault[] {
  const across = 2 * reachOf(outline) * width;
  const tape = narrowest(stations, low - across / 2, high + across / 2);
  const tall = wallLength(stations, 0, heightOf({ stations }));
  if (across >= tape)
    return [
      {
        field: 'width',
        sentence: `“${name}” would reach ${mm(across)} mm across where the tape reads ${mm(tape)} mm: a motif can’t be wider than the cup. Make it smaller.`,
      },
    ];
  if (across >= tall)
    return [
      { field: 'width', sentence: `“${name}” would be ${mm(across)} mm tall on a wall of ${mm(tall)} mm. Make it smaller.` },
    ];
  return [];
}

/** The least the tape reads between two heights; what lies off the cup doesn't count. */
function narrowest(stations: readonly Station[], low: number, high: number): number {
  const rim = heightOf({ stations });
  const [from, to] = [Math.min(rim, Math.max(0, low)), Math.min(rim, Math.max(0, high))];
  const between = stations.filter(({ height }) => height > from && height < to).map(({ circumference }) => circumference);
  return Math.min(circumferenceAt(stations, from), circumferenceAt(stations, to), ...between);
}
