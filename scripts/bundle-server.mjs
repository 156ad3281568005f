// Makes one program of the server's and the core's sources: read file by file, through a loader, it starts in seconds.
import { rmSync } from 'node:fs';
import { fileURLToPath, URL } from 'node:url';
import { build } from 'esbuild';

const root = new URL('..', import.meta.url);
/** A folder of the repository's, as the disk names it: an address has other letters for spaces. */
const folder = (path) => fileURLToPath(new URL(path, root));
/** What brings files of its own. */
const apart = ['@expo-google-fonts/*', 'fontkit', 'libsql', 'pdfmake', 'sharp'];
/** Packages written for Node's older way of loading ask for its own parts so. */
const requiring = "import { createRequire as requiredFrom } from 'node:module'; const require = requiredFrom(import.meta.url);";

const commands = ['serve', 'card', 'backup', 'restore', 'device'];

/** Bundles the server into `server/dist`. */
export default async function bundleServer() {
  const outdir = folder('server/dist/');
  rmSync(outdir, { recursive: true, force: true });
  await build({
    entryPoints: {
      ...Object.fromEntries(commands.map((name) => [name, `server/src/commands/${name}.ts`])),
      'aside-worker': 'server/src/aside/aside-worker.ts',
    },
    absWorkingDir: folder('.'),
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
