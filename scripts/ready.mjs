import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the repository; its output is shown. Ends the process when it fails. */
export function must(command, words, options = {}) {
  const { status, error } = spawnSync(command, words, { cwd: ROOT, stdio: 'inherit', ...options });
  if (status === 0) return;
  console.error(`“${command} ${words.join(' ')}” failed${error ? ` (${error.message})` : ''}. What it printed above says why.`);
  process.exit(status ?? 1);
}

/** Installs the packages when they are missing or the lock file has changed since. */
export function installed() {
  const stamp = join(ROOT, 'node_modules', '.aurantia-installed');
  const wanted = hashOf([join(ROOT, 'package-lock.json')]);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages…');
  must('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund']);
  writeFileSync(stamp, wanted);
}

/** Builds the screens when they are missing or their sources have changed since. */
export function built() {
  const stamp = join(ROOT, 'web', 'dist', '.aurantia-built');
  const sources = ['core/src', 'web/src', 'web/public'].flatMap((folder) => filesIn(join(ROOT, folder)));
  const wanted = hashOf([...sources, join(ROOT, 'web', 'angular.json'), join(ROOT, 'package-lock.json')]);
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Building the screens…');
  must('npm', ['run', '-s', 'build'], { env: { ...process.env, NG_CLI_ANALYTICS: 'false' } });
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, wanted);
}

/** Starts the program and hands signals on, so that Ctrl C stops it cleanly. */
export async function serve(words, environment) {
  const { spawn } = await import('node:child_process');
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/commands/serve.ts', ...words], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
}

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
