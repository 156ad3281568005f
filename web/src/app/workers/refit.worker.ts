/// <reference lib="webworker" />
import { cupDrawing } from '@aurantia/core';
import { refit } from '@aurantia/core/refit';
import type { RefitReply, RefitRequest } from './refit-request';

/** Puts a design on another cup, and draws both. */
addEventListener('message', ({ data: { design, cup, ways, workshop, mends } }: MessageEvent<RefitRequest>) => {
  const say = (reply: RefitReply) => postMessage(reply);
  const on = refit(design, cup, ways, workshop, mends);
  if (!on.fits) return say({ sentence: on.says });
  const drawings = { before: cupDrawing(on.before, design.cup), after: cupDrawing(on.after, cup) };
  say({ design: on.design, drawings, lines: on.lines, unfit: on.unfit });
});
