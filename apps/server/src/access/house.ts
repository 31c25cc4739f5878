/** Under which names and addresses this machine is reached. */
import { hostname, networkInterfaces } from 'node:os';

/** Addresses of this machine in its own network, IPv4. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flat()
    .flatMap((i) => (i && i.family === 'IPv4' && !i.internal ? [i.address] : []));
}

/** Names under which this machine is always reached, and those that its owner gave it (`more`). */
export function ownNames(more: readonly string[]): string[] {
  const host = hostname().toLowerCase();
  return ['localhost', '127.0.0.1', host, `${host}.local`, ...more];
}

/** Whether a name in a Host header is one of this machine's. `more` are names that its owner gave it. */
export function isOwnName(more: readonly string[]): (name: string) => boolean {
  const fixed = new Set([...ownNames(more), '[::1]']);
  // Addresses change when a network is joined, so they are looked up anew.
  return (name) => fixed.has(name) || ownAddresses().includes(name);
}
