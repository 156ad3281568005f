/// <reference lib="webworker" />
import { photoColours } from '@aurantia/core/photo';
import type { PhotoColoursReply, PhotoColoursRequest } from './photo-colours-request';

/** Sorts the colours of a photo. */
addEventListener('message', ({ data: { pixels, count, patch } }: MessageEvent<PhotoColoursRequest>) => {
  const say = (reply: PhotoColoursReply) => postMessage(reply);
  try {
    say({ colours: photoColours(pixels, count, patch) });
  } catch (error) {
    say({ sentence: error instanceof Error ? error.message : 'The colours of this photo can’t be sorted. Try another.' });
  }
});
