/** Builds server and command line for Node beside their sources: nothing is transpiled at every start. */
import { build } from 'esbuild';
import { rmSync } from 'node:fs';
import path from 'node:path';
import { root } from './setup.mjs';

/**
 * The command line bundles everything: it starts for each question. The server bundles the packages of this repository
 * only: it starts once, and some of its packages are native code or read files of their own.
 */
const shared = {
  absWorkingDir: root,
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  splitting: true,
  sourcemap: true,
  minifyWhitespace: true,
  minifySyntax: true,
  logLevel: 'warning',
  tsconfig: path.join(root, 'apps/server/tsconfig.json'),
};

/** Leaves every package that is not of this repository to be loaded as installed. */
const bundleOwnOnly = {
  name: 'bundle-own-only',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ path: name, kind }) =>
      kind === 'entry-point' || name.startsWith('@ostrin/') ? null : { path: name, external: true },
    );
  },
};

for (const app of ['server', 'cli'])
  rmSync(path.join(root, 'apps', app, 'dist'), { recursive: true, force: true });
await Promise.all([
  build({
    ...shared,
    entryPoints: [
      { in: 'apps/server/src/main.ts', out: 'main' },
      { in: 'apps/server/src/measuredServer.ts', out: 'measuredServer' },
      { in: 'apps/server/src/standIn.ts', out: 'standIn' },
      { in: 'apps/server/src/demo/writeDemo.ts', out: 'writeDemo' },
      { in: 'apps/server/src/workers/pits.worker.ts', out: 'pits.worker' },
      { in: 'apps/server/src/workers/documents.worker.ts', out: 'documents.worker' },
      { in: 'apps/server/src/workers/watch.worker.ts', out: 'watch.worker' },
    ],
    // Chunks lie beside the entries, so that what they find by their own address is found from each.
    chunkNames: '[name]-[hash]',
    outdir: 'apps/server/dist',
    plugins: [bundleOwnOnly],
  }),
  build({
    ...shared,
    entryPoints: [
      { in: 'apps/cli/src/main.ts', out: 'main' },
      { in: 'checks/bench/ensemble.worker.ts', out: 'ensemble.worker' },
      { in: 'checks/bench/tend.worker.ts', out: 'tend.worker' },
      { in: 'checks/bench/learn.worker.ts', out: 'learn.worker' },
      { in: 'checks/bench/now.worker.ts', out: 'now.worker' },
      { in: 'checks/bench/paper.worker.ts', out: 'paper.worker' },
    ],
    outdir: 'apps/cli/dist',
    // Packages' modern builds: what is not used of them is left out.
    mainFields: ['module', 'main'],
    // Bundled packages that were written for `require` find it here.
    banner: {
      js: "import { createRequire as __createRequire } from 'node:module'; const require = __createRequire(import.meta.url);",
    },
  }),
]);
