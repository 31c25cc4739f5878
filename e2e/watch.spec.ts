/** The fire watch by touch: readings by wire, an alarm, advice that is taken, the strip moved and read off, a change of mind. */
import { expect, type Page } from '@playwright/test';
import { finishCook, PHONE, tell } from './help';
import { test, type OwnServer } from './home';

/** Adds an instrument in the yard by touch; returns its token. */
async function addInstrument(page: Page, server: OwnServer): Promise<string> {
  await page.goto(`${server.url}/yard`);
  await page.getByRole('button', { name: 'Add a pit' }).click();
  await page.getByRole('textbox', { name: 'What you call it' }).fill('the Bosun');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page).toHaveURL(/\/yard\//);
  await page.goto(`${server.url}/instruments`);
  await page.getByTestId('add-instrument').click();
  await page.getByTestId('instrument-name').fill('four probes');
  await page.getByRole('radio', { name: 'the Bosun' }).click();
  await page.getByTestId('instrument-add').click();
  await page.getByTestId('make-token').click();
  return page.getByTestId('token').innerText();
}

/** Likely pits are drawn by the id of a cook: with ids that count up they are the same in each run. */
function countedIds(): void {
  // Each page that is opened counts from a number of its own.
  let last = 1000 * location.pathname.length + 500;
  crypto.randomUUID = () => `00000000-0000-4000-8000-${String(++last).padStart(12, '0')}`;
}

/** What a fire tells that is starved of air: it came up, and has fallen for a quarter of an hour. */
const choking = (now: number): object[] =>
  Array.from({ length: 61 }, (_, since) => {
    const pit = since < 25 ? 20 + since * 4 : 121 - Math.max(0, since - 42) * 1.4;
    return { at: now - (60 - since) * 60_000, values: { '1': pit, '2': pit + 15 } };
  });

test('a real fire that chokes is told by wire, calls, and the advised move is taken by touch', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const context = await browser.newContext(PHONE);
  const page = await context.newPage();
  await page.addInitScript(countedIds);
  const token = await addInstrument(page, server);
  await tell(server, token, [{ values: { '1': 20, '2': 21 }, battery: 0.8 }]);
  await page.getByTestId('channel-1').getByRole('radio', { name: 'At the grate' }).click();
  await expect(
    page.getByTestId('channel-1').getByRole('radio', { name: 'At the grate' }),
  ).toHaveAttribute('aria-checked', 'true');
  await page.getByTestId('channel-2').getByRole('radio', { name: 'In the lid' }).click();
  await expect(
    page.getByTestId('channel-2').getByRole('radio', { name: 'In the lid' }),
  ).toHaveAttribute('aria-checked', 'true');
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByTestId('instrument-four-probes')).toContainText('battery 80 %');

  await page.goto(server.url);
  await expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false');
  await page.getByTestId('start-cook').click();
  await page.getByRole('radio', { name: '1 h ago' }).click();
  await page.getByTestId('start-real').click();
  await expect(page.getByTestId('job-card')).toBeVisible();
  await tell(server, token, choking(Date.now()));
  await expect(page.getByTestId('pit-reading')).toHaveText(/^9\d°$/);

  // The alarm is the order on the card: nothing beside it says something else.
  const order = page.getByTestId('order');
  await expect(order).toHaveText('Look at the fire first');
  await expect(page.getByTestId('alarm')).toHaveCount(0);
  const before = await order.innerText();
  await expect(page.getByTestId('job-done')).toBeInViewport({ ratio: 1 });
  await page.getByTestId('why').click();
  await expect(page.getByRole('dialog')).toContainText(before);
  await expect(page.getByRole('dialog')).toContainText(/in half an hour/);
  await page.getByRole('button', { name: 'Close', exact: true }).first().click();
  await page.getByTestId('job-done').click();
  await expect(order).not.toHaveText(before);

  // The strip is read off by a touch, dragged along time, and taken back to now.
  const strip = page.getByTestId('strip');
  const box = (await strip.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width * 0.4, box.y + box.height * 0.4);
  await expect(page.getByTestId('strip-cursor')).toContainText(/pit \d+°/);
  await page.mouse.move(box.x + 120, box.y + box.height * 0.8);
  await page.mouse.down();
  await page.mouse.move(box.x + 120, box.y + box.height * 0.3, { steps: 5 });
  await page.mouse.up();
  await page.getByTestId('strip-now').click();
  await expect(page.getByTestId('strip-now')).toHaveCount(0);

  // What the eye tells is one touch, and can be taken back.
  await page.getByTestId('pad-note').click();
  await page.getByTestId('look-white').click();
  await expect(page.getByTestId('last-tap')).toContainText('smoke white');
  await page.getByTestId('undo').click();

  // A change of mind shows what each way comes to before it is chosen.
  await page.getByTestId('this-cook').click();
  await page.getByTestId('change').click();
  await expect(page.getByTestId('change-as-planned')).toBeVisible({ timeout: 60_000 });
  await page.getByTestId('choose-hotter').click();
  await expect(page.getByTestId('last-tap')).toContainText('target 190');
  await context.close();
});

test('alarms are set and tried out, in the night theme, on a practice cook that runs fast', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const context = await browser.newContext({ ...PHONE, colorScheme: 'dark' });
  const page = await context.newPage();
  await page.goto(server.url);
  await expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false');
  await page.getByTestId('start-cook').click();
  await page.getByRole('radio', { name: 'With surprises' }).click();
  await page.getByTestId('start-practice').click();
  await expect(page.getByTestId('this-cook')).toContainText('practice');
  await page.getByTestId('this-cook').click();
  await page.getByTestId('alarms').click();
  await page.getByRole('radio', { name: 'Sound', exact: true }).click();
  await page.getByTestId('alarm-try').click();
  await page.getByRole('button', { name: 'Quiet to: more' }).click();
  await expect(page.getByText(/In quiet hours only a fire/)).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // The first job is due as soon as the clock has passed it: it calls.
  await page.getByTestId('this-cook').click();
  await page.getByRole('radio', { name: '240×' }).click();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await expect(page.getByTestId('job-due')).toContainText(/ago/);
  const words = await page.getByTestId('order').innerText();
  await page.getByTestId('this-cook').click();
  await page.getByTestId('alarms').click();
  await expect(page.getByRole('dialog').getByText(words, { exact: true })).toBeVisible();
  await page.reload();
  await page.getByTestId('this-cook').click();
  await page.getByTestId('alarms').click();
  await expect(page.getByRole('radio', { name: 'Sound', exact: true })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // What the surprises were is shown at the end, and only there.
  await expect(page.getByRole('main')).not.toContainText('Surprises');
  await finishCook(page);
  await expect(page.getByTestId('surprises')).toContainText('The cook ended before any came.');
  await context.close();
});
