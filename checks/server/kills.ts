/** The server killed in the middle of writes by two devices: what was acknowledged is there, once. */
import { seeded } from '@ostrin/core/quantity';
import { beginCook, type MeasuredServer } from './measured';

interface Tap {
  id: string;
  at: number;
  kind: 'note';
  text: string;
}

/** Longest that a server lives between two kills, ms. */
const LIFE_MS = 220;
const START = Date.UTC(2027, 4, 15, 8);

/** Kills the server so often; counts taps, and those lost or doubled of the acknowledged ones. */
export async function killRuns(server: MeasuredServer, plan: unknown, kills: number, seed: number) {
  const random = seeded(seed);
  const cooks = [await beginCook(server, plan, 'left'), await beginCook(server, plan, 'right')];
  const acknowledged = new Map<string, string>();
  let stopped = false;
  let up = true;
  let made = 0;
  // Each device keeps a tap until it is acknowledged, as the app's outbox does.
  const device = async (name: string): Promise<void> => {
    const waiting: { cook: string; tap: Tap }[] = [];
    while (!stopped || waiting.length > 0) {
      if (!stopped && waiting.length < 20) {
        const tap: Tap = {
          id: crypto.randomUUID(),
          at: START + made * 1000,
          kind: 'note',
          text: `${name} ${made++}`,
        };
        waiting.push({ cook: cooks[Math.floor(random.next() * 2)]!, tap });
      }
      if (!up) {
        await new Promise((done) => setTimeout(done, 10));
        continue;
      }
      const { cook, tap } = waiting[0]!;
      const body = JSON.stringify({ entries: [tap] });
      const answer = await server.ask('POST', `/api/cooks/${cook}/entries`, body);
      if (answer && answer.status < 300) {
        acknowledged.set(tap.id, cook);
        waiting.shift();
      } else if (answer) throw new Error(`a good tap was refused: ${answer.status} ${answer.text}`);
    }
  };
  const devices = Promise.all([device('house'), device('yard')]);
  for (let i = 0; i < kills; i++) {
    await new Promise((done) => setTimeout(done, 20 + random.next() * LIFE_MS));
    up = false;
    await server.kill();
    await server.start();
    up = true;
  }
  stopped = true;
  await devices;
  const stored: string[] = [];
  for (const cook of cooks) {
    const answer = await server.ask('GET', `/api/cooks/${cook}`);
    const doc = JSON.parse(answer!.text) as { entries: { id: string }[] };
    stored.push(...doc.entries.map((e) => `${cook} ${e.id}`));
  }
  const distinct = new Set(stored);
  return {
    kills,
    acknowledged: acknowledged.size,
    lost: [...acknowledged].filter(([id, cook]) => !distinct.has(`${cook} ${id}`)).length,
    doubled: stored.length - distinct.size,
  };
}
