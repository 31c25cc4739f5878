import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier';
import globals from 'globals';

/** Packages small and pure enough for the core. */
const PURE = ['@date-fns/tz', 'ml-levenberg-marquardt', 'ml-matrix'];

export default [
  {
    ignores: ['**/node_modules/**', '**/dist/**', '**/.expo/**', 'data/**', '.cache/**', 'docs/**'],
  },
  ...expo,
  prettier,
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: ['tsconfig.json', 'apps/*/tsconfig.json'],
          noWarnOnMultipleProjects: true,
        },
      },
    },
    rules: {
      'no-console': 'error',
      // The default export is how fast-check documents itself.
      'import/no-named-as-default-member': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/array-type': 'off',
      '@typescript-eslint/no-redeclare': 'off',
    },
  },
  {
    // The core is pure: nothing of the app, the server, the browser or Node, no clock and no chance.
    files: ['packages/core/src/**/*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: `^(?!\\.)(?!(${PURE.join('|')})(/|$))`,
              message: 'The core imports only itself and small pure packages.',
            },
          ],
        },
      ],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'fetch',
        'localStorage',
        'navigator',
        'self',
        'require',
        'Buffer',
        'setTimeout',
        'setInterval',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'Time is passed in.' },
        { object: 'Math', property: 'random', message: 'Chance is passed in.' },
      ],
    },
  },
  {
    files: ['scripts/**', '**/*.config.*', 'apps/app/*.js', 'e2e/**', '**/test/**'],
    languageOptions: { globals: { ...globals.node, ...globals.jest } },
  },
];
