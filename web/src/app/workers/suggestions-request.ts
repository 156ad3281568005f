import type { CoatId, Design, Otherwise, Workshop } from '@aurantia/core';
import type { DeepPlace, InkDepth, InkSpread, OverBase } from '@aurantia/core/ink-depth';
import type { InkWish, OfferedPots } from '@aurantia/core/ink-pot';

/** The tinted coat that is asked about, and the colour it shall come to at a place. */
export interface DepthWish {
  readonly coat: CoatId;
  readonly place: string;
  /** hex; null to know only what it comes to as it is */
  readonly wanted: string | null;
}

/** What one tinted coat comes to, one, two and three times, and the drops that come nearest to a colour. */
export interface DepthAnswer {
  readonly after: readonly DeepPlace[];
  readonly depths: readonly InkDepth[];
  readonly bases: readonly OverBase[];
  readonly spread: InkSpread | null;
}

interface Tried {
  readonly design: Design;
  readonly workshop: Workshop;
}

/**
 * What a page asks of the worker that plans coats: a whole plan, what it would do otherwise, how deep a tint comes, or which
 * inks come near a colour.
 */
export type SuggestionsRequest = Tried &
  (
    | { readonly wants: 'whole' | 'otherwise' }
    | { readonly wants: 'depth'; readonly wish: DepthWish }
    | { readonly wants: 'inks'; readonly wish: InkWish }
  );

export type SuggestionsReply =
  | { readonly whole: Design }
  | { readonly otherwise: readonly Otherwise[] }
  | { readonly depth: DepthAnswer }
  /** again and again, until it is over */
  | { readonly inks: OfferedPots }
  | { readonly sentence: string };
