/** The server killed in the middle of a stream of taps: what it acknowledged is there, once. */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { call, planFor } from './help';

const root = path.resolve(__dirname, '../../..');
const folder = mkdtempSync(path.join(tmpdir(), 'ostrin-kill-'));
const port = 20000 + (process.pid % 20000);
const url = `http://127.0.0.1:${port}`;

async function start(): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'apps/server/src/main.ts'], {
    cwd: root,
    env: {
      ...process.env,
      PORT: String(port),
      OSTRIN_DB: path.join(folder, 'kill.sqlite'),
      LOG_LEVEL: 'silent',
      TSX_TSCONFIG_PATH: path.join(root, 'apps/server/tsconfig.json'),
    },
    stdio: 'ignore',
  });
  for (let i = 0; i < 200; i++) {
    const up = await call(`${url}/api/health`).catch(() => null);
    if (up?.status === 200) return child;
    await new Promise((done) => setTimeout(done, 150));
  }
  throw new Error('the server did not start');
}

const gone = (child: ChildProcess): Promise<void> =>
  new Promise((done) => {
    child.once('exit', () => done());
    child.kill('SIGKILL');
  });

afterAll(() => rmSync(folder, { recursive: true, force: true }));

it('keeps every acknowledged tap once through SIGKILL and retries', async () => {
  let child = await start();
  const id = randomUUID();
  await call(`${url}/api/cooks/${id}`, 'PUT', {
    name: 'Lunch',
    pitName: 'the Bosun',
    plan: planFor(),
  });
  const sent: { id: string; at: number; kind: string; text: string }[] = [];
  const acknowledged: string[] = [];
  const entries = `${url}/api/cooks/${id}/entries`;
  const stream = (async () => {
    for (let i = 0; i < 400; i++) {
      const tap = {
        id: randomUUID(),
        at: Date.UTC(2027, 4, 15, 8) + i * 1000,
        kind: 'note',
        text: `tap ${i}`,
      };
      sent.push(tap);
      try {
        const res = await call(entries, 'POST', { entries: [tap] });
        if (res.status === 201) acknowledged.push(tap.id);
      } catch {
        return;
      }
    }
  })();
  while (acknowledged.length < 25) await new Promise((done) => setTimeout(done, 5));
  await gone(child);
  await stream;
  expect(acknowledged.length).toBeGreaterThanOrEqual(25);
  expect(acknowledged.length).toBeLessThan(400);

  child = await start();
  const kept = ((await call(`${url}/api/cooks/${id}`)).json.entries as { id: string }[]).map(
    (e) => e.id,
  );
  for (const tap of acknowledged) expect(kept.filter((k) => k === tap)).toHaveLength(1);
  // The phone sends all it is not sure of again, under the same ids.
  for (const tap of sent)
    expect((await call(entries, 'POST', { entries: [tap] })).status).toBeLessThan(300);
  const after = ((await call(`${url}/api/cooks/${id}`)).json.entries as { id: string }[]).map(
    (e) => e.id,
  );
  expect(new Set(after).size).toBe(after.length);
  expect([...after].sort()).toEqual(sent.map((t) => t.id).sort());
  await gone(child);
}, 60_000);
