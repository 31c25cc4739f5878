const nodeTransform = {
  // Modern modules that need nothing but another way to import.
  '/node_modules/(ml-[a-z-]+|is-any-array)/.+\\.js$': [
    'babel-jest',
    { configFile: false, babelrc: false, plugins: ['@babel/plugin-transform-modules-commonjs'] },
  ],
  '^.+\\.(t|j|mj)sx?$': [
    'babel-jest',
    {
      configFile: false,
      babelrc: false,
      presets: [['@babel/preset-typescript', { allowDeclareFields: true }]],
      plugins: [
        ['@babel/plugin-proposal-decorators', { version: 'legacy' }],
        '@babel/plugin-transform-class-properties',
        '@babel/plugin-transform-modules-commonjs',
        './scripts/babel-import-meta.cjs',
      ],
    },
  ],
};

const node = (displayName, roots, injected = ['Math', 'Number', 'Float64Array']) => ({
  displayName,
  testEnvironment: 'node',
  // Test files run in a context where every look-up of a global is slow: these are handed in directly.
  sandboxInjectedGlobals: injected,
  rootDir: __dirname,
  roots: roots.map((r) => `<rootDir>/${r}`),
  testMatch: ['**/*.test.ts'],
  setupFiles: ['<rootDir>/scripts/jest-setup.cjs'],
  transform: nodeTransform,
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
