// `npm test`: installs what is missing, then formatting, lint, types, unit and end-to-end tests.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { built, installed, must, ROOT } from './ready.mjs';

let passed = 0;
let failed = 0;
const broken = [];

function count(name, ok, passes = ok ? 1 : 0, fails = ok ? 0 : 1) {
  passed += passes;
  failed += fails;
  if (!ok) broken.push(name);
}

function step(name, command, words) {
  console.log(`\n— ${name}`);
  const { status } = spawnSync(command, words, { cwd: ROOT, stdio: 'inherit' });
  count(name, status === 0);
}

/** Runs a workspace's tests; a run that reports no test counts as a failure. */
function jest(workspace) {
  console.log(`\n— tests of ${workspace}`);
  const report = join(ROOT, '.test', `${workspace}.json`);
  const { status } = spawnSync('npx', ['jest', '--ci', '--json', `--outputFile=${report}`], {
    cwd: join(ROOT, workspace),
    stdio: ['ignore', 'ignore', 'inherit'],
  });
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
  must(first, [...rest, 'install', '-y', '-qq', 'chromium', 'chromium-driver']);
}

installed();
browserInstalled();
built();
mkdirSync(join(ROOT, '.test'), { recursive: true });
step('formatting', 'npm', ['run', '-s', 'format']);
step('lint', 'npm', ['run', '-s', 'lint']);
step('types', 'npm', ['run', '-s', 'types']);
for (const workspace of ['core', 'server', 'web', 'e2e']) jest(workspace);
if (broken.length > 0) console.log(`\nFailed: ${broken.join(', ')}`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
