import type { History } from '@aurantia/core';
import { changesBetween } from '@aurantia/core/history';
import type { Reading } from '../aside/reading';

export interface HistoryAsked {
  readonly id: string;
  /** how many of the newest are left out, and how many are wanted */
  readonly from: number;
  readonly limit: number;
}

/** Some of a design's revisions that stayed, newest first, with what changed in each since the one before it. */
export async function historyOf({ id, from, limit }: HistoryAsked, reading: Reading): Promise<History> {
  const revisions = await reading.designs.revisions(id, from, limit);
  const { workshop: now } = await reading.workshop();
  return {
    revisions: revisions.slice(0, limit).map(({ revision, keptAt, document }, i) => {
      const before = revisions.at(i + 1);
      // The first of all changed nothing: it began.
      if (!before && document) return { revision, keptAt, changes: [] };
      if (!before?.document || !document) return { revision, keptAt, changes: null };
      return { revision, keptAt, changes: [...changesBetween(before.document, document, now)] };
    }),
    more: revisions.length > limit,
  };
}
