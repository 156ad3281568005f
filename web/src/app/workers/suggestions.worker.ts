/// <reference lib="webworker" />
import { suggestedDesign, suggestedOtherwise } from '@aurantia/core';
import { v7 } from 'uuid';
import type { SuggestionsReply, SuggestionsRequest } from './suggestions-request';

/** Plans coats off the main thread: what is offered is tried first, and each trial is a whole plan. */
addEventListener('message', ({ data: { wants, design, workshop } }: MessageEvent<SuggestionsRequest>) => {
  const say = (reply: SuggestionsReply) => postMessage(reply);
  try {
    if (wants === 'whole') say({ whole: suggestedDesign(design, workshop, v7) });
    else say({ otherwise: suggestedOtherwise(design, workshop, v7) });
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'No plan can be suggested for this. Add the coats one by one.' });
  }
});
