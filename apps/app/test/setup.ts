/** What the browser has and the test's world lacks. */
import { webcrypto } from 'node:crypto';

// The types promise a whole browser, so that what is lacking can only be seen and set by name.
const globals = globalThis as unknown as Record<string, unknown>;
if (!globalThis.crypto?.randomUUID) globals.crypto = webcrypto;
const kept = new Map<string, string>();
globals.localStorage ??= {
  getItem: (k: string) => kept.get(k) ?? null,
  setItem: (k: string, v: string) => void kept.set(k, v),
  removeItem: (k: string) => void kept.delete(k),
};
globals.navigator ??= {};
globals.addEventListener ??= () => undefined;
globals.removeEventListener ??= () => undefined;
