import { expect } from '@playwright/test';
import { change, choose, done, finishCook, planned } from './help';
import { demoTest as test, jobIsDue, startCook, tendUntil } from './home';

test('a roast pulled rare is planned with its caution, a bird only to a safe temperature', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^Meat:/, /^Rib roast/);
  await page.getByRole('button', { name: /^Done:/ }).click();
  const less = page.getByRole('button', { name: 'Middle on the plate: less' });
  for (let i = 0; i < 2; i++) await less.click();
  await done(page);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('its middle is 51 °C on the plate');
  await expect(page.getByText(/Say so to everyone who eats it/)).toBeVisible();
  await change(page, /^Meat:/, /^Chicken/);
  await page.getByRole('button', { name: /^Done:/ }).click();
  await expect(page.getByText(/Poultry is safe at 74 °C/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Middle when it is done: less' })).toBeDisabled();
  await done(page);
  await planned(page);
  await expect(page.getByText(/Say so to everyone who eats it/)).toHaveCount(0);
});

test('the meat sheet explains the piece, weighs wrapping now, and logs what is done to it', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^Meat:/, /^Lamb shoulder/);
  await choose(page, /^Wrap:/, /^Foil, /);
  await page.getByRole('radio', { name: /^When the bark is set/ }).click();
  await done(page);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('in foil when the bark is set');
  await startCook(page);
  await page.getByTestId('meat-reading').click();
  await expect(page.getByTestId('outlook')).toContainText('Not on yet');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // The wrap is due: the meat has been on for hours.
  const card = page.getByTestId('job-card');
  await tendUntil(page, async () => /Wrap/.test(await card.innerText()) && (await jobIsDue(page)));
  await page.getByTestId('meat-reading').click();
  const sheet = page.getByTestId('outlook');
  await expect(sheet.getByTestId('wrap-option-foil-now')).toContainText(
    /tender \d\d:\d\d–\d\d:\d\d/,
  );
  await expect(sheet.getByTestId('wrap-option-leave-bare')).toContainText('of its weight left');
  await expect(sheet).toContainText('Food safety');
  await page.getByRole('button', { name: 'Spritz' }).click();
  await expect(page.getByTestId('last-tap')).toContainText('spritzed');
  await page.getByTestId('undo').click();
  await expect(page.getByTestId('last-tap')).toHaveCount(0);
  // The pit is free again for the next cook.
  await finishCook(page);
});
