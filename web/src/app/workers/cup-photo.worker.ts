/// <reference lib="webworker" />
import { hexOfLab, PatchError } from '@aurantia/core';
import { cardSeen, HandlesError, PhotoReadError, readCupPhoto } from '@aurantia/core/cup-photo';
import { expectedPlaces } from '@aurantia/core/make';
import type { CupPhotoReply, CupPhotoRequest } from './cup-photo-request';

/** Reads the colours of a made cup off a photo, beside those it should have. */
addEventListener('message', ({ data: { make, picture, handles, card, faces } }: MessageEvent<CupPhotoRequest>) => {
  const say = (reply: CupPhotoReply) => postMessage(reply);
  try {
    const places = expectedPlaces(make);
    const known = { seen: cardSeen(picture, card.at), is: card.is };
    const { stations } = make.design.cup;
    const read = readCupPhoto({ picture, handles, card: known, stations, faces, places });
    const expected = new Map(places.map((place) => [place.id, hexOfLab(place.expected)]));
    say({ ...read, places: read.places.map((place) => ({ ...place, expected: expected.get(place.id) ?? place.hex })) });
  } catch (error) {
    const told = error instanceof HandlesError || error instanceof PatchError || error instanceof PhotoReadError;
    say({ sentence: told ? error.message : 'This photo can’t be read. Try another.' });
  }
});
