/// <reference lib="webworker" />
import { suggestedDesign, suggestedOtherwise, type Design, type Workshop } from '@aurantia/core';
import { afterCoats, dropsForColour, inkSpread, overBases } from '@aurantia/core/ink-depth';
import { whichInks, type OfferedPots } from '@aurantia/core/ink-pot';
import { v7 } from 'uuid';
import type { DepthAnswer, DepthWish, SuggestionsReply, SuggestionsRequest } from './suggestions-request';
import { tellNowAndThen } from './tell-now-and-then';

const say = (reply: SuggestionsReply) => postMessage(reply);
const sayInks = (inks: OfferedPots) => say({ inks });

/** Plans coats off the main thread: what is offered is tried first, and each trial is a whole plan. */
addEventListener('message', ({ data }: MessageEvent<SuggestionsRequest>) => {
  const { design, workshop } = data;
  try {
    if (data.wants === 'inks') tellNowAndThen(whichInks(design, workshop, data.wish), sayInks, sayInks);
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
  bases: overBases(design, workshop, coat),
  spread: inkSpread(design, workshop, coat, place),
});
