import type { Cup, Design, Finding, Workshop } from '@aurantia/core';
import type { Mend, RefitLine, RefitWays } from '@aurantia/core/refit';

/** What a page asks of the worker that puts a design on another cup. */
export interface RefitRequest {
  readonly design: Design;
  readonly cup: Cup;
  readonly ways: RefitWays;
  readonly workshop: Workshop;
  readonly mends: readonly Mend[];
}

/** A refitted design, with both cups drawn, SVG. */
export interface Refitted {
  readonly design: Design;
  readonly drawings: { readonly before: string; readonly after: string };
  readonly lines: readonly RefitLine[];
  readonly unfit: readonly Finding[];
}

export type RefitReply = Refitted | { readonly sentence: string };
