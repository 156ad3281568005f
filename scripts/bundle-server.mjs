// Makes one program of the server's and the core's sources: read file by file, through a loader, it starts in seconds.
import { rmSync } from 'node:fs';
import { URL } from 'node:url';
import { build } from 'esbuild';

const root = new URL('..', import.meta.url);
/** What brings files of its own. */
const apart = ['@expo-google-fonts/*', 'fontkit', 'libsql', 'pdfmake', 'sharp'];
/** Packages written for Node's older way of loading ask for its own parts so. */
const requiring = "import { createRequire as requiredFrom } from 'node:module'; const require = requiredFrom(import.meta.url);";

const commands = ['serve', 'card', 'backup', 'restore', 'device'];

/** Bundles the server into `server/dist`. */
export default async function bundleServer() {
  const outdir = new URL('server/dist/', root).pathname;
  rmSync(outdir, { recursive: true, force: true });
  await build({
    entryPoints: {
      ...Object.fromEntries(commands.map((name) => [name, `server/src/commands/${name}.ts`])),
      'aside-worker': 'server/src/aside/aside-worker.ts',
    },
    absWorkingDir: root.pathname,
    outdir,
    bundle: true,
    splitting: true,
    format: 'esm',
    platform: 'node',
    target: 'node20',
    sourcemap: true,
    external: apart,
    banner: { js: requiring },
    logLevel: 'warning',
  });
}
