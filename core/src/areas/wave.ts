import * as z from 'zod';
import { onGrid } from '../regions';
import { countText, lengthText } from '../units';
import { circumferenceAt, coatedHeight, heightOf, levelAt, levelHeight, levelSchema, type Cup } from '../vessel';
import { angleSchema, sharedFields } from './area-id';
import {
  acrossTheFront,
  degreeWords,
  half,
  mm,
  squeezedLength,
  tenthDegree,
  turnOf,
  type AreaFault,
  type AreaKind,
} from './area-kind';

/** A stripe going up and down as it goes round, whole waves only. Lengths mm. */
export const waveSchema = z.strictObject({
  kind: z.literal('wave'),
  ...sharedFields,
  level: levelSchema,
  waves: z
    .int('Waves come whole, so that the stripe meets itself at the seam.')
    .min(1, 'At least one wave.')
    .max(60, '60 waves are the most.'),
  /** from trough to crest */
  swing: z.number().min(0, 'A swing can’t be negative.').max(400, 'A swing is at most 400 mm.'),
  /** of the stripe, up the wall */
  width: z.number().min(0.5, 'A stripe is at least 0.5 mm wide.').max(400, 'A stripe is at most 400 mm wide.'),
  /** degrees from the seam to a crest */
  shift: angleSchema.default(0),
});
export type Wave = z.infer<typeof waveSchema>;

const SAMPLES = 36;

export const wave: AreaKind<Wave> = {
  kind: 'wave',
  name: 'Wave',
  explains: 'a stripe that swings up and down on its way round and meets itself at the seam',
  single: false,
  start: (cup) => {
    const top = coatedHeight(cup);
    const level = levelAt(half(top / 2), 'foot', cup);
    return { kind: 'wave', level, waves: 5, swing: half(top / 8), width: half(top / 12), shift: 0 };
  },
  weight: ({ waves }) => waves * 72,
  shape: (area, cup) => {
    const side = (sign: 1 | -1) =>
      line(area, cup).map(([angle, height]) => [angle, onGrid(height + (sign * area.width) / 2)] as const);
    const lower = side(-1);
    return [[[...lower, ...side(1).reverse(), lower[0]]]];
  },
  faults: (area, cup): readonly AreaFault[] => {
    const middle = levelHeight(area.level, cup);
    const reach = (area.swing + area.width) / 2;
    if (middle - reach < 0)
      return [
        { field: 'level', sentence: `“${area.name}” dips ${mm(reach - middle)} mm below the foot. Raise it, or swing less.` },
      ];
    if (middle + reach > heightOf(cup))
      return [
        {
          field: 'level',
          sentence: `“${area.name}” rises ${mm(middle + reach - heightOf(cup))} mm above the rim. Lower it, or swing less.`,
        },
      ];
    return [];
  },
  widths: (area) => ({ lower: area.width, upper: area.width }),
  handles: (area, cup) => {
    const middle = levelHeight(area.level, cup);
    const crest = crestNear(area);
    return [
      { key: 'middle', label: `Height of ${area.name}`, angle: turnOf(crest + 90 / area.waves), height: middle, goes: 'up' },
      { key: 'crest', label: `Crest of ${area.name}`, angle: crest, height: middle + area.swing / 2, goes: 'both' },
    ];
  },
  moved: (area, key, { angle, height }, cup) => {
    if (key === 'middle') return { ...area, level: levelAt(height, area.level.by, cup) };
    const swing = Math.max(0, Math.round((height - levelHeight(area.level, cup)) * 20) / 10);
    return { ...area, swing, shift: tenthDegree(angle) };
  },
  withLevels: (area, change) => ({ ...area, level: change(area.level) }),
  aside: (area) => ({ ...area, shift: (area.shift + 180 / area.waves) % 360 }),
  mirrored: (area) => ({ ...area, shift: acrossTheFront(area.shift) % (360 / area.waves) }),
  squeezed: (area, ratio) => ({ ...area, swing: squeezedLength(area.swing, ratio) }),
  words: (area, _laid, units) => {
    const [swing, width] = [lengthText(area.swing, units), lengthText(area.width, units)];
    return `${countText(area.waves, 'wave')} swinging ${swing}, ${width} wide, a crest at ${degreeWords(area.shift)}`;
  },
  figures: (area, _cup, units) => [{ key: 'crest', text: `swings ${lengthText(area.swing, units)}` }],
};

function line(area: Wave, cup: Cup): readonly (readonly [number, number])[] {
  const middle = levelHeight(area.level, cup);
  const count = area.waves * SAMPLES;
  return Array.from({ length: count + 1 }, (_, i) => {
    const angle = (360 * i) / count;
    // The last point is the first one again: the same height to the last digit.
    const turn = ((i === count ? 0 : angle) - area.shift) * area.waves;
    return [onGrid(angle), middle + (area.swing / 2) * Math.cos((turn * Math.PI) / 180)] as const;
  });
}

/** The crest nearest the middle of the wrap, where it is easiest to take hold of. */
function crestNear(area: Wave): number {
  const one = 360 / area.waves;
  return turnOf(area.shift + Math.round((180 - area.shift) / one) * one);
}

/** The tape's reading at the middle of a wave, over its number of waves: how long each is, mm. */
export const waveLength = (area: Wave, cup: Cup): number =>
  circumferenceAt(cup.stations, levelHeight(area.level, cup)) / area.waves;
