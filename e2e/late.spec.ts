/** A piece that comes late, a bird that cannot wait, every fire drawn: by touch, from the first page. */
import { expect } from '@playwright/test';
import { quickTest as test } from './home';
import { change, done, planned, printed, type } from './help';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('meat that comes too late is refused with an hour that would do, and planned when it comes in time', async ({
  page,
}) => {
  await page.goto('/');
  await planned(page);
  await page.getByRole('button', { name: /^Before and after/ }).click();
  await page.getByRole('radio', { name: /^Arrives later/ }).click();
  await expect(page.getByText(/^from 12:30/)).toBeVisible();
  await done(page);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('not there before 12:30');
  await expect(
    page.getByText(/^Put on at 12:30, the mutton shoulder is late in/).first(),
  ).toBeVisible();
  await expect(page.getByText(/^Serve it at \d\d:\d\d, have it there/)).toBeVisible();
  await expect(page.getByTestId('start-cook')).toBeDisabled();

  // Brought five hours sooner it can be done; the fire waits for it.
  await page.getByRole('button', { name: /^Before and after/ }).click();
  for (let i = 0; i < 20; i++) await page.getByRole('button', { name: 'Not before: less' }).click();
  await expect(page.getByText(/^from 07:30/)).toBeVisible();
  await done(page);
  await planned(page);
  await expect(page.getByTestId('start-cook')).toBeEnabled();
  const on = await page.getByTestId('job-meat-on').textContent();
  expect(on!.slice(0, 5) >= '07:30').toBe(true);

  // What was chosen is still there when the page is opened again.
  await page.reload();
  await expect(page.getByTestId('plan-sentence')).toContainText('not there before 07:30');
});

test('a turkey that waits badly is told so, with a place that keeps it', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Clay Jar/);
  await change(page, /^Meat:/, /^Turkey/);
  await page.getByRole('button', { name: /^Mass of one piece/ }).click();
  await type(page, 'Mass of one piece', '5');
  await done(page);
  await planned(page);
  await expect(
    page.getByText(/^The turkey is ready more than .* before it is eaten$/),
  ).toBeVisible();
  await expect(page.getByText(/^Plan to hold it in a warmer: then \d+ of 100/)).toBeVisible();
  // The fire from the side, with what it is made of.
  await expect(page.getByTestId('fire-side')).toHaveAttribute(
    'aria-label',
    /deflector, then the grate; .* lit, on top; 4 chunks of 60 g; .* of lump/,
  );
  await expect(page.getByTestId('job-shop')).toContainText('Shop by now, at the latest');
  expect((await printed(page, context)).pages).toBe(1);
});
