/**
 * The core as one file for Jest. Its modules call each other in hot loops, where the getters between CommonJS modules
 * cost twice the engine's own time; and each test file loads one module instead of two hundred.
 */
import { build } from 'esbuild';
import path from 'node:path';
import { root } from './setup.mjs';

/** Where Jest finds it: see `jest.config.cjs`. */
export const coreBundle = path.join(root, '.cache/core.cjs');

const DOORS = [
  'internals',
  'index',
  'afterwards',
  'catalogue',
  'engine',
  'learning',
  'log',
  'lookAhead',
  'quantity',
  'tending',
  'yard',
];

export const bundleCore = () =>
  build({
    absWorkingDir: root,
    stdin: {
      contents: DOORS.map((door) => `export * from './${door}';`).join('\n'),
      resolveDir: path.join(root, 'packages/core/src'),
      loader: 'ts',
    },
    outfile: coreBundle,
    bundle: true,
    format: 'cjs',
    platform: 'node',
    target: 'node20',
    mainFields: ['module', 'main'],
    sourcemap: 'inline',
    logLevel: 'warning',
    tsconfig: path.join(root, 'tsconfig.base.json'),
  });
