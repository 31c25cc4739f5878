/** The server on a port and a database of its own, for pictures and measurements. */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { copyDemoDatabase } from './demoDatabase.mjs';
import { quietEnv, root, serverMain } from './setup.mjs';

const LOOK_MS = 50;
const MOST_LOOKS = 1200;

/** Starts the built server on `port`; resolves once it answers, with its address and its process. */
export async function startServer(port, env) {
  const url = `http://127.0.0.1:${port}`;
  const child = spawn(process.execPath, [serverMain], {
    cwd: root,
    env: { ...quietEnv(), PORT: String(port), LOG_LEVEL: 'warn', ...env },
    stdio: ['ignore', 2, 2],
  });
  for (let i = 0; i < MOST_LOOKS; i++) {
    if (await fetch(`${url}/api/health`).catch(() => null)) return { url, child };
    await wait(LOOK_MS);
  }
  throw new Error('the server did not start');
}

/** The same with the demo world on a scratch database; resolves with its address and how to stop it. */
export async function demoServer(port) {
  const scratch = mkdtempSync(path.join(tmpdir(), 'ostrin-demo-'));
  const file = path.join(scratch, 'demo.sqlite');
  copyDemoDatabase(file);
  const { url, child } = await startServer(port, { OSTRIN_DB: file });
  child.on('exit', () => rmSync(scratch, { recursive: true, force: true }));
  return { url, stop: () => child.kill('SIGTERM') };
}
