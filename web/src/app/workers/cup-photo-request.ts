import type { CupHandles, Picture, PicturePoint, SeenPlace } from '@aurantia/core/cup-photo';
import type { Make } from '@aurantia/core/make';

/** What a page asks of the worker that reads a cup off a photo. */
export interface CupPhotoRequest {
  readonly make: Make;
  readonly picture: Picture;
  readonly handles: CupHandles;
  readonly card: { readonly at: PicturePoint; readonly is: string };
  readonly faces: number;
}

/** A place with the colour it should have beside the one it has. */
export interface PlaceBeside extends SeenPlace {
  readonly expected: string;
}

export type CupPhotoReply =
  | {
      readonly places: readonly PlaceBeside[];
      readonly unseen: readonly string[];
      readonly tilt: number;
      readonly leaning: number;
    }
  | { readonly sentence: string };
