import type { Cup, FieldPlan, FlakeField } from '@aurantia/core';

/** What a page asks of the flake worker. */
export type FlakeRequest =
  | { readonly what: 'cup'; readonly plan: FieldPlan; readonly cup: Cup; readonly pixelsPerMm: number }
  | {
      readonly what: 'swatch';
      readonly plan: FieldPlan;
      readonly area: string;
      readonly side: number;
      readonly pixelsPerMm: number;
    };

/** What it says back: the picture again and again while flakes fall, the last with all of them; or why there is none. */
export type FlakeReply = { readonly field: FlakeField } | { readonly stopped: true } | { readonly sentence: string };

export const STOP = 'stop';
