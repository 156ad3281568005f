import type { KnownPatch } from '@aurantia/core';
import type { PhotoColour } from '@aurantia/core/photo';

/** What a page asks of the worker that sorts colours: RGBA pixels, how many colours, and what sets their light right. */
export interface PhotoColoursRequest {
  readonly pixels: Uint8ClampedArray;
  readonly count: number;
  readonly patch: KnownPatch | null;
}

export type PhotoColoursReply = { readonly colours: readonly PhotoColour[] } | { readonly sentence: string };
