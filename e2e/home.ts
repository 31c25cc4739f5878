/** A server of its own for tests that kill it, open it to others, or change its version. */
import {
  expect,
  test as base,
  type Browser,
  type BrowserContext,
  type Page,
} from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { copyFileSync, mkdtempSync } from 'node:fs';
import { connect, createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';

declare global {
  var ostrinPlanMembers: number | undefined;
}

const root = path.resolve(import.meta.dirname, '..');

export const PASSCODE = 'larch-tongs-9';

/** Options behind the command, and the environment. */
interface ServerOptions {
  args?: string[];
  /** Begins with the demo world. */
  demo?: boolean;
  env?: Record<string, string>;
}

export class OwnServer {
  private child: ChildProcess | null = null;
  readonly file = path.join(mkdtempSync(path.join(tmpdir(), 'ostrin-own-')), 'own.sqlite');

  constructor(
    readonly port: number,
    private readonly options: ServerOptions,
  ) {
    if (options.demo) copyFileSync(process.env.OSTRIN_READY_DEMO!, this.file);
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Starts it on its database, new or not, and waits until it answers. */
  async start(env: Record<string, string> = {}): Promise<void> {
    const { args = [], env: own = {} } = this.options;
    this.child = spawn(process.execPath, ['apps/server/dist/main.js', ...args], {
      cwd: root,
      env: {
        ...process.env,
        PORT: String(this.port),
        OSTRIN_DB: this.file,
        OSTRIN_PASSCODE: PASSCODE,
        LOG_LEVEL: 'silent',
        ...own,
        ...env,
      },
      stdio: 'ignore',
    });
    await expect.poll(() => listens(this.port)).toBe(true);
  }

  /** Kills it as a power cut would. */
  async kill(): Promise<void> {
    const { child } = this;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
  }
}

/** Whether something listens at a port of this machine. */
const listens = (port: number): Promise<boolean> =>
  new Promise((done) => {
    const socket = connect(port, '127.0.0.1');
    socket.once('connect', () => {
      socket.destroy();
      done(true);
    });
    socket.once('error', () => done(false));
  });

/** A port of this machine that nothing listens at. */
const freePort = (): Promise<number> =>
  new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => done(port));
    });
  });

/** Starts a server of a test's own. */
export type Serve = (options?: ServerOptions) => Promise<OwnServer>;

/** Likely cooks behind a plan in browser tests: the sixty of the app cost more than all the rest of a page. */
export const MEMBERS = 12;

/** How many times slower than this machine the pages are, to find what goes wrong on a busy one; 1 leaves them. */
const SLOWER = Number(process.env.E2E_SLOWER ?? 1);

/** A browser whose pages plan quickly, those of contexts that a test opens by itself too. */
export const quickTest = base.extend<{ closesPages: void }, { browser: Browser }>({
  // Pages that a test opened by itself would go on computing beside the tests after it.
  closesPages: [
    async ({ browser }, provide) => {
      await provide();
      for (const context of browser.contexts()) await context.close();
    },
    { auto: true },
  ],
  browser: [
    async ({ browser }, provide) => {
      const open = browser.newContext.bind(browser);
      browser.newContext = async (options) => {
        const context = await open(options);
        await context.addInitScript((members) => {
          globalThis.ostrinPlanMembers = members;
        }, MEMBERS);
        if (SLOWER > 1) {
          context.on('page', async (page) => {
            const devtools = await context.newCDPSession(page);
            await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
          });
        }
        return context;
      };
      await provide(browser);
      browser.newContext = open;
    },
    { scope: 'worker' },
  ],
});

/** Tests that have servers of their own: each is started when it is asked for, and killed after the test. */
export const test = quickTest.extend<{ serve: Serve }>({
  // Playwright reads the pattern of the first argument: nothing of it is needed.
  // eslint-disable-next-line no-empty-pattern
  async serve({}, provide) {
    const servers: OwnServer[] = [];
    await provide(async (options = {}) => {
      const server = new OwnServer(await freePort(), options);
      servers.push(server);
      await server.start();
      return server;
    });
    for (const server of servers) await server.kill();
  },
});

/** The same, with pages that open on a demo world of the test's own: a cook that it leaves meets no other test. */
export const demoTest = test.extend({
  async baseURL({ serve }, provide) {
    await provide((await serve({ demo: true })).url);
  },
});

/** A page on which a cook is under way, of an app that is kept on its device. */
export async function keptPage(context: BrowserContext, url: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(url);
  await startCook(page);
  await keptOnDevice(page);
  return page;
}

/** Waits until the app is kept on the device: it opens without the server from then on. */
export const keptOnDevice = (page: Page): Promise<void> =>
  page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));

/** A phone of the crew, signed in. */
export async function phone(
  browser: Browser,
  url: string,
  name: string,
  options: Parameters<Browser['newContext']>[0] = {},
): Promise<{ page: Page; context: BrowserContext }> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, ...options });
  const page = await context.newPage();
  await page.goto(url);
  await page.getByLabel('Passcode or invitation').fill(PASSCODE);
  await page.getByLabel(/^Your name/).fill(name);
  await page.getByLabel(/^This device/).fill('phone');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByTestId('plan-sentence')).toBeVisible();
  return { page, context };
}

/** Waits until no tap of this browser waits to be sent any more. */
export const allSent = (page: Page): Promise<void> =>
  expect(async () => {
    const waiting = await page.evaluate(
      () =>
        new Promise<number>((done, fail) => {
          const opening = indexedDB.open('ostrin');
          opening.onerror = () => fail(new Error('this browser keeps no taps'));
          opening.onsuccess = () => {
            const count = opening.result.transaction('taps').objectStore('taps').count();
            count.onsuccess = () => done(count.result);
            opening.result.close();
          };
        }),
    );
    expect(waiting).toBe(0);
  }).toPass();

/** Starts the cook on the page and lights the fire. */
export async function startCook(page: Page): Promise<void> {
  await expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false');
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  await expect(page).toHaveURL(/\/tend(\?|$)/);
  for (const words of [/Lay the snake/, /in the chimney/, /Tip the lit ones/]) {
    await doJob(page, words);
  }
}

/** Waits until the card shows this job and says it is done. */
export async function doJob(page: Page, words: RegExp): Promise<void> {
  await expect(page.getByTestId('job-card')).toContainText(words);
  await page.getByTestId('job-done').click();
  const shown = page.getByTestId('job-card').getByText(words);
  const doubt = page.getByTestId('order-doubt');
  await expect(async () => {
    // What is far from its time is asked about once.
    if (await doubt.isVisible()) await page.getByTestId('job-done').click({ timeout: 2_000 });
    expect(await shown.count()).toBe(0);
  }).toPass();
}

/** Sets how fast the practice clock goes. */
export async function setSpeed(page: Page, label: string): Promise<void> {
  await page.getByTestId('this-cook').click();
  await page.getByRole('radio', { name: label, exact: true }).click();
  await expect(page.getByRole('radio', { name: label, exact: true })).toBeChecked();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
}

/** Half a day of practice from job to job takes at most this, ms: what is expected is worked out after each. */
export const PRACTICE_MS = 420_000;

/** Starts the cook on the page as practice; between two jobs it goes at full speed. */
export async function practise(page: Page): Promise<void> {
  await expect(page.getByTestId('four-times')).toHaveAttribute('aria-busy', 'false');
  await page.getByTestId('start-cook').click();
  await page.getByTestId('start-practice').click();
  await expect(page.getByTestId('this-cook')).toContainText('practice');
  await setSpeed(page, '240×');
}

/** Does the jobs as they come due and skips to the next one, until something holds. */
export async function tendUntil(page: Page, holds: () => Promise<boolean>): Promise<void> {
  await expect(async () => {
    if (await holds()) return;
    const card = await page.getByTestId('job-card').innerText({ timeout: 2_000 });
    const due = await jobIsDue(page);
    const asked = await page.getByTestId('order-doubt').isVisible();
    const waits = !asked && (await page.getByTestId('job-card').getByRole('alert').isVisible());
    const skip = page.getByTestId('job-skip');
    // What came due since the first look may be what is waited for: it is not done away with.
    if (await holds()) return;
    if ((due || asked) && !waits) await page.getByTestId('job-done').click({ timeout: 2_000 });
    else if (await skip.isEnabled({ timeout: 100 }).catch(() => false)) await skip.click();
    expect(false, card).toBe(true);
  }).toPass({ intervals: [500], timeout: PRACTICE_MS });
}

/** Whether the job on the card is due. */
export const jobIsDue = async (page: Page): Promise<boolean> =>
  /now|ago/.test(await page.getByTestId('job-due').innerText({ timeout: 2_000 }));
