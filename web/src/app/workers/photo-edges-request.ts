import type { CupHandles, Picture, PicturePoint } from '@aurantia/core/cup-photo';
import type { Station } from '@aurantia/core/vessel';

/** What a page asks of the worker that finds a cup and a card in a photo. */
export interface PhotoEdgesRequest {
  readonly picture: Picture;
  readonly stations: readonly Station[];
}

export interface PhotoEdges {
  /** null where nothing looks like this cup, or like a card */
  readonly handles: CupHandles | null;
  readonly card: PicturePoint | null;
  /** something else that may be one */
  readonly second: PicturePoint | null;
  readonly says: string;
}

export type PhotoEdgesReply = PhotoEdges | { readonly sentence: string };
