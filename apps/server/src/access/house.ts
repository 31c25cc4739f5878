/** Under which names and addresses this machine is reached. */
import { hostname, networkInterfaces } from 'node:os';

/** Addresses of this machine in its own network, IPv4. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flat()
    .flatMap((i) => (i && i.family === 'IPv4' && !i.internal ? [i.address] : []));
}

/** Whether a name in a Host header is one of this machine's. `more` are names that its owner gave it. */
export function ownNames(more: readonly string[]): (name: string) => boolean {
  const fixed = new Set([
    'localhost',
    '127.0.0.1',
    '[::1]',
    hostname().toLowerCase(),
    `${hostname().toLowerCase()}.local`,
    ...more.map((name) => name.trim().toLowerCase()).filter((name) => name !== ''),
  ]);
  // Addresses change when a network is joined, so they are looked up anew.
  return (name) => fixed.has(name) || ownAddresses().includes(name);
}
