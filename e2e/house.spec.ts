/** The home network: plain HTTP under a name of the house, encryption, and a newer version in mid-cook. */
import { chromium, expect } from '@playwright/test';
import { appendFileSync, cpSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { CHROMIUM_FLAGS, findChromium } from '../scripts/browser.mjs';
import { PHONE, readByHand, startLit } from './help';
import { keptPage, phone, startCook, test } from './home';
import { note, expectNotes, expectNotesOfTwo } from './notes';

const root = path.resolve(import.meta.dirname, '..');

// Apps that are kept on their device.
test.use({ serviceWorkers: 'allow' });

test('over plain HTTP under another name everything works but installing, and the page says so', async ({
  serve,
}) => {
  const server = await serve({
    args: ['--home'],
    env: { OSTRIN_HOSTS: 'yard.example' },
  });
  const browser = await chromium.launch({
    executablePath: findChromium(),
    args: [...CHROMIUM_FLAGS, '--host-resolver-rules=MAP yard.example 127.0.0.1'],
  });
  const url = `http://yard.example:${server.port}`;
  const { page, context } = await phone(browser, url, 'Anka');
  expect(await page.evaluate(() => [isSecureContext, 'locks' in navigator])).toEqual([
    false,
    false,
  ]);
  await startCook(page);
  const second = await context.newPage();
  await second.goto(`${url}/tend`);
  await expect(second.getByTestId('job-card')).toBeVisible();
  await server.kill();
  await note(page, 'p1');
  await note(second, 's1');
  await note(page, 'p2');
  await server.start();
  await expectNotesOfTwo(page, ['p1', 'p2', 's1']);
  await page.goto(`${url}/house`);
  await expect(page.getByTestId('missing')).toContainText('--tls');
  await expect(page.getByText('Not encrypted')).toBeVisible();
  await page.getByTestId('invite').click();
  await page.getByTestId('invite-looker').click();
  const code = (await page.getByTestId('invite-code').textContent())!;

  // A looker reads, and has nothing to log with.
  const guest = await (await browser.newContext()).newPage();
  await guest.goto(url);
  await guest.getByLabel('Passcode or invitation').fill(code);
  await guest.getByLabel(/^Your name/).fill('Guest');
  await guest.getByRole('button', { name: 'Sign in' }).click();
  await expect(guest.getByTestId('plan-sentence')).toBeVisible();
  await guest.goto(`${url}/tend`);
  await expect(guest.getByText(/This phone can view but not log/)).toBeVisible();
  await expect(guest.getByTestId('pad-lid')).toHaveCount(0);

  // Signed out from elsewhere, it is told so at once.
  await page.goto(`${url}/house`);
  await page.getByRole('button', { name: 'Change Guest, Phone' }).click();
  await page.getByTestId('device-out').click();
  await guest.goto(`${url}/tend`);
  await expect(guest.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await context.close();
  await browser.close();
});

test('with a certificate of the house the page is a secure one', async ({ browser, serve }) => {
  const server = await serve({ args: ['--home', '--tls'] });
  const url = `https://127.0.0.1:${server.port}`;
  const { page, context } = await phone(browser, url, 'Pell', { ignoreHTTPSErrors: true });
  expect(await page.evaluate(() => isSecureContext)).toBe(true);
  const [cookie] = await context.cookies();
  expect(cookie).toMatchObject({ secure: true, httpOnly: true, sameSite: 'Strict' });
  await page.goto(`${url}/house`);
  await expect(page.getByRole('img', { name: /QR code of https:/ })).toBeVisible();
  await expect(page.getByText('Not encrypted')).toHaveCount(0);
  const authority = await page.request.get(`${url}/sign-in/house.crt`);
  expect(await authority.text()).toMatch(/BEGIN CERTIFICATE/);
  await context.close();
});

test('a newer version is offered in mid-cook, taken when wanted, and never mixed', async ({
  browser,
  serve,
}) => {
  const web = mkdtempSync(path.join(tmpdir(), 'ostrin-web-'));
  cpSync(path.join(root, 'apps/app/dist'), web, { recursive: true });
  const server = await serve({ env: { OSTRIN_WEB: web } });
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await keptPage(context, server.url);
  appendFileSync(path.join(web, 'sw.js'), '\n// a newer version\n');
  await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
  await expect(page.getByTestId('new-version')).toContainText('Load it when it suits you');
  await note(page, 'n1');
  await page.getByTestId('take-version').click();
  await expect(page.getByTestId('new-version')).toHaveCount(0);
  await expect(page.getByTestId('job-card')).toContainText(/Bowl vent/);

  // A server of another level answers this page nothing, and takes nothing from it.
  await context.route('**/api/**', (route) =>
    route.fulfill({
      status: 426,
      contentType: 'application/problem+json',
      body: JSON.stringify({ title: 'This page is of another version', status: 426 }),
    }),
  );
  await note(page, 'n2');
  await expect(page.getByTestId('new-version')).toContainText('Nothing is read or sent');
  await context.unroute('**/api/**');
  await page.getByTestId('take-version').click();
  await expectNotes(page, ['n1', 'n2']);
  await context.close();
});

test('a part of an old page that is gone offers to load the page again, with taps kept', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const context = await browser.newContext({ ...PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  // As after a new build, where nothing kept the parts of the old one.
  await page.route(/TendSheets[^/]*\.js/, (route) => route.fulfill({ status: 404 }));
  await page.goto(server.url);
  await startLit(page, '1 h ago');
  await readByHand(page, 'At the grate', '119');
  await page.getByTestId('this-cook').click();
  await expect(page.getByTestId('part-missing')).toContainText('load the page again');
  await page.unroute(/TendSheets[^/]*\.js/);
  await page.getByRole('button', { name: 'Load the page again' }).click();
  await expect(page.getByTestId('pit-reading')).toHaveText('119°');
  await page.getByTestId('this-cook').click();
  await expect(page.getByRole('dialog', { name: 'This cook' })).toBeVisible();
});
