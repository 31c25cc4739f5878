const node = (displayName, roots, injected = []) => ({
  displayName,
  testEnvironment: '<rootDir>/scripts/jest/environment.cjs',
  // Tests that compute look these up in hot loops, which is slow among a test file's own globals.
  sandboxInjectedGlobals: injected,
  rootDir: __dirname,
  roots: roots.map((r) => `<rootDir>/${r}`),
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/scripts/jest/setup.cjs'],
  moduleNameMapper: { '^@ostrin/core(/.+)?$': '<rootDir>/scripts/jest/core.cjs' },
  transform: { '^.+\\.(t|j|mj)sx?$': require.resolve('./scripts/jest/transform.cjs') },
  transformIgnorePatterns: ['/node_modules/(?!(@ostrin)/)'],
});

/** @type {import('jest').Config} */
module.exports = {
  testTimeout: 180_000,
  globalSetup: '<rootDir>/scripts/jest/globalSetup.mjs',
  projects: [
    node('core', ['packages/core/test'], ['Math', 'Number', 'Float64Array']),
    node('wording', ['packages/wording/test']),
    node('contract', ['packages/contract/test']),
    node('server', ['apps/server/test']),
    node('cli', ['apps/cli/test', 'checks']),
    '<rootDir>/apps/app/jest.config.cjs',
  ],
};
