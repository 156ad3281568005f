import type { Design, Otherwise, Workshop } from '@aurantia/core';

/** What a page asks of the worker that plans coats: a whole plan, or what it would do otherwise than the coats there are. */
export interface SuggestionsRequest {
  readonly wants: 'whole' | 'otherwise';
  readonly design: Design;
  readonly workshop: Workshop;
}

export type SuggestionsReply =
  { readonly whole: Design } | { readonly otherwise: readonly Otherwise[] } | { readonly sentence: string };
