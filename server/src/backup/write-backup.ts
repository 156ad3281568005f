import { createHash } from 'node:crypto';
import { closeSync, openSync, readFileSync, writeFileSync } from 'node:fs';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Store } from '../store/open-store';
import { together } from '../store/together';
import { BACKUP_FORMAT, BACKUP_VERSION, fileOf, parts, sumOf } from './backup-file';
import { picturesOf } from './backup-pictures';
import { snapshotRows } from './snapshot-rows';

/**
 * One file of all that is written down: a zip of open JSON with checksums. The same workshop gives the same bytes. Written
 * row by row, in one transaction: a large workshop is never in hand as a whole.
 */
export async function writeBackup(store: Store): Promise<Uint8Array> {
  const written: Uint8Array[] = [];
  await write(store, null, (bytes) => written.push(bytes));
  return Buffer.concat(written);
}

/** The same with the pictures of photos, written to a file as it comes: there may be gigabytes of them. */
export async function saveBackup(store: Store, pictures: string, file: string): Promise<void> {
  const out = openSync(file, 'w', 0o600);
  try {
    await write(store, pictures, (bytes) => writeFileSync(out, bytes));
  } finally {
    closeSync(out);
  }
}

async function write(store: Store, pictures: string | null, put: (bytes: Uint8Array) => void): Promise<void> {
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    put(bytes);
  });
  const sums: Record<string, string> = {};
  const photos: string[] = [];
  await together(store, async (within) => {
    for (const part of parts) {
      const file = fileIn(zip, fileOf(part));
      const hash = createHash('sha256');
      const putText = (text: string, last = false) => {
        const bytes = strToU8(text);
        hash.update(bytes);
        file.push(bytes, last);
      };
      let rows = 0;
      for await (const row of snapshotRows[part](within)) {
        putText(`${rows === 0 ? '[' : ','}\n ${JSON.stringify(row, null, 1).replaceAll('\n', '\n ')}`);
        rows += 1;
        if (part === 'photos' && 'id' in row) photos.push(row.id);
      }
      putText(rows === 0 ? '[]\n' : '\n]\n', true);
      sums[fileOf(part)] = hash.digest('hex');
    }
  });
  // Pictures never change: nobody's saving has to wait for them. One that went from the folder meanwhile is passed over.
  for (const { name, file } of pictures === null ? [] : picturesOf(photos, pictures)) {
    const bytes = readFileSync(file);
    sums[name] = sumOf(bytes);
    fileIn(zip, name, AS_IT_IS).push(bytes, true);
  }
  const manifest = { format: BACKUP_FORMAT, version: BACKUP_VERSION, files: sums };
  fileIn(zip, 'manifest.json').push(strToU8(`${JSON.stringify(manifest, null, 1)}\n`), true);
  zip.end();
}

/** How hard text is packed; a picture is packed already. */
const AS_TEXT = 6;
const AS_IT_IS = 0;

function fileIn(zip: Zip, name: string, level: typeof AS_TEXT | typeof AS_IT_IS = AS_TEXT): ZipDeflate {
  const file = new ZipDeflate(name, { level });
  // A zip notes when it was made; a fixed day, so that bytes differ only when the workshop does.
  file.mtime = new Date(1980, 0, 1);
  zip.add(file);
  return file;
}
