import type { CoatId, Design, Workshop } from '@aurantia/core';
import type { OtherWay, StringFlow } from '@aurantia/core/string-flow';

/** What a page asks of the worker that lets strings run: how one coat's run, or what they come to laid otherwise. */
export interface StringsRequest {
  readonly wants: 'flow' | 'ways';
  readonly design: Design;
  readonly workshop: Workshop;
  readonly coat: CoatId;
}

/** What strings come to laid otherwise, as far as it is known. */
export interface ComparedWays {
  readonly ways: readonly OtherWay[];
  readonly over: boolean;
}

/** What it says back, again and again until it is over. */
export type StringsReply = { readonly flow: StringFlow } | ComparedWays | { readonly sentence: string };
