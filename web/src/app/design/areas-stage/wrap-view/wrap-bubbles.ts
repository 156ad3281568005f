import { areaFigures, type Area, type AreaHandle, type Cup, type Units } from '@aurantia/core';

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

/** The figures that matter while an area is moved, beside the handles they belong to; what is at its foot below it. */
export const bubblesOf = (area: Area, cup: Cup, handles: readonly DrawnHandle[], units: Units): readonly Bubble[] =>
  areaFigures(area, cup, units).flatMap(({ key, text }) =>
    handles.filter(({ handle }) => handle.key === key).map(({ x, y }) => ({ key, x, y: y + (key === 'lower' ? 22 : -20), text })),
  );
