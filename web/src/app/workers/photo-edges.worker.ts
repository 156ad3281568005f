/// <reference lib="webworker" />
import { foundCards, foundOutline, foundWords } from '@aurantia/core/photo-edges';
import type { PhotoEdgesReply, PhotoEdgesRequest } from './photo-edges-request';

/** Finds a cup's outline and a card in a photo. */
addEventListener('message', ({ data: { picture, stations } }: MessageEvent<PhotoEdgesRequest>) => {
  const outline = foundOutline(picture, stations);
  const cards = foundCards(picture, outline?.handles ?? null);
  const [card = null, second = null] = cards.map(({ at }) => at);
  const says = foundWords(outline, cards);
  postMessage({ handles: outline?.handles ?? null, card, second, says } satisfies PhotoEdgesReply);
});
