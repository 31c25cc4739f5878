/** Requests that nobody should make: deep, wide, huge, broken and nearly right ones. */
import { seeded } from '@ostrin/core/quantity';
import { beginCook, watchStalls, type MeasuredServer } from './measured';

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE', 'PATCH', 'OPTIONS'];
const TYPES = [
  'application/json',
  'application/json; charset=utf-16',
  'text/plain',
  'application/x-www-form-urlencoded',
  '',
];
const START = Date.UTC(2027, 4, 15, 8);

/** Makes requests from chance. */
class Requests {
  constructor(
    private readonly random: ReturnType<typeof seeded>,
    private readonly cook: string,
    private readonly plan: object,
  ) {}

  private pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.random.next() * list.length)]!;
  }

  private text(): string {
    return this.pick([
      '',
      ' ',
      'x',
      '-1',
      '1e999',
      '\\u0000',
      '💥',
      "'; DROP TABLE cooks;--",
      '../../etc',
      '__proto__',
      '<b>',
      'x'.repeat(3000),
    ]);
  }

  /** A value of no particular shape. */
  private value(depth = 0): unknown {
    const scalars = [null, true, 0, -1, 1e308, 0.1, START, this.text()];
    if (depth > 4 || this.random.next() < 0.5) return this.pick(scalars);
    const size = Math.floor(this.random.next() * 5);
    return this.random.next() < 0.5
      ? Array.from({ length: size }, () => this.value(depth + 1))
      : Object.fromEntries(Array.from({ length: size }, () => [this.key(), this.value(depth + 1)]));
  }

  private key(): string {
    return this.pick([
      'entries',
      'plan',
      'name',
      'id',
      'at',
      'kind',
      'action',
      'do',
      'readings',
      'overrides',
      'preset',
      'request',
      '__proto__',
      'constructor',
      'toString',
      this.text(),
    ]);
  }

  private path(): string {
    const id = this.pick([
      this.cook,
      crypto.randomUUID(),
      'x',
      '%00',
      '%E0%A4%A',
      '..%2f..',
      encodeURIComponent(this.text()),
    ]);
    return this.pick([
      '/',
      '/api',
      '/api/cooks',
      `/api/cooks/${id}`,
      `/api/cooks/${id}/entries`,
      `/api/cooks/${id}/clock`,
      `/api/cooks/${id}/cook.json`,
      `/api/cooks/${id}/readings.csv`,
      '/api/imports',
      '/api/pits',
      `/api/pits/${id}`,
      '/api/plans',
      `/api/plans/${id}`,
      '/api/shelf',
      '/api/record',
      '/api/access',
      `/api/access/devices/${id}`,
      `/${id}`,
    ]);
  }

  /** A right document with one thing wrong in it. */
  private mutated(document: object): unknown {
    const copy = JSON.parse(JSON.stringify(document)) as Record<string, unknown>;
    let node: Record<string, unknown> = copy;
    for (let depth = 0; depth < 6; depth++) {
      const keys = Object.keys(node);
      if (keys.length === 0) break;
      const key = this.pick(keys);
      const child = node[key];
      if (typeof child === 'object' && child !== null && this.random.next() < 0.75) {
        node = child as Record<string, unknown>;
        continue;
      }
      node[key] = this.value();
      break;
    }
    return copy;
  }

  private entry(): object {
    const action = this.pick([
      { do: 'lid-open', seconds: 20 },
      { do: 'add-fuel', fuel: 'oak' },
      { do: 'meat-on', meat: 'nobody' },
      { do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 0.5 },
    ]);
    return { id: crypto.randomUUID(), at: START, kind: 'act', action };
  }

  /** A body, and now and then one that is far too large. */
  private body(): string {
    const chance = this.random.next();
    if (chance < 0.02) return `{"entries":${'['.repeat(20_000)}${']'.repeat(20_000)}}`;
    if (chance < 0.03) return `{"readings":[${'{},'.repeat(400_000)}{}]}`;
    if (chance < 0.035) return `{"entries":[${'{},'.repeat(250_000)}{}]}`;
    if (chance < 0.04) return `"${'x'.repeat(900_000)}"`;
    if (chance < 0.05) return `{${Array.from({ length: 9000 }, (_, i) => `"k${i}":${i}`).join()}}`;
    if (chance < 0.1) return JSON.stringify(this.value()).slice(0, -1);
    if (chance < 0.4)
      return JSON.stringify(this.mutated({ entries: [this.entry(), this.entry()] }));
    if (chance < 0.5)
      return JSON.stringify(this.mutated({ name: 'x', pitName: this.text(), plan: this.plan }));
    return JSON.stringify(this.value());
  }

  next(): { method: string; at: string; body?: string; type: string } {
    const method = this.pick(METHODS);
    const bare = method === 'GET' || method === 'HEAD';
    const type = this.random.next() < 0.85 ? TYPES[0]! : this.pick(TYPES);
    return { method, at: this.path(), type, ...(bare ? {} : { body: this.body() }) };
  }
}

/** Everything that is stored, as one text: what a refused request must not change. */
async function stored(server: MeasuredServer, cook: string): Promise<string> {
  const parts = [
    '/api/cooks',
    `/api/cooks/${cook}/cook.json`,
    '/api/pits',
    '/api/plans',
    '/api/shelf',
  ];
  const answers = await Promise.all(parts.map((at) => server.ask('GET', at)));
  return answers
    .map((a) => a?.text)
    .join('\n')
    .replace(/"readings":\[.*?\]/g, '');
}

/** How often what is stored is compared: after so many requests of which none was accepted. */
const LOOK_EVERY = 200;

/** Sends so many requests; counts answers of 5xx, the longest stall, and changes after refusals alone. */
export async function fuzzRuns(server: MeasuredServer, plan: object, count: number, seed: number) {
  const cook = await beginCook(server, plan, 'fuzzed');
  const requests = new Requests(seeded(seed), cook, plan);
  const stalls = watchStalls(server);
  const statuses: Record<string, number> = {};
  const faults: string[] = [];
  let storedAfterRefusal = 0;
  let noAnswer = 0;
  let before = await stored(server, cook);
  for (let i = 0; i < count; i += LOOK_EVERY) {
    let accepted = false;
    for (let j = 0; j < LOOK_EVERY; j++) {
      const { method, at, body, type } = requests.next();
      const answer = await server.ask(method, at, body, type);
      if (!answer) noAnswer++;
      const status = answer?.status ?? 0;
      const kind = `${Math.floor(status / 100)}xx`;
      statuses[kind] = (statuses[kind] ?? 0) + 1;
      accepted ||= status < 300 && method !== 'GET' && method !== 'HEAD';
      if (status >= 500) faults.push(`${method} ${at} ${status} ${body?.slice(0, 200) ?? ''}`);
    }
    const after = await stored(server, cook);
    if (!accepted && after !== before) storedAfterRefusal++;
    before = after;
  }
  return {
    requests: count,
    statuses,
    noAnswer,
    answersOf5xx: faults.length,
    faults: faults.slice(0, 5),
    longestStallMs: await stalls.stop(),
    storedAfterRefusal,
  };
}
