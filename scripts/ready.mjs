import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
const LOCK = join(ROOT, 'package-lock.json');

/** Runs a command in the repository; its output is shown. Ends the process when it fails. */
export function must(command, words, options = {}) {
  const { status, error } = spawnSync(command, words, { cwd: ROOT, stdio: 'inherit', ...options });
  if (status === 0) return;
  console.error(`“${command} ${words.join(' ')}” failed${error ? ` (${error.message})` : ''}. What it printed above says why.`);
  process.exit(status ?? 1);
}

/** Does what makes a folder when it was never done, or when what it is made of has changed since. */
async function fresh(stamp, sources, make) {
  const wanted = hashOf(sources);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  await make();
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, wanted);
}

/** Installs the packages when they are missing or the lock file has changed since. */
export const installed = () =>
  fresh(join(ROOT, 'node_modules', '.aurantia-installed'), [LOCK], () => {
    console.log('Installing packages…');
    must('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']);
  });

/** Bundles the server when its sources have changed since. */
export const bundled = () =>
  fresh(
    join(ROOT, 'server', 'dist', '.aurantia-bundled'),
    [...sourcesOf('core/src', 'server/src'), join(ROOT, 'scripts', 'bundle-server.mjs'), LOCK],
    async () => (await import('./bundle-server.mjs')).default(),
  );

/** Builds the screens and the server when they are missing or their sources have changed since. */
export async function built() {
  await bundled();
  await fresh(
    join(ROOT, 'web', 'dist', '.aurantia-built'),
    [
      ...sourcesOf('core/src', 'web/src', 'web/public'),
      join(ROOT, 'web', 'angular.json'),
      join(ROOT, 'scripts', 'pack-screens.mjs'),
      LOCK,
    ],
    () => {
      console.log('Building the screens…');
      must('npm', ['run', '-s', 'build']);
    },
  );
}

/** Starts the program and hands signals on, so that Ctrl C stops it cleanly. */
export async function serve(words, environment) {
  const { spawn } = await import('node:child_process');
  const { flags } = JSON.parse(readFileSync(join(ROOT, 'server', 'node-flags.json'), 'utf8'));
  const child = spawn(process.execPath, [...flags, 'server/dist/serve.js', '--ahead', ...words], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

const sourcesOf = (...folders) => folders.flatMap((folder) => filesIn(join(ROOT, folder)));

function filesIn(folder) {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}
