import path from 'node:path';

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

const length = (most) => ['error', { max: most, skipBlankLines: true, skipComments: true }];

export default {
  plugins: ['eslint', 'typescript', 'import', 'react', 'oxc'],
  // Rules of imports that oxlint has no own version of.
  jsPlugins: [{ name: 'imports', specifier: 'eslint-plugin-import' }],
  options: { typeAware: true, typeCheck: true },
  settings: { 'import/resolver': { typescript: { project: 'tsconfig.json' } } },
  categories: { correctness: 'error' },
  ignorePatterns: ['**/dist/**', '**/.expo/**', 'data/**', '.cache/**', 'docs/**'],
  rules: {
    eqeqeq: ['error', 'smart'],
    'max-lines': ['error', { max: 300 }],
    'max-lines-per-function': length(80),
    'no-console': 'error',
    'no-unused-vars': [
      'error',
      { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
    ],
    'no-var': 'error',
    'import/first': 'error',
    'import/no-duplicates': 'error',
    'imports/no-restricted-paths': ['error', { basePath: import.meta.dirname, zones: ZONES }],
    'react/exhaustive-deps': 'error',
    'react/rules-of-hooks': 'error',
    'typescript/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
    'typescript/no-unnecessary-type-assertion': 'error',
    'typescript/restrict-plus-operands': 'error',
    'typescript/switch-exhaustiveness-check': [
      'error',
      { considerDefaultExhaustiveForUnions: true },
    ],
    // Stores hand out functions that know no `this`, and documents are plain once they are spread.
    'typescript/no-misused-spread': 'off',
    'typescript/unbound-method': 'off',
  },
  overrides: [
    {
      // A component is mostly markup.
      files: ['**/*.tsx'],
      rules: { 'max-lines-per-function': length(120) },
    },
    {
      // The core is pure: nothing of the app, the server, the browser or Node, no clock and no chance.
      files: ['packages/core/src/**/*.ts'],
      rules: {
        // What it may import beside itself stands in its package.json.
        'import/no-nodejs-modules': 'error',
        'imports/no-extraneous-dependencies': [
          'error',
          {
            packageDir: path.join(import.meta.dirname, 'packages/core'),
            devDependencies: false,
            includeTypes: true,
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
  ],
};
