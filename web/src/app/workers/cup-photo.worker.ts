/// <reference lib="webworker" />
import { PatchError } from '@aurantia/core';
import { cardSeen, HandlesError, PhotoReadError, readCupPhoto } from '@aurantia/core/cup-photo';
import { expectedPlaces, placesBeside } from '@aurantia/core/make';
import type { CardThere, CupPhotoReply, CupPhotoRequest } from './cup-photo-request';

/** Reads the colours of a made cup off a photo, beside those it should have. */
addEventListener('message', ({ data: { make, picture, handles, cards, faces, others } }: MessageEvent<CupPhotoRequest>) => {
  const say = (reply: CupPhotoReply) => postMessage(reply);
  try {
    const places = expectedPlaces(make);
    const known = ({ at, is }: CardThere) => ({ seen: cardSeen(picture, at), is });
    const [first, ...more] = cards;
    const { stations } = make.design.cup;
    const read = readCupPhoto({ picture, handles, cards: [known(first), ...more.map(known)], stations, faces, places });
    say({ places: placesBeside(read.places, places, others), unseen: read.unseen, cardsAgree: read.cardsAgree });
  } catch (error) {
    const told = error instanceof HandlesError || error instanceof PatchError || error instanceof PhotoReadError;
    say({ sentence: told ? error.message : 'This photo can’t be read. Try another.' });
  }
});
