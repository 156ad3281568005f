import { copyFileSync, rmSync, statSync } from 'node:fs';
import { memoryOf } from '../memory';
import { closeStore, openStore } from '../store/open-store';
import { workshopFile } from './data-folder';
import { failed } from './failed';

/** `npm run -s backup -- [FILE]`: one file of everything, also while the program runs. */
async function main([file]: readonly string[]): Promise<void> {
  process.umask(0o077);
  const name = file ?? `aurantia-${new Date().toISOString().slice(0, 10)}.zip`;
  const store = await openStore(workshopFile());
  try {
    const file = await memoryOf(store, workshopFile()).backups.save();
    copyFileSync(file, name);
    rmSync(file);
    process.stdout.write(`Everything is in ${name}, ${Math.ceil(statSync(name).size / 1024)} kB.\n`);
  } finally {
    await closeStore(store);
  }
}

main(process.argv.slice(2)).catch(failed);
