import { createHash } from 'node:crypto';
import { strFromU8, unzipSync } from 'fflate';
import * as z from 'zod';
import { snapshotSchema, type Snapshot } from './snapshot';

export const BACKUP_FORMAT = 'aurantia backup';
export const BACKUP_VERSION = 4;
/** Parts that backups of earlier versions don't have, and the version that brought them. */
const cameWith: Partial<Record<keyof Snapshot, number>> = { makes: 2, readings: 3, photos: 3, room: 3, orders: 4, books: 4 };
/** What is unpacked at most: far more than any workshop's documents, far less than what stalls a machine. */
const MOST_BYTES = 512 * 1024 * 1024;

const manifestSchema = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.int(),
  /** checksums of the other files, SHA-256 in hex */
  files: z.record(z.string(), z.string()),
});

/** What a backup has a file of each. */
export const parts = Object.keys(snapshotSchema.shape) as (keyof Snapshot)[];
export const fileOf = (part: keyof Snapshot): string => `${part}.json`;
/** A checksum, SHA-256 in hex. */
export const sumOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** The backup can't be read; the sentence says what to do. */
export class BackupError extends Error {
  override readonly name = 'BackupError';
}

/** A file in a backup isn't as it was written. */
export const damaged = (name: string): BackupError =>
  new BackupError(`This backup is damaged: “${name}” in it isn’t as it was written. Choose an older one.`);

/**
 * Reads a backup and checks it against its own checksums.
 * @throws BackupError when it is none, is damaged, or is from a newer program
 */
export function readBackup(bytes: Uint8Array): Snapshot {
  const files = unpacked(bytes, (name) => name === 'manifest.json' || parts.some((part) => fileOf(part) === name));
  const manifest = manifestSchema.safeParse(parsed(files, 'manifest.json'));
  if (!manifest.success) throw new BackupError('This is no backup of Aurantia’s. Choose a file that it saved, ending in .zip.');
  if (manifest.data.version > BACKUP_VERSION)
    throw new BackupError('This backup was made by a newer Aurantia. Restore it with that one.');
  const there = parts.filter((part) => (cameWith[part] ?? 1) <= manifest.data.version);
  for (const part of there) {
    const name = fileOf(part);
    const file = files[name];
    if (!file || sumOf(file) !== manifest.data.files[name]) throw damaged(name);
  }
  const read = snapshotSchema.safeParse(Object.fromEntries(there.map((part) => [part, parsed(files, fileOf(part))])));
  if (!read.success) throw new BackupError('This backup isn’t laid out as Aurantia lays one out. Choose another.');
  return read.data;
}

/** The checksums of all that a backup holds, as it tells them; none where it is no backup. */
export function sumsIn(bytes: Uint8Array): Readonly<Record<string, string>> {
  const manifest = manifestSchema.safeParse(
    parsed(
      unpacked(bytes, (name) => name === 'manifest.json'),
      'manifest.json',
    ),
  );
  return manifest.data?.files ?? {};
}

/**
 * Files of a backup by their names.
 * @throws BackupError when it can't be unpacked, or to more than is good to have in hand
 */
export function unpacked(bytes: Uint8Array, wanted: (name: string) => boolean): Readonly<Record<string, Uint8Array>> {
  let size = 0;
  try {
    return unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        if (!wanted(name)) return false;
        size += originalSize;
        if (size > MOST_BYTES) throw new BackupError('This file unpacks to more than any workshop holds. It isn’t read.');
        return true;
      },
    });
  } catch (error) {
    if (error instanceof BackupError) throw error;
    throw new BackupError('This file can’t be unpacked: it is no backup, or was cut short. Choose another.');
  }
}

function parsed(files: Readonly<Record<string, Uint8Array>>, name: string): unknown {
  try {
    return files[name] ? JSON.parse(strFromU8(files[name])) : null;
  } catch {
    // What isn't JSON is no backup, or a damaged one: the caller's checks say which.
    return null;
  }
}
