/** The whole story in a real browser: plan, start, tend in two windows, finish, take out, bring in. */
import { expect, type BrowserContext, type Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { finishCook } from './help';
import { allSent, demoTest as test, doJob, setSpeed, tendUntil, type Serve } from './home';

const root = path.resolve(import.meta.dirname, '..');

const reading = async (page: Page): Promise<number> =>
  Number.parseInt((await page.getByTestId('pit-reading').textContent()) ?? '', 10);

/** Plan: a whole sentence at first sight, and an answer from the worker. */
async function planIt(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByTestId('plan-sentence')).toContainText('8 people');
  const times = page.getByTestId('four-times');
  await expect(times).toContainText('ready, 8 in 10');
  const before = await times.textContent();
  await page.getByRole('button', { name: /^People/ }).click();
  await page.getByRole('radio', { name: '4', exact: true }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByTestId('plan-sentence')).toContainText('1 mutton shoulder');
  await page.getByRole('button', { name: /^Mass of one piece/ }).click();
  await page.getByRole('radio', { name: '3.2 kg', exact: true }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: /^Weather/ }).click();
  await page.getByRole('radio', { name: 'windy', exact: true }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(times).toHaveAttribute('aria-busy', 'false');
  await expect(times).not.toHaveText(before!);
  await expect(page.getByRole('img', { name: /Snake from above/ })).toBeVisible();
  await page.getByRole('radio', { name: 'F', exact: true }).click();
  await expect(page.getByTestId('plan-sentence')).toContainText('250 °F');
  await page.getByRole('radio', { name: 'C', exact: true }).click();
  await expect(times).toHaveAttribute('aria-busy', 'false');
}

/** A wish that cannot be met is refused with a way out. */
async function refuseTooMany(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^People/ }).click();
  await page.getByRole('radio', { name: '24', exact: true }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('fit beside the fire');
  await expect(page.getByTestId('start-cook')).toBeDisabled();
  await page.getByRole('button', { name: /^People/ }).click();
  await page.getByRole('radio', { name: '4', exact: true }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false');
}

/** Start, and tend on the strip with a fast clock. */
async function startAndTend(page: Page): Promise<void> {
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  await expect(page).toHaveURL(/\/tend(\?|$)/);
  await doJob(page, /Lay the snake/);
  await doJob(page, /in the chimney/);
  await doJob(page, /Tip the lit ones/);
  await setSpeed(page, '240×');
  await expect.poll(() => reading(page)).toBeGreaterThan(90);
  // Closing the vents down goes by what the pit reads: whichever comes first is done first, until the meat is on.
  await tendUntil(page, async () =>
    /Wrap/.test(await page.getByTestId('pad-meat').innerText({ timeout: 2_000 })),
  );
  // What is looked for on the strip from here on has to stay in its last two hours.
  await setSpeed(page, '10×');
}

/** A second window sees the same cook, and what it logs arrives here. */
async function watchFromSecond(page: Page, context: BrowserContext): Promise<Page> {
  const second = await context.newPage();
  await second.setViewportSize({ width: 1280, height: 800 });
  await second.goto('/tend');
  await expect(second.getByTestId('job-card')).toBeVisible();
  await second.keyboard.press('n');
  await second.getByTestId('write-note').click();
  await second.getByTestId('note-text').fill('Seen from the boathouse');
  await second.getByTestId('note-save').click();
  await expect(page.getByText(/Seen from/).first()).toBeVisible();
  return second;
}

/** One tap, undo, and a corrected time. */
async function tapUndoCorrect(page: Page, second: Page): Promise<void> {
  await page.getByTestId('pad-lid').click();
  await expect(page.getByTestId('last-tap')).toContainText('lid open');
  await page.getByTestId('undo').click();
  await expect(page.getByTestId('last-tap')).toHaveCount(0);
  await page.getByTestId('pad-fuel').click();
  await page.getByTestId('last-tap').getByRole('button', { name: 'Correct' }).click();
  await page.getByRole('radio', { name: '−10 min' }).click();
  await page.getByTestId('retime').click();
  await expect(second.getByText(/briquettes \(time corrected\)/)).toBeVisible();
}

/** The server goes away: said, shown as old, taps kept and sent on return. */
async function loseTheServer(page: Page, second: Page, context: BrowserContext): Promise<void> {
  await allSent(page);
  await context.setOffline(true);
  await page.getByTestId('pad-lid').click();
  await expect(page.getByTestId('stale')).toContainText('1 tap is waiting');
  await expect(page.getByTestId('pit-reading')).toHaveAttribute('aria-label', /old reading/);
  await context.setOffline(false);
  await expect(page.getByTestId('stale')).toHaveCount(0);
  await expect(second.getByText(/lid open 60 s/).first()).toBeVisible();
}

/** Finish: the log opens with strip and figures. */
async function finish(page: Page): Promise<void> {
  await finishCook(page);
  await expect(page).toHaveURL(/\/log\//);
  await expect(page.getByTestId('figures')).toContainText('Time in band');
  await expect(page.getByRole('img', { name: /Strip of the cook/ })).toBeVisible();
}

/** Export, bring it in elsewhere, and find it identical. */
async function exportAndImport(page: Page, serve: Serve): Promise<void> {
  const save = async (name: string): Promise<string> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name }).click(),
    ]);
    const file = path.join(root, 'test-results', download.suggestedFilename());
    await download.saveAs(file);
    return file;
  };
  const json = await save('Whole cook, JSON');
  const actions = await save('Actions, CSV');
  const readings = await save('Readings, CSV');
  const doc = JSON.parse(readFileSync(json, 'utf8')) as { id: string; readings: unknown[] };
  expect(doc.readings.length).toBeGreaterThan(20);
  const { url } = await serve();
  await page.goto(`${url}/log`);
  await expect(page.getByText(/No cooks yet/)).toBeVisible();
  await page.getByTestId('import-files').setInputFiles([readings, actions]);
  await expect(page.getByText('Imported.')).toBeVisible();
  const back = await fetch(`${url}/api/cooks/${doc.id}/cook.json`).then((r) => r.json());
  expect(back).toEqual(doc);
  await page.getByTestId('import-files').setInputFiles(json);
  await expect(page.getByText(/in the log already/)).toBeVisible();
}

test('plan a cook, tend it, keep it', async ({ page, context, serve }) => {
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  await planIt(page);
  await refuseTooMany(page);
  await startAndTend(page);
  const second = await watchFromSecond(page, context);
  await tapUndoCorrect(page, second);
  await loseTheServer(page, second, context);
  await finish(page);
  await exportAndImport(page, serve);
  expect(faults).toEqual([]);
});

test('every place opens on a wide screen, by keyboard, and past cooks are there', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/log');
  await page.getByRole('link', { name: /short snake/ }).click();
  await expect(page.getByTestId('figures')).toContainText('Average pit');
  await expect(page.getByText(/Finished in the clubhouse oven/).first()).toBeVisible();
  await page.keyboard.press('2');
  await expect(page.getByTestId('plan-sentence')).toBeVisible();
  await page.keyboard.press('1');
  await expect(page.getByText(/No fire is lit/)).toBeVisible();
  await page.goto('/no/such/page');
  await expect(page.getByText('There is no page at /no/such/page.')).toBeVisible();
  await page.getByRole('button', { name: 'To the plan' }).click();
  await expect(page.getByTestId('plan-sentence')).toBeVisible();
});
