/** Set-up shared by the start scripts: plain Node, nothing installed yet. */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, statSync, writeFileSync, readdirSync } from 'node:fs';
import { createHash } from 'node:crypto';
import path from 'node:path';
import process from 'node:process';

export const root = path.resolve(import.meta.dirname, '..');
const cache = path.join(root, '.cache');

/** Environment for all children: no telemetry, no downloads, Node's own headers where they lie. */
export function quietEnv() {
  const env = {
    ...process.env,
    CI: '1',
    EXPO_OFFLINE: '1',
    EXPO_NO_TELEMETRY: '1',
    PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD: '1',
    TSX_TSCONFIG_PATH: path.join(root, 'apps/server/tsconfig.json'),
  };
  const prefix = path.resolve(path.dirname(process.execPath), '..');
  if (!env.npm_config_nodedir && existsSync(path.join(prefix, 'include/node/node.h'))) {
    env.npm_config_nodedir = prefix;
  }
  return env;
}

/** Runs a command, its output on this terminal (or on standard error). Exits with its status when it fails. */
export function run(command, args, options = {}) {
  const { quiet, ...rest } = options;
  const result = spawnSync(command, args, {
    cwd: root,
    env: quietEnv(),
    stdio: quiet ? ['ignore', 2, 2] : 'inherit',
    ...rest,
  });
  if (result.status !== 0) {
    process.stderr.write(`\n${[command, ...args].join(' ')} failed.\n`);
    process.exit(result.status ?? 1);
  }
}

const digest = (text) => createHash('sha256').update(text).digest('hex');

function stamped(name, value) {
  const file = path.join(cache, name);
  return existsSync(file) && readFileSync(file, 'utf8') === value;
}

function stamp(name, value) {
  mkdirSync(cache, { recursive: true });
  writeFileSync(path.join(cache, name), value);
}

/** Installs what package-lock.json names, once for each state of it. */
export function install(quiet = false) {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    process.stderr.write(
      `Ostrin needs Node.js 20.19.4 or newer; this is ${process.versions.node}.\n`,
    );
    process.exit(1);
  }
  const lock = digest(readFileSync(path.join(root, 'package-lock.json'), 'utf8') + process.version);
  const there = existsSync(path.join(root, 'node_modules/better-sqlite3/build/Release'));
  if (there && stamped('installed', lock)) return;
  process.stderr.write('Installing packages (a few minutes the first time).\n');
  run('npm', ['ci', '--no-audit', '--no-fund'], { quiet });
  stamp('installed', lock);
}

function* sources(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    if (['node_modules', 'dist', '.expo', 'test'].includes(entry.name)) continue;
    const full = path.join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(full);
    else yield full;
  }
}

/** State of all sources in these folders. */
function digestOf(folders) {
  const hash = createHash('sha256');
  for (const folder of folders) {
    for (const file of [...sources(path.join(root, folder))].sort((a, b) => a.localeCompare(b))) {
      const { size, mtimeMs } = statSync(file);
      hash.update(`${file} ${size} ${mtimeMs}\n`);
    }
  }
  return hash.digest('hex');
}

/** State of everything that server and command line are made from. */
export const nodeDigest = () =>
  digestOf(['packages', 'apps/server', 'apps/cli', 'checks', 'scripts']);

/** Builds server and command line when their sources have changed since the last time. */
export function buildNode() {
  const now = nodeDigest();
  const there = ['server', 'cli'].every((app) =>
    existsSync(path.join(root, 'apps', app, 'dist/main.js')),
  );
  if (there && stamped('node', now)) return;
  run(process.execPath, ['scripts/buildNode.mjs'], { quiet: true });
  stamp('node', now);
}

/** Where the built server and command line start. */
export const serverMain = path.join(root, 'apps/server/dist/main.js');
export const cliMain = path.join(root, 'apps/cli/dist/main.js');

/** Builds the web export when its sources have changed since the last time. */
export function buildWeb() {
  const now = digestOf(['apps/app', 'packages']);
  if (existsSync(path.join(root, 'apps/app/dist/index.html')) && stamped('web', now)) return;
  process.stderr.write('Building the app (about a minute).\n');
  run(process.execPath, ['scripts/build.mjs'], { quiet: true });
  stamp('web', now);
}
