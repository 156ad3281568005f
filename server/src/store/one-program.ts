import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Database from 'libsql';
import { storeError, StoreError, troubleOf } from './store-error';

/** The right to be the one program that works on a folder. */
export interface Claim {
  /** notes where this program can be found, for one that comes later */
  at(address: string): void;
  free(): void;
}

/**
 * Claims a data folder. The claim is a lock that the system itself lets go of when the program ends,
 * however it ends, so that none is ever left behind.
 * @throws StoreError, with the address of the other program, when another one has the folder
 */
export function claimFolder(folder: string): Claim {
  const note = join(folder, 'running-at.txt');
  try {
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    const lock = new Database(join(folder, 'running.lock'));
    lock.exec('begin exclusive');
    return {
      at: (address) => writeFileSync(note, address, { mode: 0o600 }),
      free: () => {
        writeFileSync(note, '');
        lock.close();
      },
    };
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble !== 'locked') throw storeError(folder, trouble, error);
    const address = existsSync(note) ? readFileSync(note, 'utf8').trim() : '';
    throw new StoreError(
      'taken',
      `Aurantia is already running on ${folder}${address ? `: open ${address}` : '; it is just starting'}. To run a second workshop, set AURANTIA_DATA to another folder.`,
    );
  }
}
