/** Practice cooks at full speed, by touch: four uneven pieces with two probes, and food put on late beside splits. */
import { expect } from '@playwright/test';
import { change, done, type } from './help';
import { demoTest as test, practise, PRACTICE_MS, setSpeed, tendUntil } from './home';

test.describe.configure({ timeout: 2 * PRACTICE_MS });
test.use({ hasTouch: true });

test('half a day of practice with four uneven pieces and two probes, at full speed', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^the Tower/);
  for (const cut of [/^Pork shoulder/, /^Chuck/, /^Beef cheek/]) {
    await page.getByRole('button', { name: 'Add another meat' }).click();
    await page.getByRole('radio', { name: cut }).click();
  }
  for (const [i, kg] of ['2.5', '3.8', '2', '0.45'].entries()) {
    await page
      .getByRole('button', { name: /^Mass of one piece/ })
      .nth(i)
      .click();
    await type(page, 'Mass of one piece', kg);
    await done(page);
  }
  await practise(page);
  const chips = page.getByTestId(/^piece-/);
  const texts = (): Promise<string[]> => chips.allInnerTexts();
  // The thermometer has two probes for meat; of the other pieces one is the next to read by hand.
  const next = chips.filter({ hasText: 'read next' });
  await tendUntil(page, async () => {
    const all = await texts();
    const count = (what: RegExp): number => all.filter((t) => what.test(t)).length;
    return count(/\d–\d/) === 4 && count(/\d°/) === 2 && count(/read next/) === 1;
  });
  const name = (await next.innerText()).split(/\s{2}|\n/)[0]!;
  await page.getByTestId('pad-read').click();
  await page.getByRole('radio', { name, exact: true }).click();
  for (const figure of '61') await page.getByTestId(`key-${figure}`).click();
  await page.getByTestId('read-save').click();
  await expect(chips.filter({ hasText: name })).toContainText('61°');
  await expect(chips.filter({ hasText: name })).not.toContainText('read next');
  // Each has its own hour, and each comes off by its own job.
  expect(new Set((await texts()).map((t) => /\d\d:\d\d–\d\d:\d\d/.exec(t)?.[0])).size).toBe(4);
  await tendUntil(page, async () => (await texts()).every((t) => /off \d\d:\d\d/.test(t)));
});

test('food put on late beside splits: what it does is told before, and it has its own hour and job', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Long Tom/);
  await change(page, /^Meat:/, /^Brisket/);
  await practise(page);
  await tendUntil(page, async () =>
    /Wrap|off/.test(await page.getByTestId('pad-meat').innerText()),
  );
  await setSpeed(page, '10×');
  await expect(page.getByTestId('ready')).toContainText(/\d\d:\d\d/);
  await page.getByTestId('this-cook').click();
  await page.getByTestId('add-food').click();
  await page.getByRole('radio', { name: /^Chicken/ }).click();
  await page.getByRole('button', { name: 'Pieces: more' }).click();
  const outcome = page.getByTestId('food-outcome');
  await expect(outcome).toContainText(/Done \d\d:\d\d–\d\d:\d\d/, { timeout: 120_000 });
  await expect(outcome).toContainText(/The pit (falls|hardly)/);
  await expect(outcome).toContainText(/The brisket is done/);
  await expect(outcome).toContainText(/as much fuel as about/);
  await page.getByTestId('put-food').click();
  await expect(page.getByTestId('last-tap')).toContainText('2 chickens put on');
  const chip = page.getByTestId(/^piece-whole-chicken/);
  await expect(chip).toContainText(/\d\d:\d\d–\d\d:\d\d/, { timeout: 120_000 });
  await page.getByTestId('jobs-list').click();
  await expect(page.getByText('Take the 2 chickens off')).toBeVisible();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  // It is taken back like any other tap.
  await page.getByTestId('undo').click();
  await expect(chip).toHaveCount(0);
});
