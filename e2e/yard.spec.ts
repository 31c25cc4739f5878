/** The yard in a real browser: a pit is added, put right, its card worked out off the main thread and printed. */
import { expect } from '@playwright/test';
import { quickTest as test } from './home';

declare global {
  interface Window {
    /** The longest that the page's own thread was held, ms. */
    held: number;
  }
}

test('add a pit, put a figure right, read and print its vent card', async ({ page }) => {
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  await page.goto('/yard');
  await expect(page.getByRole('link', { name: /Long Tom/ })).toBeVisible();
  await page.getByRole('button', { name: 'Add a pit' }).click();
  await page.getByRole('textbox', { name: 'What you call it' }).fill('Old Kate');
  await page.getByRole('radio', { name: '46 cm ceramic kamado' }).click();
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('heading', { name: 'Old Kate' })).toBeVisible();

  // The card comes from the worker; the page stays free while it does.
  await page.evaluate(() => {
    window.held = 0;
    let last = performance.now();
    setInterval(() => {
      window.held = Math.max(window.held, performance.now() - last - 20);
      last = performance.now();
    }, 20);
  });
  const leaks = page.getByRole('button', { name: /^Leaks/ });
  await expect(leaks).toContainText('0.8 cm²');
  await leaks.click();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Leaks: more' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(leaks).toContainText('usual 0.8 cm²');
  const table = page.getByRole('table', { name: 'Vent card in figures' });
  await expect(table).toBeVisible();
  await expect(table.getByRole('row')).toHaveCount(8);
  const held = await page.evaluate(() => window.held);
  test.info().annotations.push({ type: 'longest hold, ms', description: held.toFixed(0) });

  // In its own units, and still so after coming back.
  await expect(table).toContainText('in 15 mm');
  // Each vent in its own way: the slot by the clock, the top by marks that somebody painted on it.
  await page.getByTestId('vent-scales').click();
  const told = (vent: RegExp, way: string) =>
    page.getByRole('radiogroup', { name: vent }).getByRole('radio', { name: way }).click();
  await told(/^Bottom slot/, 'Clock');
  await expect(table).toContainText('in 12:15');
  await told(/^Top vent/, 'Own marks');
  await expect(table).toContainText('out mark 2');
  await page.reload();
  await expect(leaks).toContainText('usual 0.8 cm²');
  await expect(table).toContainText('in 12:15');

  // Printed, it is the card alone, on one page.
  const pdf = (await page.pdf({ format: 'A4' })).toString('latin1');
  expect(/\/Count (\d+)/.exec(pdf)?.[1]).toBe('1');
  await page.emulateMedia({ media: 'print' });
  await expect(leaks).toBeHidden();
  await expect(table).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  await page.getByRole('button', { name: 'All back to the usual' }).click();
  await expect(leaks).not.toContainText('usual');
  await page.getByRole('link', { name: 'All pits' }).click();
  await expect(page.getByRole('link', { name: /Old Kate.*as new/ })).toBeVisible();
  expect(faults).toEqual([]);
});
