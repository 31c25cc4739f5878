/** Builds the web export and prints what a first visit has to load. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { gzipSync } from 'node:zlib';
import { root, run } from './setup.mjs';

/** First load, scripts and styles, gzip, kB; fonts apart. */
const BUDGET_KB = 670;
/** Chunks that are loaded when somebody asks for what is in them, not with the page. */
const LATER = /^calendar-/;

const app = path.join(root, 'apps/app');
run('npx', ['expo', 'export', '-p', 'web'], { cwd: app });

function* files(folder) {
  for (const e of readdirSync(folder, { withFileTypes: true })) {
    const full = path.join(folder, e.name);
    if (e.isDirectory()) yield* files(full);
    else yield full;
  }
}

let total = 0;
for (const file of files(path.join(app, 'dist'))) {
  if (!/\.(js|css|html)$/.test(file)) continue;
  const kb = gzipSync(readFileSync(file)).length / 1000;
  const later = LATER.test(path.basename(file));
  if (!later) total += kb;
  process.stdout.write(
    `${kb.toFixed(1).padStart(8)} kB  ${path.relative(app, file)}${later ? ' (later)' : ''}\n`,
  );
}
process.stdout.write(
  `${total.toFixed(1).padStart(8)} kB  first load, gzip (budget ${BUDGET_KB} kB)\n`,
);
if (total > BUDGET_KB) {
  process.stderr.write(`The first load is over its budget of ${BUDGET_KB} kB.\n`);
  process.exit(1);
}
