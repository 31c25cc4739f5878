/** A server of its own to be measured: started from the build, killed, and asked over HTTP. */
import { fork, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { Agent, request } from 'node:http';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Where the server is built to, from the folder of the project. */
const MAIN = 'apps/server/dist/measuredServer.js';

/** An answer, as much of it as measuring needs. */
export interface Answer {
  status: number;
  data: Buffer;
  /** The same as text. */
  readonly text: string;
  ms: number;
}

export class MeasuredServer {
  private child: ChildProcess | null = null;
  private readonly folder = mkdtempSync(path.join(tmpdir(), 'ostrin-measured-'));
  private readonly agent = new Agent({ keepAlive: true, maxSockets: 64 });

  constructor(
    private readonly root: string,
    readonly port: number,
  ) {}

  /** Starts it and waits until it listens. */
  async start(): Promise<void> {
    const child = fork(path.join(this.root, MAIN), {
      env: {
        ...process.env,
        PORT: String(this.port),
        OSTRIN_DB: path.join(this.folder, 'measured.sqlite'),
      },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    this.child = child;
    await new Promise<void>((done, failed) => {
      child.once('message', () => done());
      child.once('exit', () => failed(new Error('the measured server did not start')));
    });
  }

  /** Kills it as a power cut would. */
  async kill(): Promise<void> {
    const child = this.child!;
    const gone = new Promise((done) => child.once('exit', done));
    child.kill('SIGKILL');
    await gone;
  }

  /** Sets its clock forward, ms. */
  setClockAhead(aheadMs: number): void {
    this.child!.send({ aheadMs });
  }

  /** Room that its database takes on disk, with what is not yet written through. */
  databaseBytes(): number {
    return readdirSync(this.folder)
      .filter((name) => name.startsWith('measured.sqlite'))
      .reduce((sum, name) => sum + statSync(path.join(this.folder, name)).size, 0);
  }

  /** The most memory that it has taken so far, MB; NaN where the system does not say. */
  peakMb(): number {
    const file = `/proc/${this.child!.pid}/status`;
    const peak = existsSync(file) && /VmHWM:\s+(\d+) kB/.exec(readFileSync(file, 'utf8'));
    return peak ? Math.round(Number(peak[1]) / 1024) : NaN;
  }

  /** Kills it and removes what it kept. */
  async end(): Promise<void> {
    await this.kill();
    this.agent.destroy();
    rmSync(this.folder, { recursive: true, force: true });
  }

  /** One request; resolves to null where there was no answer. */
  ask(
    method: string,
    at: string,
    body?: string | Buffer,
    type = 'application/json',
    token?: string,
  ): Promise<Answer | null> {
    const began = performance.now();
    return new Promise((done) => {
      const req = request(
        {
          host: '127.0.0.1',
          port: this.port,
          path: at,
          method,
          agent: this.agent,
          headers: {
            ...(body === undefined
              ? {}
              : { 'Content-Type': type, 'Content-Length': Buffer.byteLength(body) }),
            ...(token === undefined ? {} : { Authorization: `Bearer ${token}` }),
          },
        },
        (res) => {
          const parts: Buffer[] = [];
          res.on('data', (d: Buffer) => parts.push(d));
          res.on('error', () => done(null));
          res.on('end', () =>
            done({
              status: res.statusCode!,
              data: Buffer.concat(parts),
              get text() {
                return this.data.toString();
              },
              ms: performance.now() - began,
            }),
          );
        },
      );
      req.on('error', () => done(null));
      req.end(body);
    });
  }

  /** Opens an event stream and counts what comes over it: bytes, and estimates told. Returns the counts and how to close it. */
  stream(at: string): { bytes: () => number; states: () => number; close: () => void } {
    let bytes = 0;
    let states = 0;
    const req = request({ host: '127.0.0.1', port: this.port, path: at, agent: false }, (res) => {
      res.on('data', (d: Buffer) => {
        bytes += d.length;
        states += d.toString().split('"type":"state"').length - 1;
      });
      res.on('error', () => undefined);
    });
    req.on('error', () => undefined);
    req.end();
    return { bytes: () => bytes, states: () => states, close: () => req.destroy() };
  }
}

/** Asks for something small all the time and keeps the longest wait: what a person at the page would wait. */
export function watchStalls(
  server: MeasuredServer,
  { paths = ['/api/health'], everyMs = 10 }: { paths?: readonly string[]; everyMs?: number } = {},
): { stop: () => Promise<number> } {
  let longest = 0;
  let running = true;
  const watching = (async () => {
    for (let i = 0; running; i++) {
      const answer = await server.ask('GET', paths[i % paths.length]!);
      if (answer) longest = Math.max(longest, answer.ms);
      await new Promise((done) => setTimeout(done, everyMs));
    }
  })();
  return {
    async stop() {
      running = false;
      await watching;
      return Math.round(longest);
    },
  };
}

/** Begins a cook; returns its id. */
export async function beginCook(
  server: MeasuredServer,
  plan: unknown,
  pitName: string,
  fire: 'practice' | 'real' = 'practice',
): Promise<string> {
  const id = crypto.randomUUID();
  const body = JSON.stringify({ name: 'Measured', pitName, plan, fire });
  const answer = await server.ask('PUT', `/api/cooks/${id}`, body);
  if (answer?.status !== 201) throw new Error(`no cook: ${answer?.status} ${answer?.text}`);
  return id;
}

/** Share of the way up a list of numbers; 0 for none. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return Number(
    (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0).toFixed(1),
  );
}
