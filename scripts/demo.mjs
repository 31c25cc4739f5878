/**
 * `npm run demo`: installs, builds, loads the demo world and starts the one server. Options behind `--` are the
 * server's: `npm run demo -- --home` opens it to the home network.
 */
import { spawn } from 'node:child_process';
import process from 'node:process';
import { buildNode, buildWeb, install, quietEnv, root, serverMain } from './setup.mjs';

install();
buildNode();
buildWeb();
const server = spawn(process.execPath, [serverMain, ...process.argv.slice(2)], {
  cwd: root,
  env: { ...quietEnv(), OSTRIN_DEMO: '1', LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn' },
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
