/// <reference lib="webworker" />
import { findMix, shelfAnswer, shelfQuestion } from '@aurantia/core';
import type { MixesReply, MixesRequest } from './mixes-request';

/** ms between two words to the page */
const WORD_EVERY = 80;

const say = (reply: MixesReply) => postMessage(reply);

/** Searches the shelf for a mix, telling how far it is. */
addEventListener('message', ({ data: { wish, shelf } }: MessageEvent<MixesRequest>) => {
  try {
    const { question, items } = shelfQuestion(wish, shelf);
    const search = findMix(question);
    let told = performance.now();
    for (;;) {
      const { value, done } = search.next();
      if (!done && performance.now() - told < WORD_EVERY) continue;
      told = performance.now();
      say({ answer: shelfAnswer(value, items, wish.step, done === true) });
      if (done) return;
    }
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'This mix can’t be searched for.' });
  }
});
