/// <reference lib="webworker" />
import { fromHere } from '@aurantia/core/make';
import type { FromHereReply, FromHereRequest } from './from-here-request';

/** Plans the rest of a half-made cup from what was really done. */
addEventListener('message', ({ data: { make, entries, laying, now } }: MessageEvent<FromHereRequest>) => {
  postMessage({ anew: fromHere(make, entries, laying, now) } satisfies FromHereReply);
});
