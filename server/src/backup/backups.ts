import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { notFound } from '../http/problem';
import type { Store } from '../store/open-store';
import { readBackup } from './backup-file';
import { previewOf, type Preview } from './preview';
import { restore } from './restore';
import { snapshotOf } from './snapshot-rows';
import { writeBackup } from './write-backup';

/** How many daily backups are kept. */
export const DAYS_KEPT = 14;

const daily = /^aurantia-\d{4}-\d{2}-\d{2}\.zip$/;
const ours = /^aurantia-[\w-]+\.zip$/;

export interface BackupOnDisk {
  readonly name: string;
  readonly at: string;
  readonly bytes: number;
}

/** Backups of a workshop: made while it runs, kept in a folder beside its file, and restored from. */
export class Backups {
  constructor(
    private readonly store: Store,
    readonly folder: string,
    /** makes one without holding this thread up, where that can be */
    private readonly madeAside: (() => Promise<Uint8Array>) | null = null,
  ) {}

  async make(): Promise<Uint8Array> {
    return this.madeAside ? this.madeAside() : writeBackup(this.store);
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
    return previewOf(await snapshotOf(this.store), readBackup(bytes));
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
