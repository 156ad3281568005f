import { existsSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from '../app';
import { fillWithDemo } from '../demo';
import { listenNear } from '../http/listen';
import { memoryOf } from '../memory';
import { openStore, StoreError } from '../store/open-store';

const SCREENS = fileURLToPath(new URL('../../../web/dist/browser', import.meta.url));

/** Where a workshop's memory lies when nobody says otherwise. */
function dataFolder(): string {
  const { AURANTIA_DATA, XDG_DATA_HOME, APPDATA } = process.env;
  if (AURANTIA_DATA) return AURANTIA_DATA;
  return join(XDG_DATA_HOME ?? APPDATA ?? join(homedir(), '.local', 'share'), 'aurantia');
}

/** `serve [--demo]`: opens the memory, listens on this computer only, prints one address, stops cleanly. */
async function main(): Promise<void> {
  const store = await openStore(join(dataFolder(), 'workshop.sqlite'));
  const memory = memoryOf(store);
  if (process.argv.includes('--demo')) await fillWithDemo(memory);
  const app = await createApp(memory, existsSync(SCREENS) ? SCREENS : null);
  const port = await listenNear(app, Number(process.env['AURANTIA_PORT'] ?? 4310));
  process.stdout.write(`Aurantia is ready: http://127.0.0.1:${port}\n`);
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      void app.close().then(() => store.destroy());
    });
  }
}

main().catch((error: unknown) => {
  process.stderr.write(
    `${error instanceof StoreError ? error.message : error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
  );
  process.exitCode = 1;
});
