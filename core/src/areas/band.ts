import * as z from 'zod';
import { circumferenceAt, heightOf, levelAt, levelHeight, type Cup } from '../vessel';
import { sharedFields } from './area-id';
import { levelFaults, mm, type AreaFault, type AreaKind } from './area-kind';
import { edgeLine, edgeSchema, reachOfEdge, whereLinesMeet } from './edge';

export const bandSchema = z.strictObject({ kind: z.literal('band'), ...sharedFields, lower: edgeSchema, upper: edgeSchema });
export type Band = z.infer<typeof bandSchema>;

export const band: AreaKind<Band> = {
  kind: 'band',
  name: 'Band',
  explains: 'all the way round, between two heights; its edges can be straight, toothed, scalloped or wavy',
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
};

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
