import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

function upwards(folder: string): string {
  return existsSync(join(folder, 'package-lock.json')) || dirname(folder) === folder ? folder : upwards(dirname(folder));
}

/** Where the program stands, whether it runs from its sources or from its bundle. */
export const PROGRAM_FOLDER = upwards(dirname(fileURLToPath(import.meta.url)));
