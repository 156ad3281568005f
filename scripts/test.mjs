// `npm test`: installs what is missing, then formatting, lint, types, unit and end-to-end tests.
import { Buffer } from 'node:buffer';
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { bundled, installed, must, ROOT } from './ready.mjs';

let passed = 0;
let failed = 0;
const broken = [];

function count(name, ok, passes = ok ? 1 : 0, fails = ok ? 0 : 1) {
  passed += passes;
  failed += fails;
  if (!ok) broken.push(name);
}

/** What takes longer than any of it ever did hangs: it is ended, so that what it said so far can be read. */
const PATIENCE = 30 * 60_000;

/** Runs a command to its end; what it prints comes in one piece, so that two beside each other stay readable. */
function run(name, command, words, { folder = ROOT, quiet = false } = {}) {
  const begun = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, words, { cwd: folder, stdio: ['ignore', quiet ? 'ignore' : 'pipe', 'pipe'], timeout: PATIENCE });
    const said = [];
    child.stdout?.on('data', (chunk) => said.push(chunk));
    child.stderr.on('data', (chunk) => said.push(chunk));
    child.once('error', (error) => said.push(Buffer.from(`${error.message}\n`)));
    child.once('close', (status, signal) => {
      const seconds = Math.round((Date.now() - begun) / 1000);
      process.stdout.write(
        `\n— ${name}, ${seconds} s${signal === null ? '' : `: ended by ${signal}`}\n${Buffer.concat(said).toString()}`,
      );
      resolve(status);
    });
  });
}

async function step(name, command, words) {
  count(name, (await run(name, command, words)) === 0);
}

/** Tests make much that is thrown away at once: with more room for it, the collector takes some 5 % less of a processor. */
const YOUNG = '--max-semi-space-size=64';

/** Runs a workspace's tests; a run that reports no test counts as a failure. */
async function jest(workspace) {
  const report = join(ROOT, '.test', `${workspace}.json`);
  rmSync(report, { force: true });
  const words = [YOUNG, join(ROOT, 'node_modules', 'jest', 'bin', 'jest.js'), '--ci', '--json', `--outputFile=${report}`];
  const status = await run(`tests of ${workspace}`, process.execPath, words, { folder: join(ROOT, workspace), quiet: true });
  const result = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : { numPassedTests: 0, numFailedTests: 0, testResults: [] };
  const unrun = result.testResults.filter((suite) => suite.status === 'failed' && suite.assertionResults.length === 0).length;
  const fails = result.numFailedTests + unrun;
  const ok = status === 0 && result.numPassedTests > 0;
  count(`tests of ${workspace}`, ok, result.numPassedTests, ok ? 0 : Math.max(1, fails));
}

function browserInstalled() {
  if (existsSync('/usr/bin/chromium') && existsSync('/usr/bin/chromedriver')) return;
  console.log('Installing Chromium and its driver…');
  const root = process.getuid?.() === 0 ? [] : ['sudo'];
  const [first, ...rest] = [...root, 'apt-get'];
  must(first, [...rest, 'update', '-qq']);
  const install = [...rest, 'install', '-y', '-qq'];
  must(first, [...install, 'chromium', 'chromium-driver']);
  // The engine by itself begins sooner; where there is no package of it, the browser does.
  spawnSync(first, [...install, 'chromium-headless-shell'], { stdio: 'ignore' });
}

await installed();
browserInstalled();
await bundled();
mkdirSync(join(ROOT, '.test'), { recursive: true });
// The browser's tests, two files at a time, go beside everything else: they mostly wait for what they want to see.
const build = "import('./scripts/ready.mjs').then(({ built }) => built())";
const lanes = [
  async () => {
    await step('formatting', 'npm', ['run', '-s', 'format']);
    await step('lint', 'npm', ['run', '-s', 'lint']);
    await step('types', 'npm', ['run', '-s', 'types']);
    for (const workspace of ['web', 'server', 'core']) await jest(workspace);
  },
  async () => {
    await step('the screens, built', process.execPath, ['-e', build]);
    await jest('e2e');
  },
];
await Promise.all(lanes.map((lane) => lane()));
if (broken.length > 0) console.log(`\nFailed: ${broken.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
