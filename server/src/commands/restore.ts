import { readFileSync } from 'node:fs';
import { BackupError } from '../backup/backup-file';
import type { Preview } from '../backup/preview';
import { memoryOf } from '../memory';
import { claimFolder } from '../store/one-program';
import { closeStore, openStore } from '../store/open-store';
import { dataFolder, workshopFile } from './data-folder';
import { failed } from './failed';

/** `npm run -s restore -- FILE [--yes]`: says what would change; with --yes makes the workshop what the backup holds. */
async function main(words: readonly string[]): Promise<void> {
  process.umask(0o077);
  const [file] = words.filter((word) => !word.startsWith('--'));
  if (!file) throw new BackupError('Say which backup: npm run -s restore -- FILE; --yes restores it.');
  const bytes = read(file);
  const claim = claimFolder(dataFolder());
  const store = await openStore(workshopFile());
  const { aside, backups } = memoryOf(store, workshopFile());
  try {
    process.stdout.write(`${previewText(await backups.preview(bytes))}\n`);
    if (!words.includes('--yes')) {
      process.stdout.write('Nothing was changed. Add --yes to restore.\n');
      return;
    }
    const before = await backups.restore(bytes);
    process.stdout.write(`Restored. What was there until now is kept as ${before} in ${backups.folder}.\n`);
  } finally {
    await aside.close();
    await closeStore(store);
    claim.free();
  }
}

function read(file: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(file));
  } catch (error) {
    throw new BackupError(`${file} can’t be read (${error instanceof Error ? error.message : String(error)}). Check the path.`);
  }
}

const previewText = (preview: Preview): string =>
  preview
    .map(
      ({ kind, comes, goes, changes, stays }) =>
        `${kind}: ${comes.length} come, ${goes.length} go, ${changes.length} become what they were, ${stays} stay`,
    )
    .join('\n');

main(process.argv.slice(2)).catch(failed);
