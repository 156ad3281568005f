import { createHash } from 'node:crypto';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Store } from '../store/open-store';
import { together } from '../store/together';
import { BACKUP_FORMAT, BACKUP_VERSION, fileOf, parts } from './backup-file';
import { snapshotRows } from './snapshot-rows';

/**
 * One file of everything: a zip of open JSON with checksums. The same workshop gives the same bytes. Written
 * row by row, in one transaction: a large workshop is never in hand as a whole.
 */
export async function writeBackup(store: Store): Promise<Uint8Array> {
  const written: Uint8Array[] = [];
  const zip = new Zip((error, bytes) => {
    if (error) throw error;
    written.push(bytes);
  });
  const sums: Record<string, string> = {};
  await together(store, async (within) => {
    for (const part of parts) {
      const file = fileIn(zip, fileOf(part));
      const hash = createHash('sha256');
      const put = (text: string, last = false) => {
        const bytes = strToU8(text);
        hash.update(bytes);
        file.push(bytes, last);
      };
      let rows = 0;
      for await (const row of snapshotRows[part](within)) {
        put(`${rows === 0 ? '[' : ','}\n ${JSON.stringify(row, null, 1).replaceAll('\n', '\n ')}`);
        rows += 1;
      }
      put(rows === 0 ? '[]\n' : '\n]\n', true);
      sums[fileOf(part)] = hash.digest('hex');
    }
  });
  const manifest = { format: BACKUP_FORMAT, version: BACKUP_VERSION, files: sums };
  fileIn(zip, 'manifest.json').push(strToU8(`${JSON.stringify(manifest, null, 1)}\n`), true);
  zip.end();
  return Buffer.concat(written);
}

function fileIn(zip: Zip, name: string): ZipDeflate {
  const file = new ZipDeflate(name, { level: 6 });
  // A zip notes when it was made; a fixed day, so that bytes differ only when the workshop does.
  file.mtime = new Date(1980, 0, 1);
  zip.add(file);
  return file;
}
