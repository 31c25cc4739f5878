/**
 * Browser and server killed again and again while two tabs of one device and a second device log by touch: what was
 * shown as logged is in the log, once. `node scripts/browserKills.mjs [kills] [seed]`; printed as JSON.
 */
import { chromium } from '@playwright/test';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import process from 'node:process';
import { setTimeout as wait } from 'node:timers/promises';
import { CHROMIUM_FLAGS, findChromium } from './browser.mjs';
import { startServer } from './demoServer.mjs';
import { buildNode, buildWeb, install } from './setup.mjs';

const PORT = 8683;
const URL_ = `http://127.0.0.1:${PORT}`;
const kills = Number(process.argv[2] ?? 200);
const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-kills-'));
const PHONE = { width: 390, height: 844 };

/** Chance from a seed: what is killed, and when. */
let state = Number(process.argv[3] ?? 1) || 1;
function chance() {
  state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
  return state / 2 ** 32;
}

let server = null;
async function start() {
  const env = { OSTRIN_DB: path.join(folder, 'kills.sqlite'), LOG_LEVEL: 'silent' };
  server = (await startServer(PORT, env)).child;
}
async function killServer() {
  const gone = new Promise((done) => server.once('exit', done));
  server.kill('SIGKILL');
  await gone;
}

/** A device: a browser with a folder of its own, and its tabs on the cook under way. */
class Device {
  constructor(name, tabs) {
    this.name = name;
    this.count = tabs;
    this.folder = path.join(folder, name);
  }

  async open() {
    this.context = await chromium.launchPersistentContext(this.folder, {
      executablePath: findChromium(),
      args: CHROMIUM_FLAGS,
      viewport: PHONE,
    });
    this.tabs = [];
    for (let i = 0; i < this.count; i++) {
      const tab = await this.context.newPage();
      tab.setDefaultTimeout(30_000);
      await tab.goto(`${URL_}/tend`);
      this.tabs.push(tab);
    }
  }

  /** Kills every process of this browser at once. */
  kill() {
    try {
      execFileSync('pkill', ['-9', '-f', this.folder]);
    } catch {
      // It was gone already.
    }
  }
}

const shown = [];
let made = 0;
/** Logs one note by touch; it counts once the page shows it as logged. */
async function log(device, tab) {
  const text = `${device.name}${++made}`;
  await tab.getByTestId('pad-note').click();
  await tab.getByTestId('write-note').click();
  await tab.getByTestId('note-text').fill(text);
  await tab.getByTestId('note-save').click();
  await tab.getByTestId('last-tap').filter({ hasText: text }).waitFor();
  shown.push(text);
}

async function startCook(tab) {
  await tab.goto(URL_);
  await tab.getByTestId('four-times').and(tab.locator('[aria-busy=false]')).waitFor();
  await tab.getByTestId('start-cook').click();
  await tab.getByTestId('start-practice').click();
  await tab.getByTestId('job-card').waitFor();
  await tab.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
}

/** What the log of the one cook says, from the server. */
async function stored() {
  const [{ id }] = await (await fetch(`${URL_}/api/cooks`)).json();
  const { entries } = await (await fetch(`${URL_}/api/cooks/${id}`)).json();
  return entries.flatMap((e) => (e.kind === 'note' ? [e.text] : []));
}

install(true);
buildNode();
buildWeb();
await start();
const devices = [new Device('house', 2), new Device('yard', 1)];
try {
  for (const d of devices) await d.open();
  await startCook(devices[0].tabs[0]);
  for (const d of devices) for (const tab of d.tabs) await tab.goto(`${URL_}/tend`);
  const killed = { server: 0, browser: 0 };
  for (let i = 0; i < kills; i++) {
    const victim = chance() < 0.5 ? 'server' : devices[Math.floor(chance() * devices.length)];
    const logging = devices.flatMap((d) => d.tabs.map((tab) => log(d, tab).catch(() => undefined)));
    await wait(50 + 700 * chance());
    if (victim === 'server') {
      await killServer();
      killed.server++;
      await wait(500 * chance());
      await start();
      await Promise.all(logging);
    } else {
      victim.kill();
      killed.browser++;
      await Promise.all(logging);
      await victim.open();
    }
  }
  let notes = [];
  for (let i = 0; i < 120; i++) {
    notes = await stored();
    if (shown.every((t) => notes.includes(t))) break;
    await wait(500);
  }
  const result = {
    kills: killed,
    shownAsLogged: shown.length,
    lost: shown.filter((t) => !notes.includes(t)).length,
    doubled: notes.length - new Set(notes).size,
  };
  process.stdout.write(`${JSON.stringify(result)}\n`);
} finally {
  for (const d of devices) d.kill();
  await killServer().catch(() => undefined);
  rmSync(folder, { recursive: true, force: true });
}
