/** `npm run demo`: installs, builds, loads the demo world and starts the one server. */
import { spawn } from 'node:child_process';
import process from 'node:process';
import { buildNode, buildWeb, install, quietEnv, root, serverMain } from './setup.mjs';

install();
buildNode();
buildWeb();
const server = spawn(process.execPath, [serverMain], {
  cwd: root,
  env: { ...quietEnv(), OSTRIN_DEMO: '1', LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn' },
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
