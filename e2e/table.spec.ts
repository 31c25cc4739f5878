/** One table from two fires: prices and shelf, a plan of two meats, pieces laid by finger, two cooks tended. */
import { expect, type Page } from '@playwright/test';
import { change, choose, done, finishCook, planned, printed } from './help';
import { demoTest as test } from './home';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** A finger put down in the middle of a piece, moved so far in steps, and lifted. */
async function drag(page: Page, name: RegExp, dx: number, dy: number): Promise<void> {
  const piece = page.getByRole('button', { name });
  await piece.scrollIntoViewIfNeeded();
  // Parts of the page that come one after another push it along: the finger waits until it lies still.
  let box = { x: 0, y: 0, width: 0, height: 0 };
  await expect
    .poll(async () => {
      const before = box;
      box = (await piece.boundingBox())!;
      return box.x === before.x && box.y === before.y;
    })
    .toBe(true);
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const finger = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', share?: number) =>
    finger.send('Input.dispatchTouchEvent', {
      type,
      touchPoints: share === undefined ? [] : [{ x: from.x + share * dx, y: from.y + share * dy }],
    });
  await touch('touchStart', 0);
  for (let i = 1; i <= 8; i++) await touch('touchMove', i / 8);
  await touch('touchEnd');
}
const middle = async (page: Page, name: RegExp) => {
  const box = (await page.getByRole('button', { name }).boundingBox())!;
  return box.x + box.width / 2;
};
/** Waits until a piece lies so many pixels beside where it lay. */
const lies = (page: Page, name: RegExp, from: number, by: number) =>
  expect.poll(async () => (await middle(page, name)) - from).toBeCloseTo(by, 0);

test('the shelf is counted and priced, and plans buy what is missing', async ({ page }) => {
  await page.goto('/yard');
  await page.getByRole('button', { name: /^Briquettes: 3.5 kg/ }).click();
  await page.getByLabel('On the shelf, kg').fill('0.5');
  await page.getByLabel('A bag costs, in your own money').fill('12.25');
  await page.getByTestId('shelf-save').click();
  await expect(
    page.getByRole('button', { name: /^Briquettes: 0.5 kg, 8 kg for 12.25/ }),
  ).toBeVisible();
  await page.goto('/');
  await planned(page);
  await expect(page.getByText(/0.5\skg on the shelf · buy 1 bag of 8\skg · 12.25/)).toBeVisible();
  await expect(page.getByText(/^Fuel to buy: 12.25/)).toBeVisible();
});

test('pieces are laid by finger beside the fire, and never over it', async ({ page }) => {
  await page.goto('/');
  await change(page, /^People/, '4');
  await planned(page);
  const shoulder = /^mutton shoulder 1 of 1/;
  const before = await middle(page, shoulder);
  await drag(page, shoulder, 20, 0);
  await lies(page, shoulder, before, 20);
  await planned(page);
  await lies(page, shoulder, before, 20);
  await drag(page, shoulder, 90, 0);
  await expect(page.getByText(/^Not there: that is over the fire/)).toBeVisible();
  await lies(page, shoulder, before, 20);
  await page.getByRole('button', { name: 'Lay them out for me' }).click();
  await planned(page);
  await expect(page.getByRole('button', { name: 'Lay them out for me' })).toHaveCount(0);
  await lies(page, shoulder, before, 0);
});

test('a plan of two meats on two pits is saved, opened again, started and tended fire by fire', async ({
  page,
  context,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Add another meat' }).click();
  await page.getByRole('radio', { name: /^Chicken/ }).click();
  await change(page, /^Meat 2/, /^the Tower/);
  await choose(page, /^Before and after of the chicken/, /^As a course before it/);
  await page.getByRole('button', { name: 'Course: more' }).click();
  await done(page);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('eaten at 15:45');
  await expect(page.getByTestId('four-times')).toContainText('Chicken');
  await page.getByRole('radio', { name: 'the Tower', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Set the fan' })).toBeVisible();

  const { heading, pages } = await printed(page, context);
  expect(heading).toContain('Mutton shoulder and chicken for 8');
  expect(pages).toBe(1);

  // Kept under a name, and found again after the page was left.
  await page.getByRole('button', { name: 'Saved plans' }).click();
  await page.getByRole('button', { name: 'Save the plan on the page' }).click();
  await page.getByTestId('plan-name').fill('Two fires for the crew');
  await page.getByTestId('plan-save').click();
  await expect(page.getByText('Two fires for the crew', { exact: true })).toBeVisible();
  await page.getByRole('checkbox', { name: /^Two fires/ }).click();
  await expect(page.getByRole('checkbox', { name: /^Two fires/ })).toBeChecked();
  // The draft is still there when the page comes back; a new one is begun when asked for.
  await page.reload();
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('chicken');
  await page.getByRole('button', { name: 'Saved plans' }).click();
  await page.getByRole('button', { name: 'Start a new plan' }).click();
  await expect(page.getByTestId('plan-sentence')).not.toContainText('chicken');
  await planned(page);
  await page.getByRole('button', { name: 'Saved plans' }).click();
  await page.getByRole('button', { name: 'Open Two fires for the crew' }).click();
  await expect(page.getByTestId('plan-sentence')).toContainText('eaten at 15:45');
  await change(page, /^People:/, '12');
  await planned(page);

  // What was changed is kept under the same name.
  await page.getByRole('button', { name: 'Saved plans' }).click();
  await page.getByTestId('plan-update').click();
  await page.getByRole('button', { name: 'Saved plans' }).click();
  await expect(
    page.getByTestId('saved-plan').filter({ hasText: 'Two fires for the crew' }),
  ).toContainText('12 people');
  await page.getByRole('button', { name: 'Close', exact: true }).click();

  // One cook a fire, each tended for itself.
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  await expect(page).toHaveURL(/\/tend(\?|$)/);
  await page.getByRole('radio', { name: /^The Tower/ }).click();
  await expect(page.getByTestId('job-card')).toContainText('Build the fire');
  await page.getByRole('radio', { name: /^The Bosun/ }).click();
  await expect(page.getByTestId('job-card')).toContainText('Lay the snake');
  for (let left = 2; left > 0; left--) {
    await finishCook(page);
    await page.goto('/tend');
  }
  await expect(page.getByText(/No fire is lit/)).toBeVisible();
});
