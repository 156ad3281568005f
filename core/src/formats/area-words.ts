import type { Area, Teeth } from '../areas';
import { outlineName } from '../motif';
import type { PlannedArea } from '../plan';
import { countText, lengthText, spanText, type Units } from '../units';

/** How an area is laid, in words and figures that make it again on the same cup. */
export function areaWords(area: Area, planned: PlannedArea | null, units: Units): string {
  const length = (mm: number) => lengthText(mm, units);
  const span = planned && planned.from !== null && planned.to !== null ? spanText(planned.from, planned.to, units) : '';
  const degrees = (angle: number) => `${Math.round(angle * 10) / 10}°`;
  switch (area.kind) {
    case 'band':
      return [
        `band, ${span} up`,
        ...(area.lower.teeth ? [`lower edge ${teethWords(area.lower.teeth, units)}`] : []),
        ...(area.upper.teeth ? [`upper edge ${teethWords(area.upper.teeth, units)}`] : []),
      ].join(', ');
    case 'wedge': {
      const lean = area.lean === 0 ? '' : `, leaning ${degrees(area.lean)}`;
      return `section, ${degrees(area.width)} from ${degrees(area.from)}${lean}, ${spanText(planned?.lowerWidth ?? 0, planned?.upperWidth ?? 0, units)} wide`;
    }
    case 'spiral':
      return `${countText(area.stripes, 'stripe')} ${length(area.width)} wide, climbing ${length(area.pitch)} a turn to the ${area.hand} from ${degrees(area.start)}`;
    case 'wave':
      return `${countText(area.waves, 'wave')} swinging ${length(area.swing)}, ${length(area.width)} wide, a crest at ${degrees(area.shift)}`;
    case 'window':
      return `${outlineName(area.outline)}, ${length(area.width)} wide, at ${degrees(area.angle)}${area.turn === 0 ? '' : `, turned ${degrees(area.turn)}`}, ${span} up`;
    case 'scatter': {
      const count = planned?.motifs?.placed ?? area.count;
      return `${count} × ${outlineName(area.outline)}, ${length(area.width)} wide, ${length(area.clearance)} apart, seed ${area.seed}`;
    }
    case 'base':
      return 'the disc under the cup';
    case 'grip':
      return 'the outside of the handle';
  }
}

const teethNouns = { zigzag: ['tooth', 'teeth'], scallop: ['scallop', 'scallops'], wave: ['wave', 'waves'] } as const;

function teethWords(teeth: Teeth, units: Units): string {
  const [one, many] = teethNouns[teeth.line];
  return `${countText(teeth.count, one, many)} ${lengthText(teeth.depth, units)} deep`;
}
