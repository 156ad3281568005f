import * as z from 'zod';
import { countText, lengthText, type Units } from '../units';
import { circumferenceAt, coatedHeight, footLevel, heightOf, levelAt, levelHeight, topLevel, type Cup } from '../vessel';
import { sharedFields } from './area-id';
import { heightFigures, levelFaults, mm, spanWords, squeezedLength, type AreaFault, type AreaKind } from './area-kind';
import { edgeLine, edgeMirrored, edgeSchema, plainEdge, reachOfEdge, whereLinesMeet, type Edge, type Teeth } from './edge';

export const bandSchema = z.strictObject({ kind: z.literal('band'), ...sharedFields, lower: edgeSchema, upper: edgeSchema });
export type Band = z.infer<typeof bandSchema>;

export const band: AreaKind<Band> = {
  kind: 'band',
  name: 'Band',
  explains: 'all the way round, between two heights; its edges can be straight, toothed, scalloped or wavy',
  single: false,
  start: (cup, reached) => {
    const top = coatedHeight(cup);
    const from = reached < top - 1 ? reached : Math.round(top / 2);
    return { kind: 'band', lower: plainEdge(footLevel(from)), upper: plainEdge(topLevel) };
  },
  weight: ({ lower, upper }) => ((lower.teeth?.count ?? 0) + (upper.teeth?.count ?? 0)) * 24,
  shape: (area, cup) => {
    const lower = edgeLine(area.lower, cup);
    const upper = [...edgeLine(area.upper, cup)].reverse();
    return [[[...lower, ...upper, lower[0]]]];
  },
  faults: (area, cup) => [
    ...levelFaults(area.name, area.lower.level, area.upper.level, cup, ['lower.level', 'upper.level']),
    ...toothFaults(area, cup),
  ],
  widths: (area, cup) => ({
    lower: tape(levelHeight(area.lower.level, cup), cup),
    upper: tape(levelHeight(area.upper.level, cup), cup),
  }),
  handles: (area, cup) => [
    { key: 'lower', label: `Lower edge of ${area.name}`, angle: 180, height: levelHeight(area.lower.level, cup), goes: 'up' },
    { key: 'upper', label: `Upper edge of ${area.name}`, angle: 180, height: levelHeight(area.upper.level, cup), goes: 'up' },
  ],
  moved: (area, key, { height }, cup) => {
    const side = key === 'lower' ? 'lower' : 'upper';
    return { ...area, [side]: { ...area[side], level: levelAt(height, area[side].level.by, cup) } };
  },
  withLevels: (area, change) => ({
    ...area,
    lower: { ...area.lower, level: change(area.lower.level) },
    upper: { ...area.upper, level: change(area.upper.level) },
  }),
  aside: (area) => area,
  mirrored: ({ lower, upper, ...area }) =>
    lower.teeth || upper.teeth ? { ...area, lower: edgeMirrored(lower), upper: edgeMirrored(upper) } : null,
  squeezed: (area, ratio) => ({ ...area, lower: squeezedEdge(area.lower, ratio), upper: squeezedEdge(area.upper, ratio) }),
  words: (area, laid, units) =>
    [
      `band, ${spanWords(laid, units)} up`,
      ...(area.lower.teeth ? [`lower edge ${teethWords(area.lower.teeth, units)}`] : []),
      ...(area.upper.teeth ? [`upper edge ${teethWords(area.upper.teeth, units)}`] : []),
    ].join(', '),
  figures: (area, cup, units) => heightFigures(levelHeight(area.lower.level, cup), levelHeight(area.upper.level, cup), units),
};

const squeezedEdge = (edge: Edge, ratio: number): Edge =>
  edge.teeth ? { ...edge, teeth: { ...edge.teeth, depth: squeezedLength(edge.teeth.depth, ratio) } } : edge;

const teethNouns = { zigzag: ['tooth', 'teeth'], scallop: ['scallop', 'scallops'], wave: ['wave', 'waves'] } as const;

function teethWords(teeth: Teeth, units: Units): string {
  const [one, many] = teethNouns[teeth.line];
  return `${countText(teeth.count, one, many)} ${lengthText(teeth.depth, units)} deep`;
}

const tape = (height: number, cup: Cup): number => circumferenceAt(cup.stations, Math.min(heightOf(cup), Math.max(0, height)));

function toothFaults(area: Band, cup: Cup): readonly AreaFault[] {
  const faults: AreaFault[] = [];
  const rim = heightOf(cup);
  for (const side of ['lower', 'upper'] as const) {
    const level = levelHeight(area[side].level, cup);
    const reach = reachOfEdge(area[side]);
    if (reach === 0) continue;
    if (level - reach < 0)
      faults.push({
        field: `${side}.teeth`,
        sentence: `The teeth of “${area.name}” reach ${mm(reach - level)} mm below the foot. Raise the edge or make them shallower.`,
      });
    if (level + reach > rim)
      faults.push({
        field: `${side}.teeth`,
        sentence: `The teeth of “${area.name}” reach ${mm(level + reach - rim)} mm above the rim. Lower the edge or make them shallower.`,
      });
  }
  if (area.lower.teeth || area.upper.teeth) {
    const [lower, upper] = [edgeLine(area.lower, cup), edgeLine(area.upper, cup)];
    const crossing = whereLinesMeet(lower, upper);
    if (crossing !== null)
      faults.push({
        field: 'upper.teeth',
        sentence: `The edges of “${area.name}” cross at ${mm(crossing)}° from the seam. Move them apart or make the teeth shallower.`,
      });
  }
  return faults;
}
