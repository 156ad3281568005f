import * as z from 'zod';
import { coatIdSchema } from '../design';
import { hexSchema } from '../hex';
import { idText } from '../units';
import { makeIdSchema } from './make-id';

const point = z.tuple([z.number(), z.number()]);

const cardSchema = z.strictObject({ at: point, is: hexSchema });

/** What was read off a photo, with what it was read by: so that it can be looked at, and read again, later. */
export const photoReadingSchema = z.strictObject({
  handles: z.strictObject({ rimLeft: point, rimRight: point, footLeft: point, footRight: point }),
  card: cardSchema,
  /** another card in the same photo, which makes it surer */
  second: cardSchema.optional(),
  /** degrees from the seam that face the camera */
  faces: z.number().min(0).max(360),
  places: z
    .array(
      z.strictObject({
        id: z.string().max(200),
        name: z.string().max(200),
        lab: z.tuple([z.number(), z.number(), z.number()]),
        hex: hexSchema,
        /** ΔE00 from the plan, and one standard deviation of what the photo can't tell */
        off: z.number().min(0),
        spread: z.number().min(0),
        share: z.number().min(0).max(1),
      }),
    )
    .max(500),
});
export type PhotoReading = z.infer<typeof photoReadingSchema>;

/** A photo of a make, kept beside the workshop's file. */
export const makePhotoSchema = z.strictObject({
  id: idText('A photo needs an id.'),
  make: makeIdSchema,
  number: z.int(),
  at: z.iso.datetime(),
  coat: coatIdSchema.nullable(),
  width: z.int().positive(),
  height: z.int().positive(),
  reading: photoReadingSchema.nullable(),
});
export type MakePhoto = z.infer<typeof makePhotoSchema>;
/** Those of a make, and those of other makes of its design that were read: to lay beside each other. */
export const makePhotosSchema = z.strictObject({ photos: z.array(makePhotoSchema), others: z.array(makePhotoSchema) });
export type MakePhotos = z.infer<typeof makePhotosSchema>;
