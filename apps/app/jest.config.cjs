const preset = require('jest-expo/jest-preset');

const SOURCE = '\\.[jt]sx?$';
const [babelJest, options] = preset.transform[SOURCE];

/** @type {import('jest').Config} */
module.exports = {
  displayName: 'app',
  preset: 'jest-expo',
  testEnvironment: '<rootDir>/../../scripts/jest/environment.cjs',
  rootDir: __dirname,
  testMatch: ['<rootDir>/test/**/*.test.ts?(x)'],
  setupFiles: ['<rootDir>/../../scripts/jest/setup.cjs', '<rootDir>/test/setup.ts'],
  setupFilesAfterEnv: ['<rootDir>/test/patience.ts'],
  moduleNameMapper: {
    ...preset.moduleNameMapper,
    '^@ostrin/core(/.+)?$': '<rootDir>/../../scripts/jest/core.cjs',
  },
  transform: {
    // Nothing of these needs the app's own compiler, which takes many times as long.
    '/packages/[a-z]+/(src|test)/.+\\.ts$': require.resolve('../../scripts/jest/transform.cjs'),
    '\\.mjs$': 'babel-jest',
    // Tests run as CommonJS, where a part that is fetched later is simply required.
    [SOURCE]: [babelJest, { ...options, plugins: ['@babel/plugin-transform-dynamic-import'] }],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!((jest-)?react-native|@react-native(-community)?|expo(nent)?|@expo(nent)?/.*|@expo-google-fonts/.*|react-navigation|@react-navigation/.*|nativewind|idb|uuid|react-native-css-interop|react-native-svg|lucide-react-native|d3-.*|internmap|@date-fns|@ostrin|ml-[a-z-]+|is-any-array)/?)',
  ],
};
