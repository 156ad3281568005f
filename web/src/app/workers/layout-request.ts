import type { Area, Cup, PlannedAreas } from '@aurantia/core';

/** What a page asks of the layout worker, and what comes back: the layout, or why there is none. */
export interface LayoutRequest {
  readonly cup: Cup;
  readonly areas: readonly Area[];
}
export interface LayoutReply {
  readonly layout: PlannedAreas | null;
  readonly sentence: string | null;
}
