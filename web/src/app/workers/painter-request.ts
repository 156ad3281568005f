import type { FlakeField } from '@aurantia/core';
import type { CupPicture, Standing } from '@aurantia/core/figure';

/** A cup and what lies on its wall. */
export interface PaintedSubject {
  readonly field: FlakeField;
  readonly cup: Standing;
}

/** What a page asks of the painter; null where the subject is the one asked for last, which spares its copy. */
export interface PainterRequest {
  readonly subject: PaintedSubject | null;
  readonly how: CupPicture;
}

/** The picture, or why there is none. */
export type PainterReply = { readonly picture: ImageBitmap } | { readonly sentence: string };
