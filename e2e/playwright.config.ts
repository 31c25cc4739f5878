import { defineConfig, devices } from '@playwright/test';
import { copyFileSync, existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { CHROMIUM_FLAGS, findChromium } from '../scripts/browser.mjs';
import { demoDatabase } from '../scripts/demoDatabase.mjs';

/** How long a page may take to show something, or to be ready for a touch, ms. */
const PATIENCE_MS = Number(process.env.E2E_PATIENCE_MS ?? 60_000);
const root = path.resolve(import.meta.dirname, '..');
const port = Number(process.env.E2E_PORT ?? 8651);
const database = path.join(
  (process.env.E2E_SCRATCH ??= mkdtempSync(path.join(tmpdir(), 'ostrin-e2e-'))),
  'e2e.sqlite',
);
// Workers of the run read this file too, and begin with what its first reading made.
const demo = (process.env.OSTRIN_READY_DEMO ??= demoDatabase());
if (!existsSync(database)) copyFileSync(demo, database);

export default defineConfig({
  testDir: import.meta.dirname,
  timeout: 480_000,
  expect: { timeout: PATIENCE_MS },
  workers: 1,
  // A busy machine gets a second try; `npm test` names each test that needed it.
  retries: 1,
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.E2E_RESULTS ?? path.join(root, 'test-results/e2e.json') }],
  ],
  outputDir: process.env.E2E_OUTPUT ?? path.join(root, 'test-results/e2e'),
  fullyParallel: true,
  use: {
    ...devices['Desktop Chrome'],
    actionTimeout: PATIENCE_MS,
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 390, height: 844 },
    // Fetching all of the app for a page that is closed soon costs as much as the page; what is about that allows it.
    serviceWorkers: 'block',
    timezoneId: process.env.E2E_ZONE ?? 'Europe/Ljubljana',
    launchOptions: {
      executablePath: findChromium(),
      args: CHROMIUM_FLAGS,
    },
  },
  webServer: {
    command: `"${process.execPath}" apps/server/dist/main.js`,
    cwd: root,
    url: `http://127.0.0.1:${port}/api/health`,
    timeout: 60_000,
    env: {
      ...(process.env as Record<string, string>),
      PORT: String(port),
      OSTRIN_DB: database,
      LOG_LEVEL: 'warn',
    },
  },
});
