/** Cooks that are over, by touch on a phone: judged, noted for next time, photographed, compared. */
import { expect } from '@playwright/test';
import { demoTest as test } from './home';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

test('a verdict and a note for next time come up in the list and in the next plan, until they are done with', async ({
  page,
}) => {
  await page.goto('/log');
  await page.getByRole('link', { name: /Regatta lunch/ }).tap();
  const verdicts = page.getByTestId('verdicts');
  await verdicts.getByRole('radio', { name: 'Tender', exact: true }).tap();
  await verdicts.getByRole('radio', { name: 'Dry', exact: true }).tap();
  await expect(verdicts.getByRole('radio', { name: 'Dry', exact: true })).toBeChecked();
  // Changed one's mind: what was said last stands.
  await verdicts.getByRole('radio', { name: 'Moist', exact: true }).tap();
  await verdicts.getByRole('radio', { name: 'Bark soft', exact: true }).tap();

  await page.getByRole('button', { name: 'Next time on the Bosun' }).tap();
  await page.getByLabel('For the next cook on it').fill('Half a turn more on the bowl vent');
  await page.getByTestId('afterwards-save').tap();
  await page.getByRole('button', { name: 'Next time with mutton shoulder' }).tap();
  await page.getByLabel('For the next one').fill('Trim the thin end off');
  await page.getByTestId('afterwards-save').tap();
  await page.getByRole('button', { name: 'Charcoal left' }).tap();
  await page.getByLabel(/Charcoal left in the cold pit/).fill('0,35');
  await page.getByTestId('afterwards-save').tap();
  await expect(page.getByText('Charcoal left, weighed: 0.35 kg.')).toBeVisible();
  await expect(page.getByTestId('figures')).toContainText('by what was weighed back');
  await expect(page.getByTestId('why-late')).toContainText(/later|earlier|as planned/);

  await page.getByRole('link', { name: 'All cooks' }).tap();
  await expect(page.getByRole('link', { name: /Regatta lunch.*Bark soft/ })).toBeVisible();
  await page.getByTestId('log-filter').tap();
  await page.getByRole('radio', { name: 'Not as wished' }).tap();
  await expect(page.getByRole('link', { name: / for \d+ · / })).toHaveCount(1);

  await page.goto('/plan');
  const notes = page.getByTestId('from-last-time');
  await expect(notes).toContainText('the Bosun: Half a turn more on the bowl vent');
  await expect(notes).toContainText('Mutton shoulder: Trim the thin end off');
  await notes.getByRole('button', { name: /Done with it: Half a turn/ }).tap();
  await expect(notes).not.toContainText('Half a turn');
  await page.reload();
  await expect(notes).toContainText('Trim the thin end off');
  await expect(notes).not.toContainText('Half a turn');
});

test('two cooks are compared on one strip, laid by another moment, with what explains them', async ({
  page,
}) => {
  await page.goto('/log');
  await page.getByTestId('compare').tap();
  const rows = page.getByRole('checkbox');
  await rows.filter({ hasText: 'Regatta lunch' }).tap();
  await expect(page.getByRole('button', { name: 'Choose 2 to 4 cooks' })).toBeDisabled();
  await rows.filter({ hasText: 'Harvest supper' }).tap();
  await page.getByRole('button', { name: 'Compare these 2' }).tap();

  await expect(page.getByRole('heading', { name: '2 cooks compared' })).toBeVisible();
  const table = page.getByRole('table', { name: 'The cooks in figures' });
  await expect(table.getByRole('row', { name: /Wrapped in paper foil/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /Target 121\sC 135\sC/ })).toBeVisible();
  const strip = page.getByRole('img', { name: /Strip of the cook/ });
  const before = await strip.innerHTML();
  await page.getByRole('radio', { name: 'The clock' }).tap();
  await expect(page.getByText(/Times of the day/)).toBeVisible();
  expect(await strip.innerHTML()).not.toBe(before);
  await expect(page.getByTestId('explained')).toContainText(
    /The meat: its cut, mass and thickness\s*\d+ min shorter/,
  );
});

test('a photograph is added, looked at, and let go; one that is none is told', async ({ page }) => {
  await page.goto('/log');
  await page.getByRole('link', { name: /Boat naming/ }).tap();
  const photographs = page.getByTestId('photographs');
  await expect(photographs).toContainText('None yet');
  const png = await page.screenshot();
  const files = page.getByTestId('photograph-files');
  await files.setInputFiles({ name: 'bark.png', mimeType: 'image/png', buffer: png });
  await expect(photographs.getByRole('link', { name: 'Open photograph 1' })).toBeVisible();
  await files.setInputFiles({
    name: 'notes.png',
    mimeType: 'image/png',
    buffer: Buffer.from('nothing of a picture'),
  });
  await expect(photographs.getByRole('alert')).toContainText('JPEG, PNG or WebP');
  await photographs.getByRole('button', { name: 'Delete photograph 1' }).tap();
  await expect(photographs).toContainText('None yet');
});
