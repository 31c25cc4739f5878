/** What the browser has and the test's DOM lacks. */
import 'reflect-metadata';
import { webcrypto } from 'node:crypto';

if (!globalThis.crypto?.randomUUID) {
  Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });
}
