/** Plans built by touch for three kinds of pits, and one by the keyboard alone. */
import { expect, test, type Page } from '@playwright/test';
import ICAL from 'ical.js';
import { readFileSync } from 'node:fs';

const planned = (page: Page) =>
  expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false', {
    timeout: 60_000,
  });
const change = async (page: Page, what: RegExp, ...choices: (RegExp | string)[]): Promise<void> => {
  await page.getByRole('button', { name: what }).click();
  for (const name of choices) {
    await page.getByRole('radio', { name, exact: typeof name === 'string' }).click();
  }
  await page.getByRole('button', { name: 'Done', exact: true }).click();
};

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('a kettle: salted meat for twelve, taken along as a calendar that opens elsewhere', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^People:/, '6');
  await change(page, /^Fire:/, /^A side basket of briquettes/, 'Oak');
  await change(page, /^Held|^Pit:/, /^135 C/);
  await change(page, /^Watch:/);
  await planned(page);
  await expect(page.getByTestId('slip')).toContainText('a side basket of briquettes, oak');
  await expect(page.getByText(/briquettes along one side, in the basket/)).toBeVisible();
  await expect(page.getByText(/^If it settles high:/)).toBeVisible();
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

test('a stick burner on splits: fed in rounds, watched in shifts, printed on one page', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Long Tom/);
  await change(page, /^Meat:/, /^Brisket/);
  await page.getByRole('button', { name: /^Watch:/ }).click();
  await page.getByRole('button', { name: 'People on the watch: more' }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await planned(page);
  await expect(page.getByTestId('job-feed-1')).toContainText(/times, each (20|25|40) min until/);
  await expect(page.getByText(/^Second watch: \d\d:\d\d to \d\d:\d\d/)).toBeVisible();
  await expect(page.getByText('cherry splits, seasoned', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Print' }).click();
  const sheet = await page.locator('iframe').getAttribute('srcdoc');
  const paper = await context.newPage();
  await paper.setContent(sheet!);
  await expect(paper.getByRole('heading', { level: 1 })).toContainText('Brisket for 8');
  const pdf = (await paper.pdf({ preferCSSPageSize: true })).toString('latin1');
  expect(/\/Count (\d+)/.exec(pdf)?.[1]).toBe('1');
});

test('a kamado compared with its other ways, one of which is taken', async ({ page }) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Clay Jar/);
  await planned(page);
  await expect(page.getByText(/Old ash out first/)).toBeVisible();
  await page.getByRole('button', { name: 'Compare' }).click();
  const faster = page.getByTestId('way-pace-150');
  await expect(faster).toContainText(/Light \d\d:\d\d/, { timeout: 60_000 });
  await expect(page.getByTestId('way-pit-tower')).toBeVisible({ timeout: 60_000 });
  await faster.getByRole('button', { name: 'Plan it at 150 C' }).click();
  await expect(page.getByTestId('slip')).toContainText('150 C');
  await planned(page);
});

test('a plan by the keyboard alone', async ({ page }) => {
  await page.goto('/');
  await planned(page);
  const reach = async (name: RegExp | string): Promise<void> => {
    for (let i = 0; i < 80; i++) {
      await page.keyboard.press('Tab');
      const at = page.locator(':focus');
      const label =
        (await at.getAttribute('aria-label').catch(() => null)) ??
        (await at.textContent().catch(() => '')) ??
        '';
      if (typeof name === 'string' ? label === name : name.test(label)) return;
    }
    throw new Error(`the keyboard does not reach ${String(name)}`);
  };
  await reach(/^People: 8 people/);
  await page.keyboard.press('Enter');
  await reach('12');
  await page.keyboard.press('Enter');
  await reach('Done');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('slip')).toContainText('12 people');
  await reach(/^Wrap:/);
  await page.keyboard.press('Enter');
  await reach(/^Foil, /);
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await planned(page);
  await expect(page.getByTestId('slip')).toContainText('wrapped in foil');
  await expect(page.getByTestId('four-times')).toContainText('ready, 8 in 10');
});
