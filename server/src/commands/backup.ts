import { copyFileSync, rmSync, statSync } from 'node:fs';
import { BackupError } from '../backup/backup-file';
import { memoryOf } from '../memory';
import { closeStore, openStore } from '../store/open-store';
import { workshopFile } from './data-folder';
import { failed } from './failed';

/** `npm run -s backup -- [FILE]`: one file of everything, also while the program runs. */
async function main([file]: readonly string[]): Promise<void> {
  process.umask(0o077);
  if (file?.startsWith('-'))
    throw new BackupError('Say where it goes: npm run -s backup -- FILE. Without a name it is kept here under today’s date.');
  const name = file ?? `aurantia-${new Date().toISOString().slice(0, 10)}.zip`;
  const store = await openStore(workshopFile());
  const { aside, backups } = memoryOf(store, workshopFile());
  try {
    const file = await backups.save();
    try {
      copyFileSync(file, name);
    } catch (error) {
      const reason = error instanceof Error ? error.message : String(error);
      throw new BackupError(`${name} can’t be written (${reason}). Name a place that is there and has room.`);
    } finally {
      rmSync(file);
    }
    process.stdout.write(`Everything is in ${name}, ${Math.ceil(statSync(name).size / 1024)} kB.\n`);
  } finally {
    // A thread that waits for more to do would hold the command up.
    await aside.close();
    await closeStore(store);
  }
}

main(process.argv.slice(2)).catch(failed);
