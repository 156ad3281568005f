import type { CupHandles, Picture, PicturePoint } from '@aurantia/core/cup-photo';
import type { Make, MakePhoto, PlaceBeside } from '@aurantia/core/make';

export interface CardThere {
  readonly at: PicturePoint;
  readonly is: string;
}

/** What a page asks of the worker that reads a cup off a photo. */
export interface CupPhotoRequest {
  readonly make: Make;
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
}

export type CupPhotoReply = CupAnswer | { readonly sentence: string };
