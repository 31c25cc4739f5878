/** A real fire with connected probes, by touch: one that moves between two pieces, and one that falls silent at night. */
import { expect, type Page } from '@playwright/test';
import { change, connected, doneIsInSight, PHONE, readByHand, startLit, tell } from './help';
import { test } from './home';

const MINUTE_MS = 60_000;

test('two briskets on splits share a probe: each has its own sheet, alarm and log', async ({
  browser,
  serve,
}) => {
  const server = await serve({ demo: true });
  const token = await connected(server, 'pair', 'Long Tom', [
    { key: '1', spot: 'grate' },
    { key: '2', spot: 'meat', piece: 1 },
  ]);
  const page = await (await browser.newContext(PHONE)).newPage();
  await page.goto(server.url);
  await change(page, /^Cooker:/, /^Long Tom/);
  await change(page, /^Meat:/, /^Brisket/);
  await page.getByRole('button', { name: 'Add another meat' }).click();
  await page.getByRole('radio', { name: /^Brisket/ }).click();
  await startLit(page, '2 h ago');
  for (const one of [/^Log Brisket (1|2) on$/, /^Log Brisket (1|2) on$/]) {
    const pad = page.getByTestId('pad-meat');
    const label = (await pad.getAttribute('aria-label'))!;
    expect(label).toMatch(one);
    await pad.click();
    await expect(page.getByTestId('last-tap')).toContainText(
      `Logged: brisket ${one.exec(label)![1]}: meat on`,
    );
  }
  const read = (minAgo: number, core: number): object => ({
    at: Date.now() - minAgo * MINUTE_MS,
    values: { 1: 121, 2: core },
  });
  await tell(
    server,
    token,
    Array.from({ length: 30 }, (_, i) => read(30 - i, 8 + i / 2)),
  );
  const chip = (n: number) => page.getByRole('button', { name: new RegExp(`^Brisket ${n}`) });
  await expect(chip(1)).toContainText('23°');
  await expect(chip(2)).toContainText('not read');

  // The probe is in the other one, and was since that went on.
  await chip(2).click();
  const sheet = page.getByRole('dialog');
  await expect(sheet).toContainText('Brisket 2');
  await sheet.getByRole('radio', { name: /^pair 2, 23°, in Brisket 1/ }).click();
  await sheet.getByRole('button', { name: /^Since it went on/ }).click();
  await sheet.getByTestId('probe-move').click();
  await expect(sheet.getByRole('radio', { name: /^pair 2/ })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await expect(sheet.getByTestId('probe-move')).toHaveCount(0);
  await sheet.getByRole('button', { name: 'Core temperature alarm: None. Type it' }).click();
  await sheet.getByLabel('Core temperature alarm, typed').fill('25');
  await page.keyboard.press('Enter');
  await expect(sheet.getByRole('group', { name: 'Core temperature alarm' })).toContainText('25 °C');
  await sheet.getByTestId('piece-log').click();
  await expect(page.getByTestId('log-list')).toContainText('brisket 2: meat on');
  await expect(page.getByTestId('log-list')).not.toContainText('brisket 1');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByTestId('alarm')).toHaveCount(0);
  await tell(server, token, [read(0, 25.4)]);
  await expect(chip(2)).toContainText('25°');
  await expect(page.getByTestId('alarm')).toContainText('Brisket 2: 25 °C, as you asked');
  await doneIsInSight(page);
  await page.getByTestId('alarm-seen').click();
  await expect(page.getByTestId('alarm')).toHaveCount(0);
});

/** The order and what stands in the place of the state. */
const voices = async (page: Page): Promise<string> =>
  `${await page.getByTestId('job-card').innerText()} ${await page.getByRole('main').innerText()}`;

test('a night with an instrument that falls silent: it is missed, and a reading by hand stands in for it', async ({
  browser,
  serve,
}) => {
  const server = await serve({ demo: true });
  const token = await connected(server, 'night', 'the Bosun', [{ key: '1', spot: 'grate' }]);
  const page = await (await browser.newContext({ ...PHONE, colorScheme: 'dark' })).newPage();
  await page.goto(server.url);
  await startLit(page, '2 h ago');
  await page.getByTestId('pad-meat').click();
  await expect(page.getByTestId('last-tap')).toContainText('meat on');
  const minute = (minAgo: number, c: number): object => ({
    at: Date.now() - minAgo * MINUTE_MS,
    values: { 1: c },
  });
  // It climbs at 16 °C in ten minutes, and says nothing for half an hour.
  await tell(
    server,
    token,
    Array.from({ length: 30 }, (_, i) => minute(60 - i, 90 + 1.1 * i)),
  );
  const alarm = page.getByTestId('alarm');
  await expect(alarm).toContainText('No thermometer has sent a reading lately');
  await doneIsInSight(page);
  expect(await voices(page)).not.toMatch(/in 10 min|[Cc]limbing|on target/i);
  await readByHand(page, 'At the grate', '119');
  await expect(page.getByTestId('pit-reading')).toHaveText('119°');
  // What else calls depends on the hour at which this runs: meat may be done hours too early.
  await expect(alarm.filter({ hasText: 'No thermometer' })).toHaveCount(0);
  // It is back: the page follows it again.
  await tell(server, token, [minute(0, 120)]);
  await expect(page.getByTestId('pit-reading')).toHaveText('120°');
});
