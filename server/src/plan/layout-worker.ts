import { parentPort, workerData } from 'node:worker_threads';
import { layoutOf, UnclearRegionError, type Area, type Cup } from '@aurantia/core';

/** What a layout came to: the areas, or the sentence why they can't be told apart. */
export type LayoutReply = { readonly layout: ReturnType<typeof layoutOf> } | { readonly unclear: string };

const { cup, areas } = workerData as { cup: Cup; areas: readonly Area[] };
try {
  parentPort?.postMessage({ layout: layoutOf(cup, areas) } satisfies LayoutReply);
} catch (error) {
  if (!(error instanceof UnclearRegionError)) throw error;
  parentPort?.postMessage({ unclear: error.message } satisfies LayoutReply);
}
