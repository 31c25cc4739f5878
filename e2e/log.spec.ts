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
  // The line that it adds moves what stands below it.
  await expect(page.getByText('the Bosun: Half a turn more on the bowl vent')).toBeVisible();
  await page.getByRole('button', { name: 'Next time with mutton shoulder' }).tap();
  await page.getByLabel('For the next one').fill('Trim the thin end off');
  await page.getByTestId('afterwards-save').tap();
  await expect(page.getByText('Mutton shoulder: Trim the thin end off')).toBeVisible();
  await page.getByRole('button', { name: 'Charcoal left' }).tap();
  await page.getByLabel(/Charcoal left in the cold pit/).fill('0,35');
  await page.getByTestId('afterwards-save').tap();
  await expect(page.getByText('Charcoal left, weighed: 0.35 kg.')).toBeVisible();
  await expect(page.getByTestId('figures')).toContainText('from the weighed leftovers');
  // What was burnt goes off the shelf, once.
  const shelf = async (): Promise<number> => {
    const { fuelOnHand } = (await (await page.request.get('/api/shelf')).json()) as {
      fuelOnHand: { fuel: string; massKg: number }[];
    };
    return fuelOnHand.find((s) => s.fuel === 'briquette')!.massKg;
  };
  const stocked = await shelf();
  await page.getByTestId('off-shelf').tap();
  await expect(page.getByText('The fuel it burnt has been taken off the shelf.')).toBeVisible();
  expect(await shelf()).toBeLessThan(stocked - 1);
  await page.reload();
  await expect(page.getByText('The fuel it burnt has been taken off the shelf.')).toBeVisible();
  await expect(page.getByTestId('why-late')).toContainText(/later|earlier|as planned/);

  await page.getByRole('link', { name: 'All cooks' }).tap();
  await expect(page.getByRole('link', { name: /Regatta lunch.*Bark soft/ })).toBeVisible();
  await page.getByTestId('log-filter').tap();
  await page.getByRole('radio', { name: 'Not as wanted' }).tap();
  await expect(page.getByRole('link', { name: / for \d+ · / })).toHaveCount(7);

  await page.goto('/plan');
  const notes = page.getByTestId('from-last-time');
  await expect(notes).toContainText('the Bosun: Half a turn more on the bowl vent');
  await expect(notes).toContainText('Mutton shoulder: Trim the thin end off');
  await notes.getByRole('button', { name: /Dismiss: Half a turn/ }).tap();
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
  const table = page.getByRole('table', { name: 'Figures' });
  await expect(table.getByRole('row', { name: /Wrapped in paper foil/ })).toBeVisible();
  await expect(table.getByRole('row', { name: /Target 121\s°C 135\s°C/ })).toBeVisible();
  const strip = page.getByRole('img', { name: /Strip of the cook/ });
  const before = await strip.innerHTML();
  await page.getByRole('radio', { name: 'The clock' }).tap();
  await expect(page.getByText(/Time of day/)).toBeVisible();
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

/** A cook as a recorder writes it: semicolons, decimal commas, the day first, ten hours at four minutes. */
function recorded(): string {
  const comma = (c: number): string => c.toFixed(1).replace('.', ',');
  const two = (n: number): string => String(n).padStart(2, '0');
  const rows = Array.from({ length: 150 }, (_, i) => {
    const [hour, minute] = [5 + Math.floor((4 * i) / 60), (4 * i) % 60];
    const pit = 118 - 95 * Math.exp(-i / 8) + 4 * Math.sin(i / 9);
    const core = i < 8 ? '' : comma(93 - 89 * Math.exp(-(i - 8) / 55));
    return `03.10.2026 ${two(hour)}:${two(minute)}:00;${comma(pit)};${core};88`;
  });
  return ['Zeit;Garraum;Fleisch 1;Akku', ...rows].join('\r\n');
}

test('a table of another program, with commas, is recognised, shown, changed, and brought in whole', async ({
  page,
}) => {
  await page.goto('/log');
  const files = page.getByTestId('import-files');
  const send = (name: string, text: string): Promise<void> =>
    files.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

  // One that holds no readings is told, and nothing is stored.
  await send('letter.csv', 'Dear Pell,\r\nthe bark was fine.\r\n');
  await expect(page.getByRole('alert')).toContainText('No readings were found');
  await page.getByRole('link', { name: 'All cooks' }).tap();

  await send('Herbstfest.csv', recorded());
  const preview = page.getByTestId('preview');
  await expect(preview).toContainText('150 readings, 05:00 Sat to 14:56 Sat');
  await expect(page.getByTestId('column-1')).toContainText('Garraum: pit, grate');
  await expect(page.getByTestId('column-2')).toContainText('Fleisch 1: in the meat');
  await expect(page.getByRole('radio', { name: 'a comma, 121,5' })).toBeChecked();
  await expect(preview).toContainText(/pit 119\s°C/);
  // Read wrongly on purpose, the preview says so at once; and right again.
  await page.getByRole('radio', { name: 'F', exact: true }).tap();
  await expect(preview).not.toContainText(/pit 119\s°C/);
  await page.getByRole('radio', { name: 'C', exact: true }).tap();

  // Another zone moves its clock; what is no zone is told.
  await page.getByTestId('zone').fill('Atlantis/Harbour');
  await expect(page.getByRole('alert')).toContainText('is no time zone');
  await page.getByTestId('zone').fill('UTC');
  await expect(preview).toContainText('150 readings, 05:00 Sat to 14:56 Sat');
  await page.getByRole('radio', { name: /the Bosun/ }).tap();
  await page.getByRole('button', { name: 'Pieces: more' }).tap();
  await page.getByTestId('bring-in').tap();
  await expect(page.getByRole('heading', { name: 'Herbstfest' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/the Bosun · 2 pork shoulders/)).toBeVisible();
  await expect(page.getByTestId('figures')).toContainText(/Average pit\s*11\d\s°C/);
  await expect(page.getByTestId('figures')).toContainText('Stall');
  await page.getByRole('link', { name: 'All cooks' }).tap();
  await expect(page.getByRole('link', { name: /Herbstfest.*in band/ })).toBeVisible();
});
