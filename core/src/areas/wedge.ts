import * as z from 'zod';
import { onGrid, ontoOneTurn } from '../regions';
import { lengthText, spanText } from '../units';
import { circumferenceAt, footLevel, levelAt, levelHeight, levelSchema, topLevel, type Cup } from '../vessel';
import { angleSchema, sharedFields } from './area-id';
import { acrossTheFront, degreeWords, levelFaults, shortTurn, tenthDegree, turnOf, type AreaKind } from './area-kind';

/** A section of the wall between two lines from foot to rim, straight up or leaning. Angles degrees. */
export const wedgeSchema = z.strictObject({
  kind: z.literal('wedge'),
  ...sharedFields,
  from: angleSchema,
  width: z.number().min(0.5, 'A section is at least half a degree wide.').max(360, 'A section goes round once at most: 360°.'),
  /** how far its upper end is turned against its lower */
  lean: z
    .number()
    .min(-1080, 'Three turns are the most a section leans.')
    .max(1080, 'Three turns are the most a section leans.')
    .default(0),
  lower: levelSchema,
  upper: levelSchema,
});
export type Wedge = z.infer<typeof wedgeSchema>;

export const wedge: AreaKind<Wedge> = {
  kind: 'wedge',
  name: 'Section',
  explains: 'a part of the way round, from one height to another; it may lean for a swirl',
  single: false,
  start: () => ({ kind: 'wedge', from: 120, width: 120, lean: 0, lower: footLevel(0), upper: topLevel }),
  weight: () => 5,
  shape: (area, cup) => {
    const [low, high] = [onGrid(levelHeight(area.lower, cup)), onGrid(levelHeight(area.upper, cup))];
    const [from, width, lean] = [onGrid(turnOf(area.from)), onGrid(area.width), onGrid(area.lean)];
    return ontoOneTurn([
      [
        [
          [from, low],
          [from + width, low],
          [from + width + lean, high],
          [from + lean, high],
          [from, low],
        ],
      ],
    ]);
  },
  faults: (area, cup) => levelFaults(area.name, area.lower, area.upper, cup, ['lower', 'upper']),
  widths: (area, cup) => {
    const share = area.width / 360;
    return { lower: share * tapeAt(area.lower, cup), upper: share * tapeAt(area.upper, cup) };
  },
  handles: (area, cup) => {
    const [low, high] = [levelHeight(area.lower, cup), levelHeight(area.upper, cup)];
    const middle = (low + high) / 2;
    const centre = area.from + area.width / 2;
    return [
      {
        key: 'start',
        label: `Left edge of ${area.name}`,
        angle: turnOf(area.from + area.lean / 2),
        height: middle,
        goes: 'round',
      },
      {
        key: 'end',
        label: `Right edge of ${area.name}`,
        angle: turnOf(area.from + area.width + area.lean / 2),
        height: middle,
        goes: 'round',
      },
      { key: 'lean', label: `Lean of ${area.name}`, angle: turnOf(area.from + area.lean), height: high, goes: 'round' },
      { key: 'lower', label: `Lower edge of ${area.name}`, angle: turnOf(centre), height: low, goes: 'up' },
      { key: 'upper', label: `Upper edge of ${area.name}`, angle: turnOf(centre + area.lean), height: high, goes: 'up' },
    ];
  },
  moved: (area, key, { angle, height }, cup) => {
    switch (key) {
      case 'start': {
        const by = shortTurn(angle - turnOf(area.from + area.lean / 2));
        const width = area.width - by;
        return width < 1 || width > 360
          ? area
          : { ...area, from: tenthDegree(area.from + by), width: Math.round(width * 10) / 10 };
      }
      case 'end': {
        const width = area.width + shortTurn(angle - turnOf(area.from + area.width + area.lean / 2));
        return width < 1 || width > 360 ? area : { ...area, width: Math.round(width * 10) / 10 };
      }
      case 'lean':
        return { ...area, lean: Math.round((area.lean + shortTurn(angle - turnOf(area.from + area.lean))) * 10) / 10 };
      default: {
        const side = key === 'lower' ? 'lower' : 'upper';
        return { ...area, [side]: levelAt(height, area[side].by, cup) };
      }
    }
  },
  withLevels: (area, change) => ({ ...area, lower: change(area.lower), upper: change(area.upper) }),
  aside: (area) => ({ ...area, from: (area.from + area.width) % 360 }),
  mirrored: (area) => ({ ...area, from: acrossTheFront(area.from + area.width), lean: area.lean === 0 ? 0 : -area.lean }),
  squeezed: (area) => area,
  words: (area, laid, units) => {
    const lean = area.lean === 0 ? '' : `, leaning ${degreeWords(area.lean)}`;
    const wide = spanText(laid?.lowerWidth ?? 0, laid?.upperWidth ?? 0, units);
    return `section, ${degreeWords(area.width)} from ${degreeWords(area.from)}${lean}, ${wide} wide`;
  },
  figures: (area, cup, units) => {
    const share = area.width / 360;
    return [
      { key: 'lower', text: `${lengthText(share * tapeAt(area.lower, cup), units)} wide below` },
      { key: 'upper', text: `${lengthText(share * tapeAt(area.upper, cup), units)} wide above` },
    ];
  },
};

const tapeAt = (level: Wedge['lower'], cup: Cup): number => circumferenceAt(cup.stations, levelHeight(level, cup));
