/** Bodies that are too large, too wide or too deep are refused before they cost anything. */
import fc from 'fast-check';
import { shapeFault } from '../src/http/shape';
import { begin, call, startServer, type TestServer } from './help';

let server: TestServer;
let id: string;
beforeAll(async () => {
  server = await startServer();
  id = await begin(server.url);
});
afterAll(() => server.stop());

const entries = (): string => `${server.url}/api/cooks/${id}/entries`;

it.each([
  ['import of empty readings', '/api/imports', `{"readings":[${'{},'.repeat(5_000_000)}{}]}`],
  ['list of empty entries', '/api/cooks/ID/entries', `{"entries":[${'{},'.repeat(300_000)}{}]}`],
  ['deep list', '/api/cooks/ID/entries', `{"entries":${'['.repeat(10_000)}${']'.repeat(10_000)}}`],
  ['deep object', '/api/pits/deep', `${'{"a":'.repeat(10_000)}1${'}'.repeat(10_000)}`],
  [
    'wide object',
    '/api/shelf',
    `{${Array.from({ length: 15_000 }, (_, i) => `"k${i}":1`).join()}}`,
  ],
  ['list in a list', '/api/cooks/ID/entries', '{"entries":[[]]}'],
  ['null in a list', '/api/cooks/ID/entries', '{"entries":[null]}'],
  ['list of a body', '/api/shelf', '[]'],
  ['nothing', '/api/shelf', ''],
  ['half a body', '/api/shelf', '{"fuelOnHand": ['],
])('refuses a %s at once, in few words', async (_name, path, body) => {
  const method = path.endsWith('entries') || path.endsWith('imports') ? 'POST' : 'PUT';
  const res = await fetch(server.url + path.replace('ID', id), {
    method,
    body,
    headers: { 'Content-Type': 'application/json' },
  });
  const text = await res.text();
  expect([400, 413, 422]).toContain(res.status);
  expect(text.length).toBeLessThan(4000);
  expect(text).not.toMatch(/node_modules|\.ts\b|\.js\b|\n\s+at /);
  expect((JSON.parse(text).errors ?? []).length).toBeLessThanOrEqual(20);
});

it('tells at most twenty problems of many', async () => {
  const res = await call(entries(), 'POST', { entries: Array(200).fill({ kind: 'note' }) });
  expect(res.status).toBe(422);
  expect(res.json.errors).toHaveLength(20);
});

it('measures a body as a parser would read it', () => {
  fc.assert(
    fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
      const text = JSON.stringify(value);
      const depth = (v: unknown): number =>
        typeof v === 'object' && v !== null ? 1 + Math.max(0, ...Object.values(v).map(depth)) : 0;
      const commas = (v: unknown): number => {
        if (typeof v !== 'object' || v === null) return 0;
        const own = Object.values(v);
        return Math.max(0, own.length - 1) + own.reduce<number>((n, x) => n + commas(x), 0);
      };
      expect(shapeFault(Buffer.from(text), commas(value))).toBeNull();
      if (commas(value) > 0)
        expect(shapeFault(Buffer.from(text), commas(value) - 1)).not.toBeNull();
      expect(depth(value)).toBeLessThan(40);
    }),
  );
});
