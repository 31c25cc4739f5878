/** Takes the pictures in docs/screenshots from the demo data, on a scratch database. */
import { chromium } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { CHROMIUM_FLAGS, findChromium } from './browser.mjs';
import { demoServer } from './demoServer.mjs';
import { buildWeb, install, root } from './setup.mjs';

const PORT = 8661;
const out = path.join(root, 'docs/screenshots');
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };

install();
buildWeb();
mkdirSync(out, { recursive: true });
const server = await demoServer(PORT);
const browser = await chromium.launch({
  executablePath: findChromium(),
  args: CHROMIUM_FLAGS,
});

async function open(place, viewport, colorScheme = 'light') {
  const page = await browser.newPage({ viewport, colorScheme, timezoneId: 'Europe/Ljubljana' });
  await page.goto(server.url + place);
  return page;
}

async function shoot(name, place, viewport, colorScheme, before = async () => undefined) {
  const page = await open(place, viewport, colorScheme);
  await wait(2500);
  await before(page);
  await page.screenshot({ path: path.join(out, `${name}.png`) });
  await page.close();
}

/** An instrument at the Bosun that told its first readings. */
async function tellByWire() {
  const send = (to, method, body, headers = {}) =>
    fetch(server.url + to, {
      method,
      headers: { 'Content-Type': 'application/json', ...headers },
      body: JSON.stringify(body),
    }).then((res) => res.json());
  const channels = [
    ['1', 'grate'],
    ['2', 'dome'],
    ['3', 'meat'],
  ].map(([key, spot]) => ({
    key,
    spot,
    offsetK: 0,
    checkedAt: null,
    ...(spot === 'meat' ? { piece: 1 } : {}),
  }));
  const at = '/api/instruments/four-probes';
  await send(at, 'PUT', { name: 'four probes', pitName: 'the Bosun', channels });
  const { token } = await send(`${at}/token`, 'POST', {});
  const told = { values: { 1: 121.4, 2: 137.2, 3: 61.8 }, battery: 0.82 };
  await send('/api/wire', 'POST', told, { Authorization: `Bearer ${token}` });
}

const planned = (page) =>
  page.getByTestId('four-times').and(page.locator('[aria-busy=false]')).waitFor();

/** The draft on another pit, planned. */
async function onPit(page, name) {
  await planned(page);
  await page.getByRole('button', { name: /^Cooker:/ }).click();
  await page.getByRole('radio', { name }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await wait(300);
  await planned(page);
}

/** The vent card is there; on a phone it is scrolled to. */
const worked = (page) => page.getByRole('table').waitFor();
const toCard = async (page) => {
  await worked(page);
  await page.getByRole('heading', { name: 'Vent card' }).scrollIntoViewIfNeeded();
  await page.mouse.move(200, 400);
  await page.mouse.wheel(0, 430);
  await wait(400);
};

try {
  await shoot('plan-phone', '/', PHONE, 'light', planned);
  await shoot('plan-wide', '/', WIDE, 'light', planned);
  await shoot('plan-fire', '/', PHONE, 'light', async (page) => {
    await onPit(page, /^Clay Jar/);
    await page.getByTestId('fire-side').scrollIntoViewIfNeeded();
    await page.mouse.move(200, 400);
    await page.mouse.wheel(0, 430);
    await wait(600);
  });
  await shoot('plan-variants', '/', PHONE, 'dark', async (page) => {
    await onPit(page, /^Long Tom/);
    await page.getByRole('button', { name: 'Compare' }).click();
    await page.getByTestId('variant-pit-tower').waitFor({ timeout: 60_000 });
    await page.getByTestId('variant-as-planned').scrollIntoViewIfNeeded();
    await page.mouse.move(200, 400);
    await page.mouse.wheel(0, 300);
    await wait(400);
  });
  const twoFires = async (page) => {
    await page.getByRole('button', { name: 'Saved plans' }).click();
    await page.getByRole('button', { name: /^Open Harvest/ }).waitFor();
    await wait(400);
  };
  await shoot('plan-saved', '/', PHONE, 'light', twoFires);
  await shoot('plan-table', '/', WIDE, 'light', async (page) => {
    await twoFires(page);
    await page.getByRole('button', { name: /^Open Harvest/ }).click();
    await wait(500);
    await planned(page);
    await page.getByRole('radio', { name: 'Long Tom' }).click();
    await wait(800);
  });
  await shoot('log', '/log', PHONE);
  await shoot('yard', '/yard', PHONE);
  await shoot('yard-pit', '/yard/bosun', PHONE, 'light', toCard);
  await shoot('yard-pit-wide', '/yard/clay-jar', WIDE, 'dark', worked);

  // A cook four hours in, with its jobs done as they come.
  const page = await open('/', PHONE);
  await planned(page);
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  for (let i = 0; i < 3; i++) {
    await page.getByTestId('job-done').click();
    await wait(400);
  }
  await page.getByTestId('this-cook').click();
  await page.getByRole('radio', { name: '240×' }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // Nothing is done but what the card says.
  const began = Date.now();
  while (Date.now() - began < 68_000) {
    const due = (await page.getByTestId('job-due').textContent()) ?? '';
    if (due === 'now' || due.includes('ago')) await page.getByTestId('job-done').click();
    await wait(150);
  }
  await page.getByTestId('this-cook').click();
  await page.getByRole('radio', { name: '1×', exact: true }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.close();
  // The forecast is worked out when the page opens.
  const foreseen = () => wait(5000);
  await shoot('tend-day', '/tend', PHONE, 'light', foreseen);
  await shoot('tend-night', '/tend', PHONE, 'dark', foreseen);
  await shoot('tend-wide', '/tend', WIDE, 'light', foreseen);
  await shoot('tend-meat', '/tend', PHONE, 'light', async (page) => {
    await page.getByTestId('meat-reading').click();
    await page.getByTestId('outlook').waitFor();
    await wait(500);
  });
  await shoot('tend-change', '/tend', PHONE, 'light', async (page) => {
    await page.getByTestId('this-cook').click();
    await page.getByTestId('change').click();
    await page.getByTestId('change-as-planned').waitFor({ timeout: 60_000 });
    await wait(500);
  });
  await tellByWire();
  await shoot('instruments', '/instruments', PHONE, 'light');
  await shoot('phones', '/house', PHONE, 'light');
  const cook = async (page) => {
    await page.getByRole('link', { name: /Regatta lunch/ }).click();
    await wait(6000);
  };
  await shoot('log-cook', '/log', PHONE, 'light', cook);
  await shoot('log-compare', '/log', WIDE, 'dark', async (page) => {
    await page.getByTestId('compare').click();
    for (const name of ['Regatta lunch', 'Harvest supper']) {
      await page.getByRole('checkbox').filter({ hasText: name }).click();
    }
    await page.getByRole('button', { name: 'Compare these 2' }).click();
    await wait(4000);
  });
} finally {
  await browser.close();
  server.stop();
}
