/** What several browser tests do. */
import { expect, type BrowserContext, type Page } from '@playwright/test';

/** Waits for the full plan. */
export const planned = (page: Page) =>
  expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false');

/** Closes the sheet of choices. */
export const done = (page: Page) => page.getByRole('button', { name: 'Done', exact: true }).click();

/** Opens a word of the planning sentence and chooses from its sheet, one after another; the sheet stays open. */
export async function choose(
  page: Page,
  what: RegExp,
  ...choices: (RegExp | string)[]
): Promise<void> {
  await page.getByRole('button', { name: what }).click();
  for (const name of choices) {
    await page.getByRole('radio', { name, exact: typeof name === 'string' }).click();
  }
}

/** Types a number into a stepper of the open sheet. */
export async function type(page: Page, label: string, value: string): Promise<void> {
  await page
    .getByRole('group', { name: label, exact: true })
    .getByRole('button', { name: /Type it/ })
    .click();
  await page.getByLabel(`${label}, typed`).fill(value);
  await page.getByLabel(`${label}, typed`).press('Enter');
}

/** The same as `choose`, and the sheet is closed. */
export async function change(
  page: Page,
  what: RegExp,
  ...choices: (RegExp | string)[]
): Promise<void> {
  await choose(page, what, ...choices);
  await done(page);
}

/** Prints the plan on the page; its heading and how many sheets of paper it takes. */
export async function printed(page: Page, context: BrowserContext) {
  await page.getByRole('button', { name: 'Print' }).click();
  const sheet = await page.locator('iframe').getAttribute('srcdoc');
  const paper = await context.newPage();
  await paper.setContent(sheet!);
  const heading = await paper.getByRole('heading', { level: 1 }).textContent();
  const pdf = (await paper.pdf({ preferCSSPageSize: true })).toString('latin1');
  await paper.close();
  return { heading, pages: Number(/\/Count (\d+)/.exec(pdf)?.[1]) };
}

/** Ends the cook that is tended, meat on the pit or not; its log opens. */
export async function finishCook(page: Page): Promise<void> {
  await page.getByTestId('this-cook').click();
  await page.getByTestId('finish').click();
  const anyway = page.getByRole('button', { name: 'Yes, finish it' });
  await expect(anyway.or(page.getByTestId('figures'))).toBeVisible();
  if (await anyway.isVisible()) await anyway.click();
  await expect(page.getByTestId('figures')).toBeVisible();
}

/** A phone that is touched. */
export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true };

/** Begins a cook on a real fire that was lit a while ago, by the plan on the page. */
export async function startLit(page: Page, ago: string): Promise<void> {
  await planned(page);
  await page.getByTestId('start-cook').click();
  await page.getByRole('radio', { name: ago }).click();
  await page.getByTestId('start-real').click();
  await expect(page.getByTestId('this-cook')).not.toContainText('practice');
}

/** Types a reading on the large keys: where, what it says and, where it is not of now, when. */
export async function readByHand(
  page: Page,
  spot: string | RegExp,
  figures: string,
  when?: string,
): Promise<void> {
  await page.getByTestId('pad-read').click();
  await page.getByRole('radio', { name: spot }).click();
  for (const figure of figures) await page.getByTestId(`key-${figure}`).click();
  if (when) await page.getByRole('radio', { name: when, exact: true }).click();
  await page.getByTestId('read-save').click();
  await expect(page.getByTestId('last-tap')).toContainText(figures);
}

/** The button of the order is wholly in sight on a phone, a small phone and a phone that lies on its side. */
export async function doneIsInSight(page: Page): Promise<void> {
  for (const [width, height] of [
    [360, 640],
    [844, 390],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await expect(page.getByTestId('job-done')).toBeInViewport({ ratio: 1 });
  }
}

/** Sends packets as an instrument does. */
export async function tell(
  { url }: { url: string },
  token: string,
  packets: object[],
): Promise<void> {
  const res = await fetch(`${url}/api/wire`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` },
    body: JSON.stringify({ packets }),
  });
  expect(res.status).toBe(202);
}

/** A connected instrument at a pit of the yard, as somebody set it up before; returns its token. */
export async function connected(
  { url }: { url: string },
  id: string,
  pitName: string,
  channels: object[],
): Promise<string> {
  const ask = async (path: string, method: string, body: object): Promise<Response> => {
    const res = await fetch(`${url}/api/instruments/${id}${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    expect(res.status).toBe(201);
    return res;
  };
  const checked = channels.map((c) => ({ offsetK: 0, checkedAt: null, ...c }));
  await ask('', 'PUT', { name: id, pitName, channels: checked });
  return ((await (await ask('/token', 'POST', {})).json()) as { token: string }).token;
}
