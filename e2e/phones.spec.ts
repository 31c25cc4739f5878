/** Several phones of a crew, tabs of one phone, and what happens when the line or the server goes away. */
import { expect } from '@playwright/test';
import { keptOnDevice, keptPage, phone, setSpeed, startCook, test } from './home';
import { note, expectNotes, expectNotesOfTwo } from './notes';

// Apps that are kept on their device.
test.use({ serviceWorkers: 'allow' });

test('two phones: the watch is handed over with its fire sheet, and one thing is logged once', async ({
  browser,
  serve,
}) => {
  const server = await serve({ args: ['--home'] });
  const { page: anka } = await phone(browser, server.url, 'Anka');
  await startCook(anka);
  const { page: pell } = await phone(browser, server.url, 'Pell');
  await pell.goto(`${server.url}/tend`);
  await anka.getByTestId('this-cook').click();
  await anka.getByTestId('watch').click();
  await anka.getByTestId('watch-take').click();
  await anka.getByTestId('this-cook').click();
  await expect(anka.getByText(/Anka has had the shift since/)).toBeVisible();
  await anka.getByTestId('watch').click();
  await anka.getByTestId('watch-other').click();
  await anka.getByTestId('watch-name').fill('Pell');
  await anka.getByTestId('watch-name-save').click();
  await expect(anka.getByTestId('fire-sheet')).toContainText(/is to hold 121 °C/);
  await anka.getByTestId('watch-offer').click();
  await pell.getByTestId('watch-look').click();
  await expect(pell.getByTestId('fire-sheet')).toContainText(/Next: /);
  await pell.getByTestId('watch-accept').click();
  await anka.getByTestId('this-cook').click();
  await expect(anka.getByText(/Pell has had the shift since/)).toBeVisible();
  await anka.getByRole('button', { name: 'Close', exact: true }).click();

  await anka.getByTestId('pad-lid').click();
  await expect(pell.getByText(/lid open/).first()).toBeAttached();
  await pell.getByTestId('pad-lid').click();
  await pell.getByTestId('refused-open').click();
  await expect(pell.getByTestId('refused-tap')).toContainText(/Anka logged the same/);
  await pell.getByTestId('refused-discard').click();
  await expect(pell.getByTestId('refused')).toHaveCount(0);
  await expect(pell.getByTestId('refused-tap')).toHaveCount(0);
});

test('two tabs log while the server is killed again and again: every tap that was shown is there once', async ({
  context,
  serve,
}) => {
  const server = await serve();
  const a = await context.newPage();
  await a.goto(server.url);
  await startCook(a);
  const b = await context.newPage();
  await b.goto(`${server.url}/tend`);
  await expect(b.getByTestId('job-card')).toBeVisible();
  const shown: string[] = [];
  for (let round = 0; round < 4; round++) {
    const killed = round % 2 === 0 ? server.kill() : Promise.resolve();
    for (const [name, page] of [
      ['a', a],
      ['b', b],
    ] as const) {
      const text = `${name}${round}`;
      await note(page, text);
      shown.push(text);
    }
    await killed;
    // One of the tabs is loaded again while taps are waiting and the server is down.
    if (round === 2) await a.reload();
    if (round % 2 === 0) await server.start();
  }
  await expectNotesOfTwo(a, shown);
  await expect(a.getByTestId('stale')).toHaveCount(0);
});

test('six tabs share one stream, and all of them follow', async ({ context, serve }) => {
  const server = await serve();
  const first = await context.newPage();
  await first.goto(server.url);
  await startCook(first);
  const tabs = [first];
  for (let i = 0; i < 6; i++) {
    const tab = await context.newPage();
    await tab.goto(`${server.url}/tend`, { timeout: 20_000 });
    await expect(tab.getByTestId('job-card')).toBeVisible();
    tabs.push(tab);
  }
  await note(first, 's1');
  for (const tab of tabs) {
    await expect(tab.getByText(/s1/).first()).toBeAttached();
  }
  // The tab that held the stream goes; another takes it up.
  await first.close();
  await note(tabs[1]!, 's2');
  for (const tab of tabs.slice(2)) {
    await expect(tab.getByText(/s2/).first()).toBeAttached();
  }
});

test('an installed app opens with the server off, logs, and sends everything once', async ({
  browser,
  serve,
}) => {
  const server = await serve();
  const context = await browser.newContext({ viewport: { width: 390, height: 844 } });
  const page = await keptPage(context, server.url);
  await note(page, 'before');
  await expectNotes(page, ['before']);
  // The open cook is saved every few seconds.
  await page.waitForTimeout(4000);
  await server.kill();
  const at: string[] = [];
  for (let i = 0; i < 3; i++) {
    await page.goto(`${server.url}/tend`);
    await expect(page.getByTestId('stale')).toContainText(/Shown as it was at/);
    // What was done before is still done.
    await expect(page.getByTestId('job-card')).toContainText(/Bowl vent/);
    await note(page, `off ${i}`);
    at.push(`off ${i}`);
  }
  await page.goto(`${server.url}/`);
  await expect(page.getByTestId('away')).toContainText('3 taps are waiting');
  await expect(page.getByTestId('four-times')).toContainText('ready, 8 in 10');
  await server.start();
  await expectNotes(page, ['before', ...at]);
  await expect(page.getByTestId('away')).toHaveCount(0);
  await context.close();
});

test('a phone without the line for hours of taps comes back with each at its own minute', async ({
  browser,
  serve,
}) => {
  const server = await serve({ args: ['--home'] });
  const { page, context } = await phone(browser, server.url, 'Idris');
  await startCook(page);
  await keptOnDevice(page);
  await setSpeed(page, '240×');
  await page.waitForTimeout(4000);
  await context.setOffline(true);
  const shown: string[] = [];
  for (let i = 0; i < 6; i++) {
    await note(page, `away ${i}`);
    shown.push(`away ${i}`);
    // Half an hour of the cook.
    await page.waitForTimeout(7_500);
    if (i === 1 || i === 3) await page.reload();
  }
  await expect(page.getByTestId('stale')).toContainText('6 taps are waiting');
  await context.setOffline(false);
  await expectNotes(page, shown);
  const cooks = (await (await page.request.get(`${server.url}/api/cooks`)).json()) as {
    id: string;
  }[];
  const doc = (await (
    await page.request.get(`${server.url}/api/cooks/${cooks[0]!.id}`)
  ).json()) as {
    entries: { kind: string; at: number; by?: string }[];
  };
  const notes = doc.entries.filter((e) => e.kind === 'note');
  const span = (notes.at(-1)!.at - notes[0]!.at) / 60_000;
  expect(span).toBeGreaterThan(150);
  notes.slice(1).forEach((e, i) => expect(e.at).toBeGreaterThan(notes[i]!.at));
  expect(new Set(notes.map((e) => e.by))).toEqual(new Set(['Idris']));
});

test('a tap that the server refuses stays until its writer decides', async ({ context, serve }) => {
  const server = await serve();
  const a = await context.newPage();
  await a.goto(server.url);
  await startCook(a);
  const cooks = (await (await a.request.get(`${server.url}/api/cooks`)).json()) as {
    id: string;
  }[];
  const { id } = cooks[0]!;
  // All that was touched so far has arrived.
  await expect
    .poll(async () => JSON.stringify(await (await fetch(`${server.url}/api/cooks/${id}`)).json()))
    .toContain('"jobId":"light"');
  await context.setOffline(true);
  await note(a, 'kept as it is');
  await a.getByTestId('pad-lid').click();
  await expect(a.getByTestId('last-tap')).toContainText('lid open');
  // Finished from elsewhere in the meantime.
  const { clock } = (await (await fetch(`${server.url}/api/cooks/${id}`)).json()) as {
    clock: { cookMs: number };
  };
  const finish = { id: crypto.randomUUID(), at: clock.cookMs - 60_000, kind: 'finish' };
  await fetch(`${server.url}/api/cooks/${id}/entries`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ entries: [finish] }),
  });
  await context.setOffline(false);
  await a.getByTestId('refused-open').click();
  await expect(a.getByTestId('refused-tap')).toContainText(/Lid open.*This cook is finished/s);
  await a.getByTestId('refused-note').click();
  await expect(a.getByTestId('refused')).toHaveCount(0);
  await expect
    .poll(async () => {
      const doc = (await (await fetch(`${server.url}/api/cooks/${id}`)).json()) as {
        entries: { kind: string; text?: string }[];
      };
      return doc.entries.flatMap((e) => (e.kind === 'note' ? [e.text!.slice(0, 8)] : []));
    })
    .toEqual(['kept as ', 'Lid open']);
});
