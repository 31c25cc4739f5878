/** Starts the server: `PORT` (8642), `OSTRIN_DB` (data/ostrin.sqlite), `OSTRIN_WEB`, `OSTRIN_DEMO=1`. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import pino from 'pino';
import { createApp } from './app';
import { loadDemo } from './demo/loadDemo';
import { openDatabase } from './store/db';

const root = path.resolve(import.meta.dirname, '../../..');
const port = Number(process.env.PORT ?? 8642);
const file = process.env.OSTRIN_DB ?? path.join(root, 'data/ostrin.sqlite');
const webDir = process.env.OSTRIN_WEB ?? path.join(root, 'apps/app/dist');
const logger = pino({ level: process.env.LOG_LEVEL ?? 'info' }, pino.destination(2));

if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true });
const db = await openDatabase(file);
if (process.env.OSTRIN_DEMO === '1') {
  const added = await loadDemo(db, Date.now());
  if (added > 0) process.stdout.write(`Loaded the demo world: ${added} past cooks.\n`);
}
const { app, clocks, hub } = createApp({ db, logger, webDir });
await clocks.start();

// Only this machine: opening it to the home network comes with a passcode.
const server = app.listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    process.stderr.write(`Cannot listen on port ${port}: ${error.message}. Set PORT to another.\n`);
    process.exit(1);
  }
  process.stdout.write(`Ostrin is ready at http://127.0.0.1:${port}\n`);
});

async function stop(): Promise<void> {
  hub.close();
  server.close();
  await clocks.stop();
  await db.destroy();
  process.exit(0);
}
process.on('SIGINT', () => void stop());
process.on('SIGTERM', () => void stop());
