import type { CupHandles, Picture, PicturePoint } from '@aurantia/core/cup-photo';
import type { Make, MakePhoto, PlaceBeside } from '@aurantia/core/make';

/** What a page asks of the worker that reads a cup off a photo. */
export interface CupPhotoRequest {
  readonly make: Make;
  readonly picture: Picture;
  readonly handles: CupHandles;
  readonly card: { readonly at: PicturePoint; readonly is: string };
  readonly faces: number;
  /** photos of other makes of the design that were read, the latest first */
  readonly others: readonly MakePhoto[];
}

export type CupPhotoReply =
  { readonly places: readonly PlaceBeside[]; readonly unseen: readonly string[] } | { readonly sentence: string };
