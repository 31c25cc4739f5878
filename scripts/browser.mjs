/** The browser that tests and pictures use: Debian's Chromium, headless and without any network of its own. */
import { existsSync } from 'node:fs';
import process from 'node:process';

/** Its path, or undefined while it is not installed. */
export const findChromium = () =>
  process.env.CHROMIUM ??
  ['/usr/bin/chromium', '/usr/bin/chromium-browser'].find((p) => existsSync(p));

export const CHROMIUM_FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
