/**
 * `npm test`: types, lint, unit tests, checks and browser tests on a fresh clone, two tasks at a time. Prints the
 * processor time of each task and the five slowest test files, and closes with one line `N passed, N failed` summed over
 * everything.
 */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { findChromium } from './browser.mjs';
import { demoDatabase } from './demoDatabase.mjs';
import { buildNode, install, quietEnv, root } from './setup.mjs';

const results = path.join(root, 'test-results');
let passed = 0;
let failed = 0;
/** Seconds that each file of tests took. */
const times = [];
/** Browser tests that passed only when they were tried again. */
const secondTry = [];

/** Processor seconds of each task, the processes that it starts included. */
const processorS = [];

/** With more room for what is young, V8 collects it less often: a twentieth of what the tests take. */
const ROOM_FOR_YOUNG = '--max-semi-space-size=64';

/** Runs "$@", and writes what it took of the processors into the file before: user and system, each as 1m2.34s. */
const TIMED = 'out=$1; shift; "$@"; status=$?; times > "$out"; exit $status';

/** Processor seconds of what a shell's `times` says of its children: its second line. */
function secondsOf(file) {
  if (!existsSync(file)) return 0;
  const [, children = ''] = readFileSync(file, 'utf8').split('\n');
  return [...children.matchAll(/(\d+)m([\d.]+)s/g)].reduce(
    (sum, [, minutes, seconds]) => sum + 60 * Number(minutes) + Number(seconds),
    0,
  );
}

/** Runs a command; what it prints is shown as a whole when it ends. Resolves to whether it succeeded. */
function task(name, command, args, env = {}) {
  return new Promise((resolve) => {
    const began = Date.now();
    const times = path.join(results, `${name.replaceAll(/\W+/g, '-')}.times`);
    const child = spawn('sh', ['-c', TIMED, 'sh', times, command, ...args], {
      cwd: root,
      env: { ...quietEnv(), NODE_OPTIONS: ROOM_FOR_YOUNG, ...env },
    });
    const said = [];
    child.stdout.on('data', (d) => said.push(d));
    child.stderr.on('data', (d) => said.push(d));
    child.on('error', (error) => said.push(Buffer.from(String(error))));
    child.on('close', (status) => {
      const seconds = Math.round((Date.now() - began) / 1000);
      processorS.push([name, secondsOf(times)]);
      process.stdout.write(`\n== ${name} (${seconds} s)\n`);
      process.stdout.write(Buffer.concat(said));
      resolve(status === 0);
    });
  });
}

/** A task that counts as one. */
async function one(name, command, args) {
  if (await task(name, command, args)) passed += 1;
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

async function unitTests() {
  await task('Unit tests', 'npx', [
    'jest',
    '--json',
    '--outputFile=test-results/unit.json',
    '--maxWorkers=1',
    '--forceExit',
  ]);
  const unit = read('unit.json');
  if (!unit) {
    failed += 1;
    return;
  }
  passed += unit.numPassedTests;
  failed += unit.numFailedTests + unit.numRuntimeErrorTestSuites;
  for (const r of unit.testResults) {
    times.push([path.relative(root, r.name), (r.endTime - r.startTime) / 1000]);
  }
}

let notMet = [];

async function checkRows() {
  await task('Checks', process.execPath, [
    '--import',
    'tsx',
    'checks/main.ts',
    'test-results/checks.json',
  ]);
  const checks = read('checks.json');
  if (!checks) {
    failed += 1;
    return;
  }
  passed += checks.passed;
  failed += checks.failed;
  notMet = checks.notMet;
}

async function browserTests() {
  const out = 'e2e.json';
  await task('Browser tests', 'npx', ['playwright', 'test', '-c', 'e2e/playwright.config.ts']);
  const e2e = read(out);
  if (!e2e) {
    failed += 1;
    return;
  }
  passed += e2e.stats.expected + e2e.stats.flaky;
  // Errors outside the tests, such as a server that does not start, count too.
  failed += e2e.stats.unexpected + e2e.errors.length;
  const visit = (suite) => {
    for (const s of suite.suites ?? []) visit(s);
    for (const spec of suite.specs ?? []) {
      const ms = spec.tests.flatMap((t) => t.results).reduce((sum, r) => sum + r.duration, 0);
      const name = `e2e/${suite.file}: ${spec.title}`;
      times.push([name, ms / 1000]);
      if (spec.tests.some((t) => t.status === 'flaky')) secondTry.push(name);
    }
  };
  for (const suite of e2e.suites) visit(suite);
}

install();
buildNode();
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
demoDatabase();
const withBrowser = chromium();

const built = withBrowser
  ? task('Building the app', process.execPath, ['scripts/buildOnce.mjs'])
  : Promise.resolve();
// What waits for a clock runs beside what computes: a processor for each.
const inBrowser = async () => {
  await built;
  if (withBrowser) await browserTests();
  else failed += 1;
};
const computed = async () => {
  await one('Types, lint and format', 'npm', ['run', '-s', 'lint']);
  await checkRows();
  await unitTests();
};
await Promise.all([inBrowser(), computed()]);

process.stdout.write('\nProcessor time, s:\n');
for (const [name, seconds] of processorS)
  process.stdout.write(`  ${seconds.toFixed(0).padStart(4)}  ${name}\n`);
process.stdout.write('\nThe five slowest:\n');
for (const [name, seconds] of times.sort((a, b) => b[1] - a[1]).slice(0, 5)) {
  process.stdout.write(`  ${seconds.toFixed(0).padStart(4)} s  ${name}\n`);
}
if (secondTry.length > 0) {
  process.stdout.write('\nPassed only at the second try:\n');
  for (const name of secondTry) process.stdout.write(`  ${name}\n`);
}
if (notMet.length > 0) {
  process.stdout.write('\nKnown not to be met:\n');
  for (const line of notMet) process.stdout.write(`  ${line}\n`);
}
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exitCode = failed > 0 ? 1 : 0;
