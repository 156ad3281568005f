import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { notFound } from '../http/problem';
import { pictureFile } from '../photos/picture-files';
import type { Store } from '../store/open-store';
import { readBackup } from './backup-file';
import { bringPictures, picturedIn } from './backup-pictures';
import { previewOf, type Preview } from './preview';
import { restore } from './restore';
import { snapshotOf } from './snapshot-rows';
import { saveBackup, writeBackup } from './write-backup';

/** How many daily backups are kept. */
export const DAYS_KEPT = 14;

const daily = /^aurantia-\d{4}-\d{2}-\d{2}\.zip$/;
/** One on its way out to somebody, and for how long at most, ms. */
const onItsWay = /^saved-[\w-]+\.part$/;
const LONG_GONE = 60 * 60_000;
const ours = /^aurantia-[\w-]+\.zip$/;

export interface BackupOnDisk {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
}

/** Makes backups without holding this thread up. */
export interface MadeAside {
  backup(): Promise<Uint8Array>;
  /** one with the pictures of photos, into a file */
  save(pictures: string, file: string): Promise<unknown>;
}

/**
 * Backups of a workshop: made while it runs, kept in a folder beside its file, and restored from. Those of each day leave out the
 * pictures of photos, which never change and lie beside in a folder of their own; one that is saved elsewhere holds them too.
 */
export class Backups {
  constructor(
    private readonly store: Store,
    readonly folder: string,
    private readonly aside: MadeAside | null = null,
    private readonly pictures = join(dirname(folder), 'photos'),
  ) {}

  async make(): Promise<Uint8Array> {
    return this.aside ? this.aside.backup() : writeBackup(this.store);
  }

  /** One with the pictures of photos, to be taken elsewhere. @returns its file, which is the caller's to take away */
  async save(): Promise<string> {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    const file = join(this.folder, `saved-${randomUUID()}.part`);
    try {
      await (this.aside ? this.aside.save(this.pictures, file) : saveBackup(this.store, this.pictures, file));
    } catch (error) {
      rmSync(file, { force: true });
      throw error;
    }
    return file;
  }

  /** Today's, once a day; of the daily ones the last fourteen stay. */
  async makeDaily(today = new Date()): Promise<void> {
    const name = `aurantia-${today.toISOString().slice(0, 10)}.zip`;
    if (this.names().includes(name)) return;
    this.write(name, await this.make());
    const old = this.names()
      .filter((one) => daily.test(one))
      .sort()
      .slice(0, -DAYS_KEPT);
    for (const one of old) rmSync(join(this.folder, one));
    // What was saved when the power went: nobody waits for it any more.
    for (const one of readdirSync(this.folder).filter((name) => onItsWay.test(name)))
      if (today.getTime() - statSync(join(this.folder, one)).mtimeMs > LONG_GONE) rmSync(join(this.folder, one));
  }

  list(): BackupOnDisk[] {
    return this.names()
      .map((name) => {
        const { mtime, size } = statSync(join(this.folder, name));
        return { name, at: mtime.toISOString(), bytes: size };
      })
      .sort((a, b) => b.at.localeCompare(a.at));
  }

  /** @throws ProblemError 404 when there is none of that name */
  read(name: string): Uint8Array {
    if (!this.names().includes(name)) throw notFound('backup');
    return new Uint8Array(readFileSync(join(this.folder, name)));
  }

  /** @throws BackupError when the file is no sound backup */
  async preview(bytes: Uint8Array): Promise<Preview> {
    const then = readBackup(bytes);
    const brought = picturedIn(bytes, then);
    const here = (photo: string) => existsSync(pictureFile(this.pictures, photo, 'large'));
    return previewOf(await snapshotOf(this.store), then, { now: here, then: (photo) => here(photo) || brought.has(photo) });
  }

  /**
   * Makes the workshop what the backup holds. What it was until now is set aside as a backup first.
   * @returns the name of that one
   * @throws BackupError when the file is no sound backup; nothing is changed then
   */
  async restore(bytes: Uint8Array, now = new Date()): Promise<string> {
    const snapshot = readBackup(bytes);
    const name = `aurantia-before-restore-${now.toISOString().replace(/[:.]/g, '-')}.zip`;
    this.write(name, await this.make());
    await bringPictures(bytes, snapshot, this.pictures);
    await restore(this.store, snapshot);
    return name;
  }

  private names(): readonly string[] {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    return readdirSync(this.folder).filter((name) => ours.test(name));
  }

  /** Written beside and moved in place, so that a kill leaves no half of a backup under its name. */
  private write(name: string, bytes: Uint8Array): void {
    mkdirSync(this.folder, { recursive: true, mode: 0o700 });
    const half = join(this.folder, `${name}.part`);
    writeFileSync(half, bytes, { mode: 0o600 });
    renameSync(half, join(this.folder, name));
  }
}
