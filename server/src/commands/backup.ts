import { writeFileSync } from 'node:fs';
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
    const bytes = await memoryOf(store, workshopFile()).backups.make();
    writeFileSync(name, bytes);
    process.stdout.write(`Everything is in ${name}, ${Math.ceil(bytes.length / 1024)} kB.\n`);
  } finally {
    await closeStore(store);
  }
}

main(process.argv.slice(2)).catch(failed);
