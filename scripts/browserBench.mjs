/**
 * What somebody at the page waits for: the first answer, the full one, the comparisons, and how long the page
 * itself was ever kept from answering a touch. Measured in the real browser on a scratch database; printed as JSON.
 */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { CHROMIUM_FLAGS, findChromium } from './browser.mjs';
import { buildWeb, install, quietEnv, root } from './setup.mjs';

const PORT = 8671;
const url = `http://127.0.0.1:${PORT}`;
/** Tasks of the main thread that are longer than this keep a touch waiting, ms: the browser reports no shorter ones. */
const BLOCKED_MS = 50;
const PITS = [/^the Bosun/, /^Long Tom/, /^Clay Jar/, /^the Tower/];

install(true);
buildWeb();
const server = spawn(process.execPath, ['--import', 'tsx', 'apps/server/src/main.ts'], {
  cwd: root,
  env: {
    ...quietEnv(),
    PORT: String(PORT),
    OSTRIN_DB: ':memory:',
    OSTRIN_DEMO: '1',
    LOG_LEVEL: 'warn',
  },
  stdio: ['ignore', 2, 2],
});
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS });

/** Keeps every long task of the page from its beginning. */
function watchTasks() {
  globalThis.longTasks = [];
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) globalThis.longTasks.push([e.startTime, e.duration]);
  }).observe({ type: 'longtask', buffered: true });
}

/** Touches the word and the choice by their names, then waits for both answers; ms since the touch. */
async function answers(page, word, choice) {
  await page.getByRole('button', { name: word }).click();
  await page.getByRole('radio', { name: choice }).first().waitFor();
  await wait(400);
  await page.evaluate(() => {
    globalThis.marks = {};
    const times = document.querySelector('[data-testid="four-times"]');
    const began = () => globalThis.marks.touched !== undefined;
    new MutationObserver(() => {
      if (!began()) return;
      const now = performance.now() - globalThis.marks.touched;
      const busy = times.getAttribute('aria-busy') === 'true';
      if (busy && times.textContent.includes('roughly')) globalThis.marks.roughMs ??= now;
      if (!busy && globalThis.marks.roughMs) globalThis.marks.fullMs ??= now;
    }).observe(times, { subtree: true, childList: true, characterData: true, attributes: true });
    addEventListener('pointerdown', () => (globalThis.marks.touched = performance.now()), {
      once: true,
      capture: true,
    });
  });
  await page.getByRole('radio', { name: choice }).first().click();
  await page.waitForFunction(() => globalThis.marks.fullMs, null, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  return page.evaluate(() => ({
    roughMs: Math.round(globalThis.marks.roughMs),
    fullMs: Math.round(globalThis.marks.fullMs),
  }));
}

/** Long tasks since that moment of the page's clock. */
async function blocked(page, sinceMs) {
  await wait(300);
  const tasks = await page.evaluate(() => globalThis.longTasks);
  const late = tasks.filter(([at, ms]) => at >= sinceMs && ms > BLOCKED_MS);
  return { times: late.length, longestMs: Math.round(Math.max(0, ...late.map(([, ms]) => ms))) };
}

async function measure() {
  const page = await browser.newPage({
    viewport: { width: 390, height: 844 },
    timezoneId: 'Europe/Ljubljana',
  });
  await page.addInitScript(watchTasks);
  await page.goto(url);
  await page.getByTestId('four-times').and(page.locator('[aria-busy=false]')).waitFor();
  const firstAnswerMs = Math.round(await page.evaluate(() => performance.now()));
  // What is fetched after the first page comes now.
  await wait(5000);
  const loaded = await page.evaluate(() => performance.now());
  const pits = [];
  for (const pit of PITS.slice(1)) {
    pits.push({ change: String(pit), ...(await answers(page, /^Cooker/, pit)) });
  }
  for (const people of [/^4$/, /^12$/]) {
    pits.push({ change: `people ${people}`, ...(await answers(page, /^People/, people)) });
  }
  const planning = await blocked(page, loaded);
  const asked = await page.evaluate(() => performance.now());
  await page.getByRole('button', { name: 'Compare' }).click();
  await page.getByTestId('way-as-planned').waitFor({ timeout: 60_000 });
  const firstRowMs = Math.round((await page.evaluate(() => performance.now())) - asked);
  await page
    .getByText('Working out the next one.')
    .waitFor({ state: 'detached', timeout: 120_000 });
  const allRowsMs = Math.round((await page.evaluate(() => performance.now())) - asked);
  const rows = await page.getByTestId(/^way-/).count();
  const comparing = await blocked(page, asked);
  return {
    firstAnswerMs,
    answers: pits,
    ways: { rows, firstRowMs, allRowsMs },
    blockedOver50: { planning, comparing },
  };
}

try {
  for (let i = 0; i < 300 && !(await fetch(`${url}/api/health`).catch(() => null)); i++) {
    await wait(200);
  }
  process.stdout.write(`${JSON.stringify(await measure(), null, 1)}\n`);
} finally {
  await browser.close();
  server.kill();
}
