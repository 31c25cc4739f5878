/** Plans built by touch for three kinds of pits, and one by the keyboard alone. */
import { expect } from '@playwright/test';
import { quickTest as test } from './home';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';
import { change, choose, done, planned, printed, type } from './help';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('a kettle through a cold night, taken along as a calendar that opens elsewhere', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^People:/, '6');
  await change(page, /^Fire:/, /^A side basket of briquettes/, /^Oak,/);
  await change(page, /^Held|^Pit:/, /^135 °C/);
  await change(page, /^Shifts:/);
  await page.getByRole('button', { name: /^Weather:/ }).click();
  for (let i = 0; i < 6; i++) {
    await page.getByRole('button', { name: 'Air at night: less' }).click();
  }
  await done(page);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('12 °C, 6 °C at night, light wind');
  await expect(page.getByTestId('plan-sentence')).toContainText('a side basket of briquettes, oak');
  await expect(page.getByText(/briquettes along one side, in the basket/)).toBeVisible();
  await expect(page.getByTestId('rule')).toContainText(/Over \d+\s°C: close by one notch/);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Calendar' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.ics$/);
  const calendar = new ICAL.Component(ICAL.parse(readFileSync(await download.path(), 'utf8')));
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e).summary);
  expect(events).toEqual(expect.arrayContaining(['Build the fire', 'Serve 6 people']));
  const [sheet] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Markdown' }).click(),
  ]);
  expect(readFileSync(await sheet.path(), 'utf8')).toContain('## Build the fire');
});

test('a stick burner on splits: fed in rounds as often as is wished, watched in shifts, printed on one page', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Long Tom/);
  await change(page, /^Meat:/, /^Brisket/);
  await page.getByRole('button', { name: /^Shifts:/ }).click();
  await page.getByRole('button', { name: 'People sharing the shifts: more' }).click();
  await done(page);
  await planned(page);
  await expect(page.getByText(/times, every (30|45)\smin until/).first()).toBeVisible();
  // Slept longer, at a price that is told.
  await choose(page, /^Fire:/, 'As you wish');
  await type(page, 'Minutes between splits', '60');
  await done(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('splits every 60 min, cherry');
  await expect(page.getByText(/^Then a split of .* every 1\sh, \d+ times\.$/)).toBeVisible();
  await expect(page.getByText(/^The pit is in its band about \d+ minutes in 100/)).toBeVisible();
  await choose(page, /^Fire:/);
  await type(page, 'Minutes between splits', '45');
  await done(page);
  await planned(page);
  await expect(page.getByText(/^Second shift: \d\d:\d\d to \d\d:\d\d/)).toBeVisible();
  await expect(page.getByText(/^cherry splits, seasoned: /)).toBeVisible();
  await expect(page.getByTestId('job-shop')).toContainText('cherry splits, seasoned');
  const { heading, pages } = await printed(page, context);
  expect(heading).toContain('Brisket for 8');
  expect(pages).toBe(1);
});

test('a kamado compared with its other ways, one of which is taken', async ({ page }) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Clay Jar/);
  await planned(page);
  await expect(page.getByText(/Old ash out first/)).toBeVisible();
  await page.getByRole('button', { name: 'Compare' }).click();
  const faster = page.getByTestId('variant-pace-150');
  await expect(faster).toContainText(/Coals in \d\d:\d\d/);
  await expect(page.getByTestId('variant-pit-tower')).toBeVisible();
  await faster.getByRole('button', { name: 'Plan it at 150 °C' }).click();
  await expect(page.getByTestId('plan-sentence')).toContainText('150 °C');
  await planned(page);
});

test('a plan by the keyboard alone', async ({ page }) => {
  await page.goto('/');
  await planned(page);
  const reach = async (name: RegExp | string): Promise<void> => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press('Tab');
      const label = await page.evaluate(() => {
        const at = document.activeElement;
        return at?.getAttribute('aria-label') ?? at?.textContent ?? '';
      });
      if (typeof name === 'string' ? label === name : name.test(label)) return;
    }
    throw new Error(`the keyboard does not reach ${String(name)}`);
  };
  const open = async (word: RegExp, sheet: string): Promise<void> => {
    await reach(word);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: sheet })).toBeVisible();
  };
  await open(/^People: 8 people/, 'How many people');
  await reach('12');
  await page.keyboard.press('Enter');
  await reach('Done');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('plan-sentence')).toContainText('12 people');
  await open(/^Wrap:/, 'Wrapped or not');
  await reach(/^Foil, /);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('wrapped in foil');
  await expect(page.getByTestId('four-times')).toContainText('ready, 8 in 10');
});
