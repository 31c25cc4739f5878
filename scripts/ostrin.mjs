/** `npm run -s ostrin -- …`: the command line. Set-up speaks on standard error only. */
import { spawnSync } from 'node:child_process';
import process from 'node:process';
import { install, quietEnv, root } from './setup.mjs';

install(true);
const result = spawnSync(
  process.execPath,
  ['--import', 'tsx', `${root}/apps/cli/src/main.ts`, ...process.argv.slice(2)],
  {
    cwd: root,
    env: { ...quietEnv(), OSTRIN_CWD: process.env.INIT_CWD ?? process.cwd() },
    stdio: 'inherit',
  },
);
process.exit(result.status ?? 1);
