import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { createApp } from '../app';
import { fillWithDemo } from '../demo';
import { listenNear } from '../http/listen';
import { ProblemError } from '../http/problem';
import { memoryOf, type Memory } from '../memory';
import { PROGRAM_FOLDER } from '../program-folder';
import { claimFolder } from '../store/one-program';
import { closeStore, openStore } from '../store/open-store';
import { dataFolder, workshopFile } from './data-folder';
import { shareAndSay, shareAt } from './share';
import { failed } from './failed';

const SCREENS = join(PROGRAM_FOLDER, 'web', 'dist', 'browser');
const HOUR = 3_600_000;
/** ms after the start at which what can wait is done: a maker who has just started it wants to see the cups, and to begin. */
const SETTLED = 60_000;

/** `serve [--demo] [--share] [--ahead]`: opens the memory, listens on this computer only (with --share on its network too, for devices let in), prints one address, stops cleanly. */
async function main(): Promise<void> {
  // What this program writes is for the maker's eyes alone.
  process.umask(0o077);
  const claim = claimFolder(dataFolder());
  const store = await openStore(workshopFile());
  const memory = memoryOf(store, workshopFile());
  if (process.argv.includes('--demo')) await fillWithDemo(memory);
  const app = await createApp(memory, existsSync(SCREENS) ? SCREENS : null, {
    movableClock: process.env['AURANTIA_CLOCK'] === 'movable',
    shareAt: shareAt(),
  });
  const address = await listenNear(app, Number(process.env['AURANTIA_PORT'] ?? 4310));
  claim.at(address);
  process.stdout.write(`Aurantia is ready: ${address}\n`);
  // Cups that home will show are painted while its maker's browser opens.
  if (process.argv.includes('--ahead')) void app.inject({ url: '/api/designs', headers: { host: new URL(address).host } });
  if (process.argv.includes('--share')) await shareAndSay(app.sharing);
  else if (await memory.paired.shared()) await app.sharing.turn(true);
  let stopping = false;
  const backUp = () => (stopping ? Promise.resolve() : backUpToday(memory, () => stopping));
  const settled = setTimeout(() => void nameUnreadable(memory).then(backUp), SETTLED);
  const daily = setInterval(() => void backUp(), HOUR);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      clearInterval(daily);
      clearTimeout(settled);
      void app
        .close()
        .then(() => closeStore(store))
        .then(() => claim.free());
    });
  }
}

/** Looked for once everything else goes: a maker who sees the program's own window learns of it there too. */
async function nameUnreadable({ unreadable }: Memory): Promise<void> {
  try {
    for (const { kind, id, reason } of await unreadable(false))
      process.stderr.write(
        `The ${kind} “${id}” can’t be read (${reason}). All else works; save its text under Workshop, “Kept safe”.\n`,
      );
  } catch (error) {
    // Stopped before it was done.
    if (!(error instanceof ProblemError)) throw error;
  }
}

/** A backup that can't be written is said and tried again in an hour: the workshop itself goes on. */
async function backUpToday({ backups }: Memory, stopping: () => boolean): Promise<void> {
  try {
    await backups.makeDaily();
  } catch (error) {
    if (stopping()) return;
    process.stderr.write(
      `Today’s backup can’t be written to ${backups.folder} (${error instanceof Error ? error.message : String(error)}). Make room there, or save one elsewhere under Workshop, “Kept safe”.\n`,
    );
  }
}

main().catch(failed);
