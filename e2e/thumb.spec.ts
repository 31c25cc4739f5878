/** A cook on a real fire, tended by thumb: nothing is simulated, every reading is typed. */
import { expect, type Browser, type Page } from '@playwright/test';
import { doneIsInSight, PHONE, readByHand, startLit } from './help';
import { test } from './home';

/** A cook by the real clock, on a phone, whose fire was lit an hour ago. */
async function litAnHourAgo(browser: Browser, url: string): Promise<Page> {
  const page = await (await browser.newContext(PHONE)).newPage();
  await page.goto(url);
  await startLit(page, '1 h ago');
  return page;
}

test('a real fire that was lit an hour ago is read by its dial, goes out, and its finish is taken back', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const page = await litAnHourAgo(browser, server.url);
  // It was lit: laying and lighting are behind it, and nobody has read it yet.
  await expect(page.getByTestId('job-card')).toContainText(/vent/);
  await expect(page.getByTestId('alarm')).toContainText('No thermometer has sent a reading');

  await readByHand(page, 'Dial in the lid', '150', '−10 min');
  await readByHand(page, 'Dial in the lid', '144');
  await expect(page.getByTestId('reading-source')).toContainText('From 144° in the lid, now');
  // The dial hangs higher than the meat lies: common practice says 8 to 25 C.
  const shown = Number.parseInt(await page.getByTestId('pit-reading').innerText(), 10);
  expect(shown).toBeGreaterThanOrEqual(144 - 30);
  expect(shown).toBeLessThanOrEqual(144 - 4);
  await page.getByTestId('undo').click();
  await expect(page.getByTestId('reading-source')).toContainText('From 150° in the lid');

  // Jobs that are due stand in a list, each with its own touch.
  await page.getByTestId('jobs-list').click();
  // One far from its time is asked about there too.
  await page.getByTestId('done-off').click();
  await expect(page.getByRole('dialog')).toContainText('Is it done already?');
  await page.getByRole('button', { name: 'Not yet' }).click();
  await expect(page.getByTestId('done-off')).toHaveText('Done');
  await page.getByTestId('done-meat-on').click();
  await expect(page.getByTestId('done-meat-on')).toHaveCount(0);
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByTestId('last-tap')).toContainText('meat on');

  await readByHand(page, 'At the grate', '19', '−10 min');
  await readByHand(page, 'At the grate', '18');
  await expect(page.getByTestId('order')).toHaveText(
    'Look at the fire, and light it again if it is out',
  );
  await expect(page.getByTestId('ready')).toHaveText('not in sight');

  await page.getByTestId('this-cook').click();
  await page.getByTestId('finish').click();
  await expect(page.getByText('The meat is still on the pit')).toBeVisible();
  await page.getByTestId('finish').click();
  await expect(page).toHaveURL(/\/log\//);
  await page.getByTestId('reopen').click();
  await expect(page).toHaveURL(/\/tend/);
  await expect(page.getByTestId('order')).toHaveText(
    'Look at the fire, and light it again if it is out',
  );

  const [cook] = (await (await fetch(`${server.url}/api/cooks`)).json()) as {
    id: string;
    fire: string;
    finishedAt: number | null;
  }[];
  expect(cook).toMatchObject({ fire: 'real', finishedAt: null });
  const doc = (await (await fetch(`${server.url}/api/cooks/${cook!.id}`)).json()) as {
    readings: unknown[];
    clock: { cookMs: number };
  };
  expect(doc.readings).toEqual([]);
  expect(Math.abs(doc.clock.cookMs - Date.now())).toBeLessThan(60_000);
});

test('what a fire that runs away shows is typed in, and the advised move is taken by thumb', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const page = await litAnHourAgo(browser, server.url);
  await readByHand(page, 'At the grate', '124', '−10 min');
  await readByHand(page, 'At the grate', '131', '−5 min');
  await readByHand(page, 'At the grate', '139');
  const order = page.getByTestId('order');
  // The closing that is planned and due is the answer: nothing else closes a vent beside it.
  await expect(order).toContainText(/^Bowl vent/);
  await expect(page.getByTestId('job-done')).toBeInViewport({ ratio: 1 });
  await page.getByTestId('job-done').click();
  await expect(order).not.toContainText(/vent/);
  // It was done long ago, and the pit climbs all the same: now a move is advised.
  await page.getByTestId('last-tap').getByRole('button', { name: 'Correct' }).click();
  await page.getByRole('radio', { name: '−30 min' }).click();
  await page.getByTestId('retime').click();
  await expect(order).toContainText(/^Close .*vent/);
  await page.getByTestId('why').click();
  await expect(page.getByRole('dialog')).toContainText(/in half an hour/);
  await page.getByRole('button', { name: 'Close', exact: true }).first().click();
  await page.getByTestId('job-done').click();
  await expect(page.getByTestId('last-tap')).toContainText('Logged:');
  // One move at a time: the next one is not advised before this one can show.
  await expect(order).not.toContainText(/^Close/);
});

test('a mistyped reading is asked about, and put right from the log; Done is in sight on every phone', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const page = await litAnHourAgo(browser, server.url);
  await readByHand(page, 'At the grate', '119', '−10 min');
  await readByHand(page, 'At the grate', '124', '−5 min');
  await page.getByTestId('pad-read').click();
  for (const figure of '311') await page.getByTestId(`key-${figure}`).click();
  await page.getByTestId('read-save').click();
  await expect(page.getByTestId('read-surprise')).toContainText(
    '311°? The last reading was 124°. Did you mean 131°?',
  );
  await expect(page.getByTestId('read-meant')).toBeInViewport({ ratio: 1 });
  // Whoever insists is believed, until it is put right.
  await page.getByTestId('read-save').click();
  await expect(page.getByTestId('pit-reading')).toHaveText('311°');
  await page.getByTestId('log-open').click();
  await page.getByRole('button', { name: /311.*Correct$/ }).click();
  for (let i = 0; i < 3; i++) await page.getByTestId('key-⌫').click();
  for (const figure of '131') await page.getByTestId(`key-${figure}`).click();
  await page.getByTestId('read-save').click();
  await expect(page.getByTestId('pit-reading')).toHaveText('131°');
  // Back closes what is open and leaves the cook where it is.
  await page.getByTestId('log-open').click();
  await expect(page.getByRole('dialog')).toContainText('131');
  await expect(page.getByRole('dialog')).not.toContainText('311');
  const built = await page.getByTestId('pit-reading').elementHandle();
  await page.goBack();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page).toHaveURL(/\/tend/);
  await page.evaluate(() => new Promise((idle) => requestIdleCallback(idle)));
  expect(await built?.evaluate((shown) => shown.isConnected)).toBe(true);
  // A sheet that was closed by its button is no step back, neither from here nor from the next page.
  await page.getByTestId('log-open').click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await expect(page).toHaveURL(/\/log/);
  await page.getByRole('link', { name: 'Tend', exact: true }).click();
  await page.getByTestId('log-open').click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.goBack();
  await expect(page).toHaveURL(/\/(log)?$/);
  await page.goForward();
  await expect(page.getByTestId('pit-reading')).toHaveText('131°');
  await expect(page.getByTestId('order')).toContainText(/vent/);
  await doneIsInSight(page);
});
