/**
 * Where tests run. Jest gives each test file globals of its own, and code that looks them up there runs at a third of
 * its speed. The core computes, so it is loaded once beside them, with Node's own globals, and is handed in.
 */
const path = require('node:path');
const { TestEnvironment } = require('jest-environment-node');

const bundle = path.resolve(__dirname, '../../.cache/core.cjs');

/**
 * How a fire is held is worked out once for a pit, fire and weather, as the app does: two thirds of a plan's time. Tests
 * of that itself pass policies of their own.
 */
const knownPolicies = new Map();

function loadCore() {
  const core = { ...require(bundle), __esModule: true };
  const { plan, planSteps, compareVariants } = core;
  return Object.assign(core, {
    plan: (request, options) => plan(request, { knownPolicies, ...options }),
    planSteps: (request, options) => planSteps(request, { knownPolicies, ...options }),
    compareVariants: (request, from, options) =>
      compareVariants(request, from, { knownPolicies, ...options }),
  });
}
let core = null;

/** What the core throws is an error to the tests too. */
const SHARED = ['Error', 'RangeError', 'TypeError', 'SyntaxError'];

module.exports = class extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    // The app's tests run as React Native's do.
    if (config.projectConfig.displayName?.name === 'app') {
      this.customExportConditions = ['require', 'react-native'];
    }
  }

  async setup() {
    await super.setup();
    for (const name of SHARED) this.global[name] = globalThis[name];
    this.global.ostrinCore = core ??= loadCore();
  }
};
