import type { Settings } from '@aurantia/core';
import type { FromHere, LogEntry, Make } from '@aurantia/core/make';

/** What a page asks of the worker that plans the rest of a half-made cup anew. */
export interface FromHereRequest {
  readonly make: Make;
  readonly entries: readonly LogEntry[];
  /** of the coat that is being laid */
  readonly laying: Readonly<Record<string, number>>;
  readonly now: Pick<Settings, 'units' | 'losses'>;
}

export type FromHereReply = { readonly anew: FromHere } | { readonly sentence: string };
