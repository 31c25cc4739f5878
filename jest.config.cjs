const SOURCE = require.resolve('./scripts/esbuildTransform.cjs');

const node = (displayName, roots, injected = ['Math', 'Number', 'Float64Array']) => ({
  displayName,
  testEnvironment: 'node',
  // Test files run in a context where every look-up of a global is slow: these are handed in directly.
  sandboxInjectedGlobals: injected,
  rootDir: __dirname,
  roots: roots.map((r) => `<rootDir>/${r}`),
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/scripts/jest-setup.cjs'],
  moduleNameMapper: { '^@ostrin/core(/.+)?$': '<rootDir>/.cache/core.cjs' },
  transform: { '^.+\\.(t|j|mj)sx?$': SOURCE },
  transformIgnorePatterns: ['/node_modules/(?!(@date-fns|@ostrin|ml-[a-z-]+|is-any-array)/)'],
});

/** @type {import('jest').Config} */
module.exports = {
  testTimeout: 180_000,
  globalSetup: '<rootDir>/scripts/jest-global-setup.mjs',
  projects: [
    node('core', ['packages/core/test']),
    node('wording', ['packages/wording/test']),
    node('contract', ['packages/contract/test']),
    // Modules of its packages declare a Number of their own.
    node('server', ['apps/server/test'], ['Math', 'Float64Array']),
    node('cli', ['apps/cli/test', 'checks']),
    '<rootDir>/apps/app/jest.config.cjs',
  ],
};
