/** Every step of the hands, from the butcher's counter to the plate: five meals planned by touch on a phone. */
import { expect, type Page } from '@playwright/test';
import { change, choose, done, planned, type } from './help';
import { demoTest as test } from './home';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** One more pit in the yard. */
async function addPit(page: Page, id: string, name: string, preset: string): Promise<void> {
  const pit = { name, preset, overrides: {}, ventWay: 'quarters' };
  const answer = await page.request.put(`/api/pits/${id}`, { data: pit });
  expect(answer.ok()).toBe(true);
}

/** Touches a step button so many times. */
async function step(page: Page, label: string, times: number): Promise<void> {
  const button = page.getByRole('button', { name: label });
  for (let i = 0; i < times; i++) await button.click();
}

/** The day after, typed into the calendar of the open sheet. */
async function typeNextDay(page: Page): Promise<void> {
  const field = page.getByTestId('serve-date');
  const next = new Date(`${await field.inputValue()}T12:00:00Z`);
  next.setUTCDate(next.getUTCDate() + 1);
  await field.fill(next.toISOString().slice(0, 10));
}

/** Text without the spaces that keep units with their numbers. */
const plain = (text: string): string => text.replaceAll('\u00a0', ' ');

/** The words of a job, its list opened. */
async function job(page: Page, id: string): Promise<string> {
  const row = page.getByTestId(`job-${id}`);
  const list = page.getByTestId(`list-${id}`);
  if (await list.isVisible()) await list.click();
  return plain(await row.innerText());
}

/** The card of a meat. */
async function card(
  page: Page,
  meat: string,
  kind: 'prepare' | 'hold' = 'prepare',
): Promise<string> {
  await page.getByTestId(`${kind}-${meat}`).click();
  return plain(await page.getByTestId(`${kind}-${meat}`).locator('..').innerText());
}

test('a brisket at two paces on splits, held in an oven for twenty hours', async ({ page }) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Long Tom/);
  await change(page, /^Meat:/, /^Brisket/);
  await page.getByRole('button', { name: /^Serving time:/ }).click();
  await typeNextDay(page);
  await done(page);
  await page.getByRole('button', { name: /^Pit:/ }).click();
  await type(page, 'Pit', '135');
  await page.getByRole('radio', { name: /^Another heat once the bark is firm/ }).click();
  await type(page, 'Later', '121');
  await done(page);
  await choose(page, /^Before and after/, /^Held in a low oven/);
  await page.getByRole('radio', { name: /^On the counter to 71/ }).click();
  await type(page, 'Set to', '77');
  await step(page, 'For at least: more', 20);
  await expect(page.getByRole('group', { name: 'For at least' })).toContainText('20 h');
  await done(page);
  await planned(page);
  const sentence = page.getByTestId('plan-sentence');
  await expect(sentence).toContainText('135 °C, 121 °C when the bark is firm and dark');
  expect(await job(page, 'second-pace')).toMatch(/Let the pit down to 121 °C/);
  expect(await job(page, 'off')).toMatch(
    /At least 20 h in a low oven; it waits well for 2\d h.* there.*stop cooking first: on the counter, wrapped, until its middle is down to 71 °C/s,
  );
  expect(await card(page, 'brisket', 'hold')).toMatch(
    /waits well (until about|for a whole day).*After 8 h: middle 7\d °C, .*% lighter/s,
  );
  expect(await job(page, 'check')).toMatch(/in the flat\..*in the point\./s);
  expect(await job(page, 'serve')).toMatch(/Part the point from the flat/);
  expect(await card(page, 'brisket')).toMatch(/fat down to 6 mm.*thin edges.*early treat/s);
  await expect(page.getByTestId('four-times')).toContainText('get up by');
});

test('four uneven racks of beef ribs on a kettle with a crescent of lump', async ({ page }) => {
  await page.goto('/');
  await change(page, /^Meat:/, /^Rack of beef short ribs/);
  await change(page, /^Fire:/, /^A crescent of lump/);
  for (let i = 2; i <= 4; i++) {
    await page.getByRole('button', { name: 'Add another meat' }).click();
    await page.getByRole('radio', { name: /^Rack of beef short ribs/ }).click();
  }
  const kilos = ['1', '1.1', '1.2', '1.3'];
  for (const [i, kg] of kilos.entries()) {
    await page
      .getByRole('button', { name: /^Mass of one piece/ })
      .nth(i)
      .click();
    await type(page, 'Mass of one piece', kg);
    await type(page, 'Pieces', '1');
    await done(page);
  }
  await planned(page);
  expect(await page.getByRole('alert').count()).toBe(0);
  // Each has its own times.
  const times = await page.getByTestId('four-times').innerText();
  expect(times.match(/\d\d:\d\d\s*–\s*\d\d:\d\d/g)).toHaveLength(4);
  expect(await job(page, 'check')).toMatch(/short ribs 1.*between the bones.*The bone ends show/s);
  expect(await card(page, 'beef-short-ribs')).toMatch(/The membrane stays on/);
  // The job of laying it and the fire's own card say the same.
  await expect(page.getByText(/in a crescent/)).toHaveCount(2);
});

test('a roast to the middle that is wanted, on a water smoker', async ({ page }) => {
  await page.goto('/');
  await addPit(page, 'otter', 'the Otter', 'bullet-47');
  await page.reload();
  await planned(page);
  await change(page, /^Cooker:/, /^the Otter/);
  await change(page, /^Meat:/, /^Rib roast/);
  await page.getByRole('button', { name: /^Done:/ }).click();
  await step(page, 'Middle on the plate: more', 2);
  await done(page);
  await change(page, /^Fire:/, /^Filled hot/);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('55 °C on the plate');
  const check = await job(page, 'check');
  const [pull, peak] = [/reads (\d+) °C/, /climbs to about (\d+) °C/].map((r) =>
    Number(r.exec(check)?.[1]),
  );
  expect(peak).toBe(55);
  expect(pull!).toBeLessThan(55);
  expect(pull!).toBeGreaterThan(44);
  expect(await job(page, 'lay')).toMatch(/hot water for the pan/);
});

test('pork shoulder in an open foil boat on a kamado that is half full of old lump', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^Cooker:/, /^Clay Jar/);
  await change(page, /^Meat:/, /^Pork shoulder/);
  await change(page, /^Wrap:/, /^Foil boat/);
  await change(page, /^Fire:/, /^Half full/);
  await planned(page);
  await expect(page.getByText(/Stir the .* from last time, shake its ash out/)).toBeVisible();
  expect(await job(page, 'wrap')).toMatch(
    /half way up its sides, the top left open.*fat on top is soft/s,
  );
  expect(await card(page, 'pork-shoulder')).toMatch(
    /fat side down: in this pit the heat comes from below/,
  );
  expect(await job(page, 'shut')).toMatch(/a starved fire flashes/);
  await expect(page.getByText(/on the deflector, where they smoke slower/)).toBeVisible();
});

test('a horseshoe round fire bricks, read by the dial in the lid, with smoke wood again', async ({
  page,
}) => {
  await page.goto('/');
  await change(page, /^Fire:/, /^A horseshoe of briquettes/);
  await page.getByRole('button', { name: /^Pit:/ }).click();
  await page.getByRole('radio', { name: /^The dial in the lid/ }).click();
  await done(page);
  await planned(page);
  await expect(page.getByText(/Five fire bricks on edge/)).toBeVisible();
  expect(await job(page, 'lay')).toMatch(/five fire bricks, dry/);
  expect(await job(page, 'hold')).toMatch(
    /The dial in the lid does not read the same.*about \d+ °C once/s,
  );
  const smoke = page.getByTestId(/^job-smoke-1/);
  if (await smoke.isVisible()) await expect(smoke).toContainText('beside the glowing coals');
  await expect(page.getByText(/White smoke clears by itself/)).toBeVisible();
});

test('names of forty letters keep the frame of every view', async ({ page }) => {
  const names = ['W'.repeat(40), 'The old smoker behind the barn at Hollow'];
  await page.goto('/');
  for (const [i, name] of names.entries()) await addPit(page, `long-${i}`, name, 'kettle-57');
  const fits = async (where: string): Promise<void> => {
    const over = await page.evaluate(() =>
      [...document.querySelectorAll('body *')]
        .filter((e) => e.getBoundingClientRect().right > window.innerWidth + 1)
        .map((e) => e.textContent?.slice(0, 60)),
    );
    // What scrolls sideways by itself, a table or a row of columns, may be wider.
    const wide = await page.evaluate(
      () => document.documentElement.scrollWidth - window.innerWidth,
    );
    expect(wide, `${where}: ${over.join(' | ')}`).toBeLessThanOrEqual(0);
  };
  for (const name of names) {
    await page.goto('/');
    await change(page, /^Cooker:/, new RegExp(`^${name}`));
    await planned(page);
    await expect(page.getByTestId('plan-sentence')).toContainText(name);
    await fits('plan');
  }
  for (const place of ['/yard', '/yard/long-0', '/yard/long-1', '/log', '/instruments', '/house']) {
    await page.goto(place);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await fits(place);
  }
});

test('ribs with sauce on a light offset with a fan', async ({ page }) => {
  await page.goto('/');
  await addPit(page, 'heron', 'the Heron', 'offset-light');
  await page.reload();
  await planned(page);
  await change(page, /^Cooker:/, /^the Heron/);
  await change(page, /^Meat:/, /^Rack of spare ribs/);
  await change(page, /^Fire:/, /^Briquettes and chunks/, /^A fan is fitted/);
  await choose(page, /^Wrap:/, /^Foil, /);
  await page.getByRole('radio', { name: /^At another core/ }).click();
  await type(page, 'Core when it is wrapped', '71');
  await page.getByRole('radio', { name: /^Bare for the last/ }).click();
  await page.getByRole('radio', { name: /^Sauced/ }).click();
  await page.getByRole('radio', { name: /^When dry spots show/ }).click();
  await type(page, 'From one spray to the next', '25');
  await done(page);
  await planned(page);
  await expect(page.getByTestId('plan-sentence')).toContainText('in foil at 71');
  await expect(page.getByTestId('plan-sentence')).toContainText('bare at the end, sprayed, sauced');
  await expect(page.getByRole('heading', { name: 'Set the fan' })).toBeVisible();
  const ids = await page
    .locator('[data-testid^="job-"]')
    .evaluateAll((rows) => rows.map((r) => r.getAttribute('data-testid')));
  const order = ['job-meat-on', 'job-wrap', 'job-bare', 'job-sauce', 'job-off'].map((id) =>
    ids.indexOf(id),
  );
  expect(order).toEqual([...order].sort((a, b) => a - b));
  expect(order[0]).toBeGreaterThanOrEqual(0);
  expect(await job(page, 'check')).toMatch(
    /bends until its surface cracks.*10 mm to 25 mm.*toothpick/s,
  );
  expect(await job(page, 'bare')).toMatch(/Open away from you: the steam burns/);
  expect(await card(page, 'spare-ribs')).toMatch(
    /Pull the membrane off.*within|15 to 60 min before it goes on/s,
  );
});
