import type { Cup, FieldPlan } from '@aurantia/core';

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
