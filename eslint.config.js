import expo from 'eslint-config-expo/flat.js';
import prettier from 'eslint-config-prettier';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Packages small and pure enough for the core. */
const PURE = ['@date-fns/tz', 'ml-levenberg-marquardt', 'ml-matrix'];

/** Folders of the core from the ground up: each knows only the ones before it. */
const CORE = 'packages/core/src';
const LAYERS = [
  'quantity',
  'air',
  'fuel',
  'safety',
  'fire',
  'meat',
  'pit',
  'scenario',
  'control',
  'cook',
  'solvers',
  'sampling',
  'estimate',
  'plan/request',
  'plan/document',
  'plan/fire',
  'plan/schedule',
  'plan/grate',
  'plan/jobs',
  'plan/advice',
  'plan/compare',
  'log',
  'instruments',
  'diagnosis',
  'forecast',
  'advice',
  'now',
  'learn',
  'afterwards',
];
/** Files that put a plan together. */
const PLAN_FILES = `${CORE}/plan/*.ts`;

/** A zone for `import/no-restricted-paths`: files of `target` may not import from `from`. */
const zone = (target, from, message) => ({ target, from, message });

const ZONES = [
  ...LAYERS.flatMap((folder, i) =>
    LAYERS.slice(i + 1).map((up) =>
      zone(
        `${CORE}/${folder}`,
        `${CORE}/${up}`,
        `${folder}/ lies below ${up}/ and knows nothing of it.`,
      ),
    ),
  ),
  // Files beside the folders of the plan put it together: only variants, tend and the doors use them.
  ...LAYERS.slice(0, LAYERS.indexOf('plan/compare')).map((folder) =>
    zone(`${CORE}/${folder}`, PLAN_FILES, `${folder}/ is a part of the plan, not its whole.`),
  ),
  zone('packages/wording/src', ['packages/contract', 'apps'], 'Wording stands on the core alone.'),
  zone('packages/contract/src', 'apps', 'The contract knows no application.'),
  zone(
    'apps/app',
    ['apps/server', 'apps/cli', 'checks'],
    'The app talks to the server by the contract.',
  ),
  zone('apps/server', ['apps/app', 'apps/cli', 'checks'], 'The server knows nothing of the app.'),
];

/** Rules of components and hooks cost a compilation of each file: they look at the app alone, the rest has no component. */
const componentsInAppOnly = (config) =>
  config.plugins?.['react-hooks']
    ? { ...config, files: ['apps/app/**/*.ts', 'apps/app/**/*.tsx'] }
    : config;

const length = (most) => ['error', { max: most, skipBlankLines: true, skipComments: true }];

export default [
  {
    ignores: ['**/node_modules/**', '**/dist/**', '**/.expo/**', 'data/**', '.cache/**', 'docs/**'],
  },
  ...expo.map(componentsInAppOnly),
  prettier,
  {
    settings: {
      'import/resolver': {
        typescript: {
          project: 'tsconfig.json',
        },
      },
    },
    rules: {
      'no-console': 'error',
      'max-lines': ['error', { max: 300 }],
      'max-lines-per-function': length(80),
      'import/no-restricted-paths': ['error', { basePath: import.meta.dirname, zones: ZONES }],
      // The default export is how fast-check documents itself.
      'import/no-named-as-default-member': 'off',
    },
  },
  {
    files: ['**/*.ts', '**/*.tsx'],
    plugins: { '@typescript-eslint': tseslint.plugin },
    languageOptions: {
      parser: tseslint.parser,
      parserOptions: {
        project: ['tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      // The compiler proves these for TypeScript; the first of them alone took half the time of a run.
      'import/namespace': 'off',
      'import/default': 'off',
      'import/export': 'off',
      'import/no-unresolved': 'off',
      'import/no-named-as-default': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/array-type': 'off',
      '@typescript-eslint/no-redeclare': 'off',
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
      '@typescript-eslint/no-unnecessary-type-assertion': 'error',
      '@typescript-eslint/restrict-plus-operands': 'error',
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  {
    // A component is mostly markup.
    files: ['**/*.tsx'],
    rules: { 'max-lines-per-function': length(120) },
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
