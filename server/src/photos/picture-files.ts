import { join } from 'node:path';

/** A photo as it is looked at, and the small one of it in lists. */
export const PICTURE_SIZES = ['large', 'small'] as const;
export type PictureSize = (typeof PICTURE_SIZES)[number];

/** What a photo's picture is called in its folder, and in a backup. */
export const pictureName = (id: string, size: PictureSize): string => `${id}${size === 'small' ? '-small' : ''}.jpg`;

export const pictureFile = (folder: string, id: string, size: PictureSize): string => join(folder, pictureName(id, size));
