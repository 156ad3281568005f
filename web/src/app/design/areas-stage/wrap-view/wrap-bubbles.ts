import { lengthText, type Area, type AreaHandle, type PlannedArea, type Units } from '@aurantia/core';

/** A handle and where it is drawn, css pixels. */
interface DrawnHandle {
  readonly handle: AreaHandle;
  readonly x: number;
  readonly y: number;
}

export interface Bubble {
  readonly key: string;
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

/** The figures that matter while an area is moved, at the ends they belong to. */
export function bubblesOf(area: Area, planned: PlannedArea, handles: readonly DrawnHandle[], units: Units): readonly Bubble[] {
  if (planned.from === null || planned.to === null) return [];
  const at = (key: string, text: string, by: number) =>
    handles.filter(({ handle }) => handle.key === key).map(({ x, y }) => ({ key, x, y: y + by, text }));
  const ends = (lower: string, upper: string) => [...at('lower', lower, 22), ...at('upper', upper, -20)];
  const second = (text: string) => handles.slice(1, 2).map(({ x, y }) => ({ key: 'second', x, y: y - 20, text }));
  switch (area.kind) {
    case 'wedge':
      return ends(
        `${lengthText(planned.lowerWidth ?? 0, units)} wide below`,
        `${lengthText(planned.upperWidth ?? 0, units)} wide above`,
      );
    case 'band':
    case 'scatter':
      return ends(
        `from ${lengthText(handles.at(0)?.handle.height ?? 0, units)}`,
        `to ${lengthText(handles.at(1)?.handle.height ?? 0, units)}`,
      );
    case 'spiral':
      return second(`climbs ${lengthText(area.pitch, units)} a turn`);
    case 'wave':
      return second(`swings ${lengthText(area.swing, units)}`);
    case 'window':
      return second(`${lengthText(area.width, units)} wide`);
    default:
      return [];
  }
}
