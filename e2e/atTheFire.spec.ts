/** A real fire by touch, where it goes wrong: meat that comes off raw, and damp wood on an offset. */
import { expect } from '@playwright/test';
import { change, doneIsInSight, PHONE, planned, readByHand, startLit } from './help';
import { test } from './home';

/** What is never said of meat that was never hot. */
const EATEN = /Eat it|[Cc]arve|Rested since|[Hh]olds well|All jobs done|Serve \d|Shut both vents/;

test('meat that comes off raw is not to be eaten: the one order says what to do', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const page = await (await browser.newContext(PHONE)).newPage();
  await page.goto(server.url);
  await change(page, /^Wrap/, /^Not wrapped/);
  await planned(page);
  await startLit(page, '1 h ago');
  await readByHand(page, 'At the grate', '119');
  await page.getByTestId('pad-meat').click();
  await expect(page.getByTestId('last-tap')).toContainText('meat on');
  await readByHand(page, /^Pork|^Mutton/, '31');
  await page.getByTestId('pad-meat').click();
  await expect(page.getByTestId('last-tap')).toContainText('meat off');
  const card = page.getByTestId('job-card');
  await expect(page.getByTestId('order')).toHaveText(/^Put the .+ back on$/);
  await expect(card).toContainText(/Not safe to eat: its middle read 31 °C at most/);
  await expect(page.getByRole('main')).not.toContainText(EATEN);
  await doneIsInSight(page);
  await page.getByTestId('meat-reading').click();
  await expect(page.getByRole('dialog')).toContainText('Not safe to eat');
  await expect(page.getByRole('dialog')).not.toContainText(EATEN);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // Back on the pit it cooks on, and nothing of a rest is left.
  await page.getByTestId('job-done').click();
  await expect(page.getByTestId('order')).not.toHaveText(/back on/);
  await expect(page.getByTestId('after-off')).toHaveCount(0);
  // Or it is finished in an oven, and read there.
  await page.getByTestId('pad-meat').click();
  await expect(page.getByTestId('order')).toHaveText(/back on$/);
  await page.getByTestId('pad-read').click();
  for (const figure of '68') await page.getByTestId(`key-${figure}`).click();
  await page.getByTestId('read-save').click();
  // That much at once is asked about.
  await expect(page.getByTestId('read-surprise')).toContainText('68°? The last reading was 31°.');
  await page.getByTestId('read-save').click();
  await expect(page.getByTestId('order')).not.toHaveText(/back on/);
  await expect(page.getByTestId('after-off')).not.toContainText('Not safe to eat');
});

test('white smoke on an offset holds the next split back until it clears', async ({
  browser,
  serve,
}) => {
  const server = await serve({ demo: true });
  const page = await (await browser.newContext(PHONE)).newPage();
  await page.goto(server.url);
  await change(page, /^Cooker:/, /^Long Tom/);
  await startLit(page, '2 h ago');
  await readByHand(page, 'At the grate', '119', '−10 min');
  await readByHand(page, 'At the grate', '120');
  await page.getByTestId('pad-fuel').click();
  await page.getByTestId('pad-note').click();
  await page.getByTestId('look-white').click();
  const order = page.getByTestId('order');
  await expect(order).toHaveText('Leave the fire door ajar, and add no wood for 10 min');
  await expect(page.getByRole('main')).toContainText('White smoke: damp or cold wood');
  await doneIsInSight(page);
  await page.getByTestId('job-done').click();
  // Nothing feeds the fire within the wait, and clear smoke ends it.
  await expect(order).not.toHaveText(/^Leave the fire door|split/);
  await page.getByTestId('pad-note').click();
  await page.getByTestId('look-thin-blue').click();
  await expect(page.getByRole('main')).not.toContainText('White smoke: damp or cold wood');
  // The weather is one touch too.
  await page.getByTestId('pad-note').click();
  await page.getByTestId('look-rain').click();
  await expect(page.getByTestId('last-tap')).toContainText('rain begins');
});
