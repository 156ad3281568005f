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

/**
 * What the page tells its crew: the one that it speaks to how many cores there are, and which helper is lost, counted from 0 as
 * they were begun; a helper the end that it is spoken to through.
 */
export type CrewMessage = { readonly cores: number } | { readonly lost: number } | { readonly helps: MessagePort };

/** The one that the page speaks to wants another helper, with this end. */
export interface CrewWish {
  readonly begin: MessagePort;
}

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
