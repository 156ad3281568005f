/// <reference lib="webworker" />
import { shelfSearch } from '@aurantia/core';
import type { MixesReply, MixesRequest } from './mixes-request';
import { tellNowAndThen } from './tell-now-and-then';

const say = (reply: MixesReply) => postMessage(reply);

/** Searches the shelf for a mix, telling how far it is. */
addEventListener('message', ({ data: { wish, shelf } }: MessageEvent<MixesRequest>) => {
  try {
    tellNowAndThen(
      shelfSearch(wish, shelf),
      (far) => say({ answer: far() }),
      (answer) => say({ answer }),
    );
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'This mix can’t be searched for.' });
  }
});
