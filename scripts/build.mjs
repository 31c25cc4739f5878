/** Builds the web export and prints what a first visit has to load. */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import process from 'node:process';
import { gzipSync } from 'node:zlib';
import { writeServiceWorker } from './serviceWorker.mjs';
import { root, run } from './setup.mjs';

/** First load, scripts and styles, gzip, kB; fonts apart. */
const BUDGET_KB = 670;
const app = path.join(root, 'apps/app');
run('npx', ['expo', 'export', '-p', 'web'], { cwd: app });
const kept = await writeServiceWorker(path.join(app, 'dist'));
process.stdout.write(`The service worker keeps ${kept} files.\n`);

function* files(folder) {
  for (const e of readdirSync(folder, { withFileTypes: true })) {
    const full = path.join(folder, e.name);
    if (e.isDirectory()) yield* files(full);
    else yield full;
  }
}

/** What the page names itself, its style, and the worker it starts at once; the rest comes after it stands. */
const page = readFileSync(path.join(app, 'dist/index.html'), 'utf8');
const isFirst = (file) => {
  const name = path.basename(file);
  return name === 'index.html' || name.startsWith('core-') || page.includes(name);
};

let total = 0;
for (const file of files(path.join(app, 'dist'))) {
  if (!/\.(js|css|html)$/.test(file)) continue;
  const kb = gzipSync(readFileSync(file)).length / 1000;
  const first = isFirst(file);
  if (first) total += kb;
  process.stdout.write(
    `${kb.toFixed(1).padStart(8)} kB  ${path.relative(app, file)}${first ? '' : ' (later)'}\n`,
  );
}
process.stdout.write(
  `${total.toFixed(1).padStart(8)} kB  first load, gzip (budget ${BUDGET_KB} kB)\n`,
);
if (total > BUDGET_KB) {
  process.stderr.write(`The first load is over its budget of ${BUDGET_KB} kB.\n`);
  process.exit(1);
}
