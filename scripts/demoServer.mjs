/** The server with the demo world on a scratch database, for pictures and measurements. */
import { spawn } from 'node:child_process';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { buildNode, quietEnv, root, serverMain } from './setup.mjs';

const LOOK_MS = 200;
const MOST_LOOKS = 300;

/** Starts it on `port`; resolves once it answers, with its address and how to stop it. */
export async function demoServer(port) {
  buildNode();
  const url = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, [serverMain], {
    cwd: root,
    env: {
      ...quietEnv(),
      PORT: String(port),
      OSTRIN_DB: ':memory:',
      OSTRIN_DEMO: '1',
      LOG_LEVEL: 'warn',
    },
    stdio: ['ignore', 2, 2],
  });
  for (let i = 0; i < MOST_LOOKS && !(await fetch(`${url}/api/health`).catch(() => null)); i++) {
    await wait(LOOK_MS);
  }
  return { url, stop: () => server.kill('SIGTERM') };
}
