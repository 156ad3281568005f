import { Worker } from 'node:worker_threads';
import {
  layoutWeight,
  planOf,
  UnclearRegionError,
  type Design,
  type Plan,
  type PlannedAreas,
  type Workshop,
} from '@aurantia/core';
import { ProblemError } from '../http/problem';
import type { LayoutReply } from './layout-worker';

/** Outlines of more points than this may take longer than anybody should wait for an answer to something else. */
const LONG_WORK = 2500;
/** How long a layout may take, ms. */
const PATIENCE = 30_000;

/**
 * The plan of a design. One with long outlines is laid out in a thread of its own, so that the program answers all
 * else meanwhile and can be stopped at any moment.
 * @throws ProblemError 503 when it takes too long, 422 when its areas can't be told apart
 */
export async function planAside(design: Design, workshop: Workshop, patience = PATIENCE): Promise<Plan> {
  try {
    return planOf(design, workshop, layoutWeight(design.areas) > LONG_WORK ? await layoutAside(design, patience) : undefined);
  } catch (error) {
    if (error instanceof UnclearRegionError) throw new ProblemError(422, 'Not clear', error.message);
    throw error;
  }
}

function layoutAside({ cup, areas }: Design, patience: number): Promise<PlannedAreas> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL('./layout-worker-start.mjs', import.meta.url), {
      workerData: { cup, areas },
      execArgv: [],
    });
    // It holds nobody up who wants to stop the program.
    worker.unref();
    const late = setTimeout(() => {
      end(() =>
        reject(
          new ProblemError(
            503,
            'Takes too long',
            `The areas of this design take over ${patience / 1000} s to lay out, so it was stopped. Take fewer motifs, or plainer outlines.`,
          ),
        ),
      );
    }, patience);
    const end = (how: () => void) => {
      clearTimeout(late);
      void worker.terminate();
      how();
    };
    worker.once('message', (reply: LayoutReply) =>
      end(() => ('layout' in reply ? resolve(reply.layout) : reject(new ProblemError(422, 'Not clear', reply.unclear)))),
    );
    worker.once('error', (error) => end(() => reject(error)));
  });
}
