/**
 * `npm run dev`: the server with reload on one port, the app with reload on another. The app asks the server
 * for `/api` through a proxy (`apps/app/metro.config.js`).
 */
import { spawn } from 'node:child_process';
import process from 'node:process';
import path from 'node:path';
import { buildNode, install, quietEnv, root } from './setup.mjs';

install();
// The server's workers run as built.
buildNode();
const port = process.env.PORT ?? '8642';
const env = {
  ...quietEnv(),
  PORT: port,
  OSTRIN_DEMO: '1',
  LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
};
delete env.CI;
const children = [
  spawn(process.execPath, ['--watch', '--import', 'tsx', 'apps/server/src/main.ts'], {
    cwd: root,
    env,
    stdio: 'inherit',
  }),
  spawn('npx', ['expo', 'start', '--web'], {
    cwd: path.join(root, 'apps/app'),
    env: { ...env, OSTRIN_API: `http://127.0.0.1:${port}` },
    stdio: 'inherit',
  }),
];
const stop = () => children.forEach((c) => c.kill('SIGTERM'));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, stop);
for (const c of children) c.on('exit', stop);
