/** Installs, builds and starts the one server; options behind the command are the server's. */
import { spawn } from 'node:child_process';
import process from 'node:process';
import { buildNode, buildWeb, install, quietEnv, root, serverMain } from './setup.mjs';

/** Starts it with these settings beside the environment, and ends with it. */
export function serve(settings = {}) {
  install();
  buildNode();
  buildWeb();
  const server = spawn(process.execPath, [serverMain, ...process.argv.slice(2)], {
    cwd: root,
    env: { ...quietEnv(), ...settings, LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn' },
    stdio: 'inherit',
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
