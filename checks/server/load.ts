/** Many cooks at full speed with many watchers, and the same after a night in which the machine slept. */
import { HOUR_MS } from '@ostrin/core/quantity';
import { beginCook, percentile, type MeasuredServer } from './measured';

const COOKS = 20;
const STREAMS = 100;
const START = Date.UTC(2027, 4, 15, 8);

/** Cooks under way at 240 times life, each lit. */
async function beginAll(server: MeasuredServer, plan: unknown): Promise<string[]> {
  const ids: string[] = [];
  for (let i = 0; i < COOKS; i++) {
    const id = await beginCook(server, plan, `pit ${i}`);
    const { clock } = JSON.parse((await server.ask('GET', `/api/cooks/${id}`))!.text) as {
      clock: { cookMs: number };
    };
    const action = { do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 1 };
    const light = {
      id: crypto.randomUUID(),
      at: clock.cookMs,
      kind: 'act',
      jobId: 'light',
      action,
    };
    await server.ask('POST', `/api/cooks/${id}/entries`, JSON.stringify({ entries: [light] }));
    await server.ask('PUT', `/api/cooks/${id}/clock`, JSON.stringify({ speed: 240 }));
    ids.push(id);
  }
  return ids;
}

/** Asks and posts as a crew does, for so long; how long each took, ms. */
async function crew(server: MeasuredServer, ids: readonly string[], forMs: number) {
  const reads: number[] = [];
  const posts: number[] = [];
  const until = performance.now() + forMs;
  for (let i = 0; performance.now() < until; i++) {
    const id = ids[i % ids.length]!;
    for (const at of ['/api/cooks', '/api/pits', '/api/shelf', '/api/health']) {
      reads.push((await server.ask('GET', at))!.ms);
    }
    const entry = { id: crypto.randomUUID(), at: START + i, kind: 'note', text: 'thin blue' };
    const body = JSON.stringify({ entries: [entry] });
    posts.push((await server.ask('POST', `/api/cooks/${id}/entries`, body))!.ms);
    await new Promise((done) => setTimeout(done, 5));
  }
  return { reads, posts };
}

/** Whether all cooks have read up to their clocks, which have stopped. */
async function caughtUp(server: MeasuredServer, ids: readonly string[]): Promise<boolean> {
  for (const id of ids) {
    const csv = (await server.ask('GET', `/api/cooks/${id}/readings.csv`))!.text;
    const last = Date.parse(csv.trimEnd().split('\r\n').at(-1)!.split(',')[0]!);
    const { startMs } = JSON.parse(
      (await server.ask('GET', `/api/cooks/${id}/cook.json`))!.text,
    ) as {
      startMs: number;
    };
    if (last < startMs + 7 * 24 * HOUR_MS - 60_000) return false;
  }
  return true;
}

/** Twenty live cooks at 240 times life, watched by the server too, with a hundred streams, then eight hours of sleep. */
export async function loadRuns(server: MeasuredServer, plan: unknown, forMs: number) {
  const ids = await beginAll(server, plan);
  const streams = Array.from({ length: STREAMS }, () => server.stream('/api/events'));
  await new Promise((done) => setTimeout(done, 1500));
  const { reads, posts } = await crew(server, ids, forMs);
  const estimatesTold = streams[0]!.states();
  const heardKb = streams.map((s) => Math.round(s.bytes() / 1000));
  server.setClockAhead(8 * HOUR_MS);
  const slept = performance.now();
  const waits: number[] = [];
  let done = false;
  for (let i = 0; !done && performance.now() - slept < 180_000; i++) {
    const after = await crew(server, ids, 500);
    waits.push(...after.reads, ...after.posts);
    // Looking is dear: it reads every cook whole.
    if (i % 8 === 7) done = await caughtUp(server, ids);
  }
  for (const s of streams) s.close();
  return {
    cooks: COOKS,
    streams: STREAMS,
    /** Estimates that the server's own watch made of these cooks meanwhile, in its worker. */
    estimatesTold,
    leastHeardOnAStreamKb: Math.min(...heardKb),
    apiP99Ms: percentile(reads, 0.99),
    postsP99Ms: percentile(posts, 0.99),
    sleepHours: 8,
    caughtUp: done,
    caughtUpAfterS: Number(((performance.now() - slept) / 1000).toFixed(1)),
    longestWhileCatchingUpMs: percentile(waits, 1),
  };
}
