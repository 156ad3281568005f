import { existsSync } from 'node:fs';
import { mkdir, rename, rm, writeFile } from 'node:fs/promises';
import { PICTURE_SIZES, pictureFile, pictureName } from '../photos/picture-files';
import { damaged, sumOf, sumsIn, unpacked } from './backup-file';
import type { Snapshot } from './snapshot';

const inZip = (name: string): string => `pictures/${name}`;

/** The pictures of photos that lie in their folder, by what they are called in a backup. */
export const picturesOf = (photos: readonly string[], folder: string): readonly { name: string; file: string }[] =>
  photos
    .flatMap((id) => PICTURE_SIZES.map((size) => ({ name: inZip(pictureName(id, size)), file: pictureFile(folder, id, size) })))
    .filter(({ file }) => existsSync(file));

/** The photos of a backup whose picture it brings along. */
export function picturedIn(bytes: Uint8Array, { photos }: Snapshot): ReadonlySet<string> {
  const sums = sumsIn(bytes);
  return new Set(photos.map(({ id }) => id).filter((id) => inZip(pictureName(id, 'large')) in sums));
}

/**
 * Puts the pictures that a backup brings along into their folder, all or none; one that is there already stays as it is, for a
 * picture never changes.
 * @throws BackupError where one isn't as it was written
 */
export async function bringPictures(bytes: Uint8Array, { photos }: Snapshot, folder: string): Promise<void> {
  const sums = sumsIn(bytes);
  const brought: { file: string; half: string }[] = [];
  try {
    for (const { id } of photos)
      for (const size of PICTURE_SIZES) {
        const [name, file] = [inZip(pictureName(id, size)), pictureFile(folder, id, size)];
        if (!(name in sums) || existsSync(file)) continue;
        // One at a time: together they may be more than is good to have in hand, and others wait for their answers meanwhile.
        const picture = unpacked(bytes, (one) => one === name)[name];
        if (!picture || sumOf(picture) !== sums[name]) throw damaged(name);
        await mkdir(folder, { recursive: true, mode: 0o700 });
        const half = `${file}.part`;
        brought.push({ file, half });
        await writeFile(half, picture);
      }
    for (const { file, half } of brought) await rename(half, file);
  } finally {
    for (const { half } of brought) await rm(half, { force: true });
  }
}
