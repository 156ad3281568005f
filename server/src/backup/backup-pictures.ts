import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { PICTURE_SIZES, pictureFile, pictureName } from '../photos/picture-files';
import { BackupError, sumsIn } from './backup-file';
import type { Snapshot } from './snapshot';

const inZip = (name: string): string => `pictures/${name}`;

/** The pictures of photos that lie in their folder, by what they are called in a backup. */
export const picturesOf = (photos: readonly string[], folder: string): readonly { name: string; file: string }[] =>
  photos
    .flatMap((id) => PICTURE_SIZES.map((size) => ({ name: inZip(pictureName(id, size)), file: pictureFile(folder, id, size) })))
    .filter(({ file }) => existsSync(file));

/** The photos of a backup whose picture it brings along. */
export function picturedIn(bytes: Uint8Array, { photos }: Snapshot): ReadonlySet<string> {
  const names = namesIn(bytes);
  return new Set(photos.map(({ id }) => id).filter((id) => names.has(inZip(pictureName(id, 'large')))));
}

/**
 * Puts the pictures that a backup brings along into their folder, all or none; one that is there already stays as it is, for a
 * picture never changes.
 * @throws BackupError where one isn't as it was written
 */
export function bringPictures(bytes: Uint8Array, { photos }: Snapshot, folder: string): void {
  const [names, sums] = [namesIn(bytes), sumsIn(bytes)];
  const brought: { file: string; half: string }[] = [];
  try {
    for (const { id } of photos)
      for (const size of PICTURE_SIZES) {
        const [name, file] = [inZip(pictureName(id, size)), pictureFile(folder, id, size)];
        if (!names.has(name) || existsSync(file)) continue;
        // One at a time: together they may be more than is good to have in hand.
        const picture = unpacked(bytes, name);
        if (!picture || createHash('sha256').update(picture).digest('hex') !== sums[name])
          throw new BackupError(`This backup is damaged: “${name}” in it isn’t as it was written. Choose an older one.`);
        mkdirSync(folder, { recursive: true, mode: 0o700 });
        const half = join(folder, `${pictureName(id, size)}.part`);
        brought.push({ file, half });
        writeFileSync(half, picture);
      }
    for (const { file, half } of brought) renameSync(half, file);
  } finally {
    for (const { half } of brought) rmSync(half, { force: true });
  }
}

function namesIn(bytes: Uint8Array): ReadonlySet<string> {
  const names = new Set<string>();
  unzipSync(bytes, { filter: ({ name }) => names.add(name) === null });
  return names;
}

function unpacked(bytes: Uint8Array, wanted: string): Uint8Array | null {
  try {
    return unzipSync(bytes, { filter: ({ name }) => name === wanted })[wanted] ?? null;
  } catch {
    // What can't be unpacked isn't as it was written: the caller says so.
    return null;
  }
}
