/// <reference lib="webworker" />
import { comparedWays, stringFlow } from '@aurantia/core/string-flow';
import type { StringsReply, StringsRequest } from './strings-request';
import { tellNowAndThen } from './tell-now-and-then';

const say = (reply: StringsReply) => postMessage(reply);

/** Lets strings run off the main thread. */
addEventListener('message', ({ data: { wants, design, workshop, coat } }: MessageEvent<StringsRequest>) => {
  const tellFlow = (flow: Extract<StringsReply, { flow: unknown }>['flow']) => say({ flow });
  try {
    if (wants === 'flow') tellNowAndThen(stringFlow(design, workshop, coat), tellFlow, tellFlow);
    else
      tellNowAndThen(
        comparedWays(design, workshop, coat),
        (ways) => say({ ways, over: false }),
        (ways) => say({ ways, over: true }),
      );
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'How these strings run can’t be worked out. Lay them otherwise.' });
  }
});
