/**
 * How smoothly the strip of a cook of sixteen hours with a reading each second is dragged and zoomed: frames in the real
 * browser while a finger moves, beside frames of the same page at rest. Printed as JSON. The page gets the server's own
 * document of a practice cook, with readings and a clock put into it on the way.
 */
import { chromium } from '@playwright/test';
import process from 'node:process';
import { CHROMIUM_FLAGS, findChromium } from './browser.mjs';
import { demoServer } from './demoServer.mjs';
import { buildWeb, install } from './setup.mjs';

const PORT = 8673;
const HOURS = 16;
const MOVE_MS = 4000;
const SLOWER = 4;
/** A frame that takes longer than this was missed at 60 a second, ms. */
const MISSED_MS = 1000 / 60 + 4;

/** Readings each second: a pit that wanders, and a middle that climbs. */
const readingsFrom = (startMs) =>
  Array.from({ length: HOURS * 3600 }, (_, s) => ({
    at: startMs + 1000 * s,
    pitC: Math.round(10 * (121 + 6 * Math.sin(s / 900) + Math.sin(s * 7.3))) / 10,
    coreC: Math.round(10 * Math.min(93, 5 + s / 500)) / 10,
  }));

/** Runs in the page: moves a finger over the strip in each frame; how long each frame took, ms. */
async function framesWhile(what, forMs) {
  const strip = document.querySelector('[data-testid="strip"]');
  const box = strip.getBoundingClientRect();
  const x = box.left + box.width / 2;
  const middle = box.top + box.height / 2;
  const touch = (type, y) =>
    strip.dispatchEvent(
      new PointerEvent(type, { pointerId: 7, clientX: x, clientY: y, bubbles: true }),
    );
  const frame = () => new Promise((done) => requestAnimationFrame(done));
  const took = [];
  let before = await frame();
  const began = before;
  if (what === 'drag') touch('pointerdown', middle);
  while (before - began < forMs) {
    const turn = Math.sin((before - began) / 300);
    if (what === 'drag') touch('pointermove', middle + 0.4 * box.height * turn);
    if (what === 'zoom') {
      strip.dispatchEvent(
        new WheelEvent('wheel', { deltaY: 40 * turn, clientX: x, clientY: middle, bubbles: true }),
      );
    }
    const now = await frame();
    took.push(now - before);
    before = now;
  }
  if (what === 'drag') touch('pointerup', middle);
  return took;
}

const told = (took) => {
  const sorted = [...took].sort((a, b) => a - b);
  return {
    framesPerS: Math.round((1000 * took.length) / took.reduce((a, b) => a + b, 0)),
    medianMs: Number(sorted[Math.floor(sorted.length / 2)].toFixed(1)),
    worstMs: Math.round(sorted.at(-1)),
    missedFraction: Number((took.filter((ms) => ms > MISSED_MS).length / took.length).toFixed(3)),
  };
};

async function measure(browser, url) {
  const page = await browser.newPage({
    viewport: { width: 390, height: 844 },
    timezoneId: 'Europe/Ljubljana',
  });
  await page.goto(url);
  await page.getByTestId('four-times').and(page.locator('[aria-busy=false]')).waitFor();
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  await page.getByTestId('strip').waitFor();
  await page.route(/\/api\/cooks\/[^/]+$/, async (route) => {
    const response = await route.fetch();
    const doc = await response.json();
    const endMs = doc.startMs + HOURS * 3_600_000;
    await route.fulfill({
      response,
      json: {
        ...doc,
        readings: readingsFrom(doc.startMs),
        clock: { ...doc.clock, cookMs: endMs, running: false },
      },
    });
  });
  await page.reload();
  await page.getByTestId('strip').waitFor();
  // The page comes to rest first.
  await page.waitForTimeout(8000);
  const frames = async (what) =>
    told(await page.evaluate(`(${framesWhile.toString()})(${JSON.stringify(what)}, ${MOVE_MS})`));
  const atRest = await frames('rest');
  // A phone's processor is about so many times slower than this machine's.
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  const dragged = await frames('drag');
  // It counts only if the strip went along.
  await page.getByTestId('strip-now').waitFor();
  const zoomed = await frames('zoom');
  return { readings: HOURS * 3600, slowerBy: SLOWER, atRest, dragged, zoomed };
}

install(true);
buildWeb();
const server = await demoServer(PORT);
const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS });
try {
  process.stdout.write(`${JSON.stringify(await measure(browser, server.url), null, 1)}\n`);
} finally {
  await browser.close();
  server.stop();
}
