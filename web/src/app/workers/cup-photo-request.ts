import type { CoatId } from '@aurantia/core';
import type { CupHandles, Picture, PicturePoint } from '@aurantia/core/cup-photo';
import type { Make, MakePhoto, PlaceBeside } from '@aurantia/core/make';

export interface CardThere {
  readonly at: PicturePoint;
  readonly is: string;
}

/** What a page asks of the worker that reads a cup off a photo. */
export interface CupPhotoRequest {
  readonly make: Make;
  /** the last coat that was on when it was taken */
  readonly last: CoatId | null;
  readonly picture: Picture;
  readonly handles: CupHandles;
  /** where a card is in the photo, and what it is; a second one makes it surer */
  readonly cards: readonly [CardThere, ...CardThere[]];
  readonly faces: number;
  /** photos of other makes of the design that were read, the latest first */
  readonly others: readonly MakePhoto[];
}

export interface CupAnswer {
  readonly places: readonly PlaceBeside[];
  readonly unseen: readonly string[];
  readonly cardsAgree: boolean;
  /** with what it was compared, where the cup wasn't finished */
  readonly says: string;
}

export type CupPhotoReply = CupAnswer | { readonly sentence: string };
