/// <reference lib="webworker" />
import { shelfSearch } from '@aurantia/core';
import type { MixesReply, MixesRequest } from './mixes-request';

/** ms between two words to the page */
const WORD_EVERY = 80;

const say = (reply: MixesReply) => postMessage(reply);

/** Searches the shelf for a mix, telling how far it is. */
addEventListener('message', ({ data: { wish, shelf } }: MessageEvent<MixesRequest>) => {
  try {
    const search = shelfSearch(wish, shelf);
    let told = performance.now();
    for (;;) {
      const { value, done } = search.next();
      if (done) return say({ answer: value });
      if (performance.now() - told < WORD_EVERY) continue;
      told = performance.now();
      say({ answer: value() });
    }
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'This mix can’t be searched for.' });
  }
});
