/// <reference lib="webworker" />
import { PatchError } from '@aurantia/core';
import { cardSeen, HandlesError, PhotoReadError, readCupPhoto } from '@aurantia/core/cup-photo';
import { expectedCup, placesBeside } from '@aurantia/core/make';
import type { CardThere, CupPhotoReply, CupPhotoRequest } from './cup-photo-request';

/** Reads the colours of a made cup off a photo, beside those it should have. */
addEventListener('message', ({ data: { make, last, picture, handles, cards, faces, others } }: MessageEvent<CupPhotoRequest>) => {
  const say = (reply: CupPhotoReply) => postMessage(reply);
  try {
    const { places, finished, says } = expectedCup(make, last);
    const known = ({ at, is }: CardThere) => ({ seen: cardSeen(picture, at), is });
    const [first, ...more] = cards;
    const { stations } = make.design.cup;
    const read = readCupPhoto({ picture, handles, cards: [known(first), ...more.map(known)], stations, faces, places });
    // Other makes were photographed once they were finished: an unfinished one is like none of them.
    const beside = placesBeside(read.places, places, finished ? others : []);
    say({ places: beside, unseen: read.unseen, cardsAgree: read.cardsAgree, says });
  } catch (error) {
    const told = error instanceof HandlesError || error instanceof PatchError || error instanceof PhotoReadError;
    say({ sentence: told ? error.message : 'This photo can’t be read. Try another.' });
  }
});
