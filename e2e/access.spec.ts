/** No violation of WCAG 2.2 AA that axe-core finds: every place and every sheet, by day and by night, on both sizes. */
import { expect, type Page } from '@playwright/test';
import axeCore, { type RunOptions } from 'axe-core';
import { finishCook, planned } from './help';
import { demoTest as test } from './home';

declare global {
  /** Axe-core in a page, once it was put there. */
  var axe: typeof axeCore | undefined;
}

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
const SIZES = [
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
];

const OPTIONS: RunOptions = {
  runOnly: { type: 'tag', values: TAGS },
  // What is sound is counted only: describing each part of it costs as much as finding it.
  resultTypes: ['violations'],
};

/** Nothing that axe-core finds, in the whole page or in the sheet that lies over a page which was looked at before. */
async function sound(page: Page, where: string, part: ':root' | '[role=dialog]' = ':root') {
  if (!(await page.evaluate(() => 'axe' in globalThis))) await page.evaluate(axeCore.source);
  const { violations, passes } = await page.evaluate(
    ([within, options]) => globalThis.axe!.run(within, options),
    [part, OPTIONS] as const,
  );
  const found = violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' ')}`);
  expect(found, where).toEqual([]);
  expect(passes.length, `what was looked at: ${where}`).toBeGreaterThan(3);
}

const close = async (page: Page): Promise<void> => {
  await page
    .getByRole('button', { name: /^(Close|Done)$/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
};

/** Words of the planning sentence, each with a sheet behind it. */
const WORDS = [
  /^People/,
  /^Serving time/,
  /^Meat:/,
  /^Mass/,
  /^Wrap/,
  /^Done:/,
  /^Before and after/,
  /^Cooker/,
  /^Fire/,
  /^Pit:/,
  /^Weather/,
  /^Shifts/,
];

for (const colorScheme of ['light', 'dark'] as const) {
  for (const size of SIZES) {
    test(`every place, ${colorScheme}, ${size.width} px wide`, async ({ page }) => {
      await page.emulateMedia({ colorScheme });
      await page.setViewportSize(size);
      await page.goto('/');
      await planned(page);
      await sound(page, 'Plan');
      for (const place of ['Yard', 'Log', 'Tend']) {
        await page.getByRole('link', { name: place, exact: true }).click();
        await page.waitForLoadState('networkidle').catch(() => undefined);
        await sound(page, place);
      }
    });
  }
}

test('every sheet of Plan and the pages behind Yard and Log', async ({ page }) => {
  await page.goto('/');
  await planned(page);
  for (const word of WORDS) {
    await page.getByRole('button', { name: word }).first().click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await sound(page, String(word), '[role=dialog]');
    await close(page);
  }
  for (const name of ['Saved plans', 'Add another meat']) {
    await page.getByRole('button', { name }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await sound(page, name, '[role=dialog]');
    await close(page);
  }
  await page.getByRole('link', { name: 'Yard', exact: true }).click();
  await page.getByRole('button', { name: /^Add a pit/ }).click();
  await sound(page, 'Add a pit', '[role=dialog]');
  await close(page);
});

test('every sheet of Tend, and a past cook', async ({ page }) => {
  await page.goto('/');
  await planned(page);
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  await expect(page.getByTestId('job-card')).toBeVisible();
  await sound(page, 'Tend');
  for (const button of [
    page.getByTestId('this-cook'),
    page.getByTestId('meat-reading'),
    page.getByRole('button', { name: 'Log vents' }),
    page.getByRole('button', { name: 'Log a note' }),
    page.getByRole('button', { name: 'How?' }),
  ]) {
    await button.click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await sound(page, String(button), '[role=dialog]');
    await page.getByRole('button', { name: 'Close', exact: true }).first().click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await finishCook(page);
  await expect(page.getByTestId('figures')).toContainText('Fuel');
  await sound(page, 'A past cook');
});
