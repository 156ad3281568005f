import type { Region } from '@aurantia/core';
import type { Drawing, Mark } from '../drawn/drawing';

/** A mark whose region the worker knows by a number. */
export type NumberedMark = Omit<Mark, 'region'> & { readonly region: number };

/** What a page asks of the worker that draws walls. */
export interface DrawingsRequest {
  /** regions that weren't drawn before, by their numbers */
  readonly come: readonly (readonly [number: number, region: Region])[];
  /** numbers of those that nothing shows any more */
  readonly go: readonly number[];
  readonly drawing: Drawing<NumberedMark>;
}

/** That the worker is there, or the picture; one that fails says nothing, and the page draws. */
export type DrawingsReply = 'here' | { readonly picture: ImageBitmap };
