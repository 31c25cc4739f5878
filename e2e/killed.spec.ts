/** A browser that is killed while its taps are on their way: a phone whose battery ends. */
import { expect, type BrowserContext, type Page } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { CHROMIUM_FLAGS, findChromium } from '../scripts/browser.mjs';
import { MEMBERS, startCook, test } from './home';
import { expectNotes, note } from './notes';

const ROUNDS = 4;

test('a browser that is killed in mid-send keeps every tap that was shown, and the server has each once', async ({
  playwright,
  serve,
}) => {
  const server = await serve();
  const profile = mkdtempSync(path.join(tmpdir(), 'ostrin-killed-'));
  const open = async (): Promise<{ context: BrowserContext; page: Page }> => {
    const context = await playwright.chromium.launchPersistentContext(profile, {
      executablePath: findChromium(),
      args: CHROMIUM_FLAGS,
      viewport: { width: 390, height: 844 },
    });
    await context.addInitScript((members) => {
      globalThis.ostrinPlanMembers = members;
    }, MEMBERS);
    const page = await context.newPage();
    await page.goto(`${server.url}/tend`);
    return { context, page };
  };
  /** As a power cut does it: no page hears of it. */
  const kill = async (context: BrowserContext): Promise<void> => {
    execFileSync('pkill', ['-9', '-f', profile]);
    await context.close().catch(() => undefined);
  };
  let { context, page } = await open();
  await page.goto(server.url);
  await startCook(page);
  const shown: string[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    // Every other time the server is away as well: what was tapped waits in the browser.
    const away = round % 2 === 1;
    if (away) await server.kill();
    for (const name of ['a', 'b']) {
      await note(page, `${name}${round}`);
      shown.push(`${name}${round}`);
    }
    await kill(context);
    if (away) await server.start();
    ({ context, page } = await open());
    await expect(page.getByTestId('job-card')).toBeVisible();
  }
  await expectNotes(page, shown);
  await kill(context);
  rmSync(profile, { recursive: true, force: true });
});
