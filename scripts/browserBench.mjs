/**
 * What somebody at the page waits for: the first answer, the full one, the comparisons, and how long the page
 * itself was ever kept from answering a touch. Measured in the real browser on a scratch database; printed as
 * JSON. Touches are made inside the page, so that nothing but the page's own work is timed, and what it was
 * blocked for stands beside the same for a page where nothing happens: that is the machine's own unrest.
 */
import { chromium } from '@playwright/test';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { CHROMIUM_FLAGS, findChromium } from './browser.mjs';
import { demoServer } from './demoServer.mjs';
import { buildWeb, install } from './setup.mjs';

const PORT = 8671;
/** Tasks of the main thread that are longer than this keep a touch waiting, ms: the browser reports no shorter ones. */
const BLOCKED_MS = 50;
/** Choices that are made one after another, each from the sheet of a word. */
const CHANGES = [
  ['Cooker', 'Long Tom'],
  ['Cooker', 'Clay Jar'],
  ['Cooker', 'the Tower'],
  ['Cooker', 'the Bosun'],
  ['People', '4'],
  ['People', '12'],
  ['Meat', 'Brisket'],
  ['Meat', 'Mutton shoulder'],
];
const ROUNDS = 3;
/** The control looks at an idle page for so long, ms. */
const IDLE_MS = 10_000;

/** Runs in the page: keeps long tasks, and touches words and choices. */
function hands() {
  const tasks = [];
  new PerformanceObserver((list) => {
    for (const e of list.getEntries()) tasks.push([e.startTime, e.duration]);
  }).observe({ type: 'longtask', buffered: true });
  const pause = (ms) => new Promise((done) => setTimeout(done, ms));
  const find = (role, label) =>
    [...document.querySelectorAll(`[role=${role}]`)].find((e) =>
      (e.getAttribute('aria-label') ?? e.textContent ?? '').startsWith(label),
    );
  const until = async (test, what = String(test)) => {
    for (const began = performance.now(); performance.now() - began < 60_000;) {
      const found = test();
      if (found) return found;
      await pause(4);
    }
    throw new Error(`waited in vain for ${what}`);
  };
  const times = () => document.querySelector('[data-testid="four-times"]');
  /** Touches a choice behind a word, waits for both answers and lets the page come to rest; ms since the touch. */
  const change = async (word, choice) => {
    find('button', `${word}:`).click();
    const option = await until(() => find('radio', choice), `${word}: ${choice}`);
    await pause(600);
    const touched = performance.now();
    option.click();
    const took = { roughMs: null, fullMs: null };
    await until(() => {
      const busy = times().getAttribute('aria-busy') === 'true';
      const now = Math.round(performance.now() - touched);
      if (busy && times().textContent.includes('roughly')) took.roughMs ??= now;
      if (!busy && took.roughMs !== null) took.fullMs = now;
      return took.fullMs !== null;
    });
    await pause(600);
    const until_ = performance.now();
    [...document.querySelectorAll('[role=button]')].find((e) => e.textContent === 'Done').click();
    await pause(500);
    return { ...took, from: touched, until: until_ };
  };
  const over = (from, to, ms) =>
    tasks.filter(([at, took]) => at >= from && at < to && took > ms).map(([, took]) => took);
  globalThis.bench = { change, over, find, until, pause };
}

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)] ?? 0;
const blocked = (lists) => ({
  // In the middle of the rounds and in the worst.
  timesARound: middle(lists.map((l) => l.length)),
  longestMs: Math.round(middle(lists.map((l) => Math.max(0, ...l)))),
  worstMs: Math.round(Math.max(0, ...lists.flat())),
});

async function measure(browser) {
  const page = await browser.newPage({
    viewport: { width: 390, height: 844 },
    timezoneId: 'Europe/Ljubljana',
  });
  await page.addInitScript(hands);
  await page.goto(server.url);
  await page.getByTestId('four-times').and(page.locator('[aria-busy=false]')).waitFor();
  const firstAnswerMs = Math.round(await page.evaluate(() => performance.now()));
  // What is fetched after the first page comes now, and each sheet is opened once.
  await wait(5000);
  const round = (list) =>
    page.evaluate(async (changes) => {
      const made = [];
      for (const [word, choice] of changes) {
        const { from, until, ...took } = await globalThis.bench.change(word, choice);
        made.push({
          change: `${word}: ${choice}`,
          ...took,
          blocked: globalThis.bench.over(from, until, 50),
        });
      }
      return made;
    }, list);
  const first = await round(CHANGES);
  const rounds = [];
  for (let i = 0; i < ROUNDS; i++) rounds.push(await round(CHANGES));
  const answers = CHANGES.map((_, i) => ({
    change: rounds[0][i].change,
    // The first time its fire is worked out; after that it is known.
    firstTime: { roughMs: first[i].roughMs, fullMs: first[i].fullMs },
    roughMs: middle(rounds.map((r) => r[i].roughMs)),
    fullMs: middle(rounds.map((r) => r[i].fullMs)),
  }));
  const planning = blocked(rounds.map((r) => r.flatMap((c) => c.blocked)));
  const { ways, comparing } = await page.evaluate(async () => {
    const { find, until, over } = globalThis.bench;
    const asked = performance.now();
    const since = () => Math.round(performance.now() - asked);
    find('button', 'Compare').click();
    await until(() => document.querySelector('[data-testid="way-as-planned"]'));
    const firstRowMs = since();
    await until(() => !document.body.textContent.includes('Working out the next one.'));
    const rows = document.querySelectorAll('[data-testid^="way-"]').length;
    const took = { rows, firstRowMs, allRowsMs: since() };
    return { ways: took, comparing: over(asked, performance.now(), 50) };
  });
  const idle = await page.evaluate(async (ms) => {
    const from = performance.now();
    await globalThis.bench.pause(ms);
    return globalThis.bench.over(from, performance.now(), 50);
  }, IDLE_MS);
  return {
    firstAnswerMs,
    answers,
    ways,
    blockedOver50: {
      overMs: BLOCKED_MS,
      planning,
      comparing: blocked([comparing]),
      idle: blocked([idle]),
    },
  };
}

install(true);
buildWeb();
const server = await demoServer(PORT);
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS });
try {
  process.stdout.write(`${JSON.stringify(await measure(browser), null, 1)}\n`);
} finally {
  await browser.close();
  server.stop();
}
