/**
 * `npm test`: types, lint, unit tests, checks and interface tests on a fresh clone. Closes with one
 * line `N passed, N failed` summed over all of them.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { findChromium } from './browser.mjs';
import { buildWeb, install, quietEnv, root } from './setup.mjs';

const results = path.join(root, 'test-results');
let passed = 0;
let failed = 0;

function step(name, command, args) {
  process.stdout.write(`\n== ${name}\n`);
  const { status } = spawnSync(command, args, { cwd: root, env: quietEnv(), stdio: 'inherit' });
  return status === 0;
}

/** A step that counts as one. */
function one(name, command, args) {
  if (step(name, command, args)) passed += 1;
  else failed += 1;
}

const read = (file) => {
  const full = path.join(results, file);
  return existsSync(full) ? JSON.parse(readFileSync(full, 'utf8')) : null;
};

/** Debian's Chromium, installed where that is allowed. */
function chromium() {
  if (findChromium()) return true;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    process.stdout.write('\n== Installing Chromium\n');
    spawnSync('apt-get', ['update'], { stdio: 'ignore' });
    spawnSync('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (findChromium()) return true;
  process.stdout.write(
    'Chromium is missing: install the package chromium, or set CHROMIUM to its path.\n',
  );
  return false;
}

install();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
const withBrowser = chromium();

one('Types', 'npm', ['run', '-s', 'types']);
one('Lint', 'npm', ['run', '-s', 'lint']);

step('Unit tests', 'npx', ['jest', '--json', '--outputFile=test-results/unit.json', '--forceExit']);
const unit = read('unit.json');
if (unit) {
  passed += unit.numPassedTests;
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
} else failed += 1;

step('Checks', process.execPath, ['--import', 'tsx', 'checks/main.ts', 'test-results/checks.json']);
const checks = read('checks.json');
if (checks) {
  passed += checks.passed;
  failed += checks.failed;
} else failed += 1;

if (withBrowser) {
  process.stdout.write('\n== Building the app\n');
  buildWeb();
  step('Interface tests', 'npx', ['playwright', 'test', '-c', 'e2e/playwright.config.ts']);
  const e2e = read('e2e.json');
  if (e2e) {
    passed += e2e.stats.expected + e2e.stats.flaky;
    failed += e2e.stats.unexpected;
  } else failed += 1;
} else failed += 1;

if (checks && checks.notMet.length > 0) {
  process.stdout.write('\nKnown not to be met:\n');
  for (const line of checks.notMet) process.stdout.write(`  ${line}\n`);
}
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exitCode = failed > 0 ? 1 : 0;
