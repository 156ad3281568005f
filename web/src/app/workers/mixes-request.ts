import type { ShelfAnswer, ShelfItem, ShelfWish } from '@aurantia/core';

/** What a page asks of the mix worker. Stopping is ending the worker. */
export interface MixesRequest {
  readonly wish: ShelfWish;
  readonly shelf: readonly ShelfItem[];
}

/** What comes back, again and again until it is over; or the sentence why it can’t be asked so. */
export type MixesReply = { readonly answer: ShelfAnswer } | { readonly sentence: string };
