/// <reference lib="webworker" />
import { suggestedDesign, suggestedOtherwise, type Design, type Workshop } from '@aurantia/core';
import { afterCoats, dropsForColour } from '@aurantia/core/ink-depth';
import { whichInks, type InkWish } from '@aurantia/core/ink-pot';
import { v7 } from 'uuid';
import type { DepthAnswer, DepthWish, SuggestionsReply, SuggestionsRequest } from './suggestions-request';

/** ms between two words to the page */
const WORD_EVERY = 80;

const say = (reply: SuggestionsReply) => postMessage(reply);

/** Plans coats off the main thread: what is offered is tried first, and each trial is a whole plan. */
addEventListener('message', ({ data }: MessageEvent<SuggestionsRequest>) => {
  const { design, workshop } = data;
  try {
    if (data.wants === 'inks') sayInks(design, workshop, data.wish);
    else if (data.wants === 'depth') say({ depth: depthOf(design, workshop, data.wish) });
    else if (data.wants === 'whole') say({ whole: suggestedDesign(design, workshop, v7) });
    else say({ otherwise: suggestedOtherwise(design, workshop, v7) });
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'No plan can be suggested for this. Add the coats one by one.' });
  }
});

const depthOf = (design: Design, workshop: Workshop, { coat, place, wanted }: DepthWish): DepthAnswer => ({
  after: afterCoats(design, workshop, coat),
  depths: wanted === null ? [] : dropsForColour(design, workshop, { coat, place, wanted }),
});

function sayInks(design: Design, workshop: Workshop, wish: InkWish): void {
  const search = whichInks(design, workshop, wish);
  let told = performance.now();
  for (;;) {
    const { value, done } = search.next();
    if (done) return say({ inks: value });
    if (performance.now() - told < WORD_EVERY) continue;
    told = performance.now();
    say({ inks: value });
  }
}
