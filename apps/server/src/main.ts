/** Starts the server: `PORT` (8642), `OSTRIN_DB` (data/ostrin.sqlite), `OSTRIN_WEB`, `OSTRIN_DEMO=1`. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import pino from 'pino';
import { createApp } from './app';
import { loadDemo } from './demo/loadDemo';
import { startProblem } from './start/startProblem';
import { closeDatabase, openDatabase } from './store/db';
import { Pools } from './workers/pools';

const root = path.resolve(import.meta.dirname, '../../..');
const settings = {
  port: Number(process.env.PORT ?? 8642),
  // Only this machine.
  host: '127.0.0.1',
  file: process.env.OSTRIN_DB ?? path.join(root, 'data/ostrin.sqlite'),
};
const webDir = process.env.OSTRIN_WEB ?? path.join(root, 'apps/app/dist');
const logger = pino({ level: process.env.LOG_LEVEL ?? 'info' }, pino.destination(2));

function giveUp(error: unknown): never {
  process.stderr.write(`${startProblem(error, settings)}\n`);
  process.exit(1);
}

async function start(): Promise<void> {
  const { file, port, host } = settings;
  if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true });
  const db = await openDatabase(file);
  if (process.env.OSTRIN_DEMO === '1') {
    const added = await loadDemo(db, Date.now());
    if (added > 0) process.stdout.write(`Loaded the demo world: ${added} past cooks.\n`);
  }
  const pools = new Pools((err) => logger.error({ err }, 'a thread failed'));
  const { app, clocks, hub } = createApp({ db, logger, pools, webDir });
  await clocks.start();
  const server = app.listen(port, host, (error?: Error) => {
    if (error) giveUp(error);
    process.stdout.write(`Ostrin is ready at http://${host}:${port}\n`);
  });
  const stop = async (): Promise<void> => {
    hub.close();
    server.close();
    await clocks.stop();
    await pools.close();
    await closeDatabase(db);
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
}

await start().catch(giveUp);
