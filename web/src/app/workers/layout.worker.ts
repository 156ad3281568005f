/// <reference lib="webworker" />
import { layoutOf, type Area, type Cup } from '@aurantia/core';
import type { LayoutReply, LayoutRequest } from './layout-request';

// What comes from the page is a fresh copy each time; the core remembers shapes by object, so the
// same text is given the same object again.
const known = new Map<string, Area | Cup>();
function same<Thing extends Area | Cup>(thing: Thing): Thing {
  const text = JSON.stringify(thing);
  const before = known.get(text) as Thing | undefined;
  if (before) return before;
  if (known.size > 400) known.clear();
  known.set(text, thing);
  return thing;
}

/** Splits a cup into its areas off the main thread: hundreds of motifs take longer than a frame. */
addEventListener('message', ({ data }: MessageEvent<LayoutRequest>) => {
  let reply: LayoutReply;
  try {
    reply = { layout: layoutOf(same(data.cup), data.areas.map(same)), sentence: null };
  } catch (error) {
    reply = { layout: null, sentence: error instanceof Error ? error.message : 'This layout can’t be worked out.' };
  }
  postMessage(reply);
});
