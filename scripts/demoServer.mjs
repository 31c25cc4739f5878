/** The server on a port and a database of its own, for pictures and measurements. */
import { spawn } from 'node:child_process';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { buildNode, quietEnv, root, serverMain } from './setup.mjs';

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
  buildNode();
  const { url, child } = await startServer(port, { OSTRIN_DB: ':memory:', OSTRIN_DEMO: '1' });
  return { url, stop: () => child.kill('SIGTERM') };
}
