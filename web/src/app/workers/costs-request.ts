import type { CoatId, Design, Workshop } from '@aurantia/core';
import type { Cost, Prices, Saving } from '@aurantia/core/money';

/** What a page asks of the worker that counts what cups cost. */
export interface CostsRequest {
  readonly design: Design;
  readonly workshop: Workshop;
  readonly prices: Prices;
  /** numbers of cups at once, each counted by itself */
  readonly cups: readonly number[];
}

export interface Costed {
  /** in the order asked */
  readonly costs: readonly Cost[];
  /** what would make one cup cheaper */
  readonly savings: readonly Saving[];
  readonly titles: readonly { readonly coat: CoatId; readonly title: string }[];
}

export type CostsReply = Costed | { readonly sentence: string };
