import type { Cup, DroppedStripe, FieldPlan, FlakeField } from '@aurantia/core';

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

/** What it says back: the picture, a large one coarse at first; or why there is none. */
export type FlakeReply = { readonly field: FlakeField } | { readonly stopped: true } | { readonly sentence: string };

export const STOP = 'stop';

/** How the workers of a crew find each other: the one that the page speaks to gets the others' ends, each of them its own. */
export type CrewMessage = { readonly helpers: readonly MessagePort[] } | { readonly helps: MessagePort };

/** What a helper is asked for, its rows of a picture, and what it gives; null where it was stopped, or couldn't. */
export interface StripeWish {
  readonly number: number;
  readonly request: FlakeRequest;
  readonly from: number;
  readonly to: number;
}
export interface StripeReply {
  readonly number: number;
  readonly stripe: DroppedStripe | null;
}
