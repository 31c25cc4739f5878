/** Starts the server. What it takes stands in `start/settings.ts` and in the README. */
import { mkdirSync } from 'node:fs';
import { HOUR_MS } from '@ostrin/core/quantity';
import http from 'node:http';
import https from 'node:https';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import type { Knex } from 'knex';
import pino from 'pino';
import { createApp, photographFolder } from './app';
import { ASIDE, photographStore } from './photographs/photographStore';
import { startMqtt } from './start/startMqtt';
import { loadDemo } from './demo/loadDemo';
import { houseOf, houseWords, passcodeOf, tlsOf } from './start/openHouse';
import { readSettings, type Settings } from './start/settings';
import { clearWork } from './record/workFolder';
import { startProblem } from './start/startProblem';
import { keepCopies, restoreRecord } from './store/backup';
import { cookStore } from './store/cooks';
import { closeDatabase, openDatabase } from './store/db';
import { Pools } from './workers/pools';

const root = path.resolve(import.meta.dirname, '../../..');
/** A line that nothing uses stays open so long, ms: a phone asks again on it, and meets no line just being closed. */
const KEPT_MS = 75_000;
/** A large archive over a slow line takes longer to arrive than the five minutes that Node waits, ms. */
const UPLOAD_MS = 3_600_000;

/** The record, its copies, photographs and keys are for the eyes of their owner alone. */
const OWNER_ALONE = 0o077;

async function start(settings: Settings): Promise<void> {
  process.umask(OWNER_ALONE);
  const { file, port, host, webDir, home, names } = settings;
  const logger = pino({ level: settings.logLevel }, pino.destination(2));
  if (file !== ':memory:') mkdirSync(path.dirname(file), { recursive: true });
  if (settings.restore !== null) {
    const before = restoreRecord(settings.restore, file, Date.now());
    if (before !== null) process.stdout.write(`What was there before is kept as ${before}\n`);
  }
  const onDisk = file === ':memory:' ? undefined : file;
  const tls = await tlsOf(settings);
  const db = await openDatabase(file);
  if (onDisk) clearWork(onDisk);
  const cooks = cookStore(db);
  await cooks.noteDay(Date.now());
  await tidyPhotographs(db, onDisk, await cooks.forgetDeleted(Date.now()));
  if (settings.demo) {
    const added = await loadDemo(db, Date.now());
    if (added > 0) process.stdout.write(`Loaded the demo world: ${added} past cooks.\n`);
  }
  const passcode = home ? await passcodeOf(db, settings) : null;
  const house = houseOf(settings, port, tls !== null);
  const pools = new Pools((err) => logger.error({ err }, 'a thread failed'));
  const authority = tls?.authority ?? null;
  const parts = createApp({
    db,
    file: onDisk,
    logger,
    pools,
    webDir,
    house,
    names,
    authority,
  });
  const { app, clocks, hub } = parts;
  await clocks.start();
  const stopCopies = onDisk
    ? keepCopies(onDisk, (err) => logger.error({ err }, 'no copy was made'))
    : () => undefined;
  const noteDay = (): void =>
    void cooks.noteDay(Date.now()).catch((err: unknown) => logger.error({ err }, 'no day noted'));
  const days = setInterval(noteDay, HOUR_MS);
  const mqtt = await startMqtt(settings, parts, (message, err) => logger.warn({ err }, message));
  const server = tls ? https.createServer(tls, app) : http.createServer(app);
  server.keepAliveTimeout = KEPT_MS;
  server.requestTimeout = UPLOAD_MS;
  await new Promise<void>((done, failed) => {
    server.once('error', failed);
    server.listen(port, host, done);
  });
  const self = host === '0.0.0.0' ? '127.0.0.1' : host;
  const { port: at } = server.address() as AddressInfo;
  process.stdout.write(`Ostrin is ready at ${tls ? 'https' : 'http'}://${self}:${at}\n`);
  // Cooks of a log that an older version kept: nobody waits for them, and the list is told again.
  void cooks
    .fillGlances((err, cook) => logger.error({ err, cook }, 'a cook could not be summed up'))
    .then((filled) => (filled > 0 ? hub.tell({ type: 'changed', what: 'cooks' }) : undefined))
    .catch((err: unknown) => logger.error({ err }, 'cooks could not be summed up'));
  if (home) process.stdout.write(await houseWords(house, passcode));
  if (mqtt.port !== null)
    process.stdout.write(`Sensors reach its MQTT broker at port ${mqtt.port}\n`);

  const stop = async (): Promise<void> => {
    await mqtt.stop();
    hub.close();
    stopCopies();
    clearInterval(days);
    server.close();
    await clocks.stop();
    await pools.close();
    await closeDatabase(db);
    process.exit(0);
  };
  process.on('SIGINT', () => void stop());
  process.on('SIGTERM', () => void stop());
}

/** Puts the photographs of a database in order: those of forgotten cooks go, those that are no cook's are put aside. */
async function tidyPhotographs(
  db: Knex,
  file: string | undefined,
  forgotten: { photographs: readonly string[] },
): Promise<void> {
  const folder = photographFolder(file);
  const store = photographStore(db, folder);
  for (const id of forgotten.photographs) await store.removeFile(id);
  // Databases of one folder shared one for their photographs.
  if (file) await store.adopt(path.join(path.dirname(file), 'photographs'));
  const aside = await store.tidy();
  if (aside > 0) {
    process.stdout.write(
      `Put aside ${aside} photographs that belong to no cook: ${path.join(folder, ASIDE)}\n`,
    );
  }
}

function giveUp(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

let settings: Settings;
try {
  settings = readSettings(process.env, process.argv.slice(2), root);
} catch (error) {
  giveUp(`${(error as Error).message}.`);
}
await start(settings).catch((error: unknown) => giveUp(startProblem(error, settings)));
