#!/usr/bin/env node
/**
 * Plays a CSV file to Ostrin as a sensor of your own would tell its readings: over HTTP, or over MQTT.
 *
 *   node scripts/playCsv.mjs readings.csv --to http://127.0.0.1:8642 --token TOKEN
 *   node scripts/playCsv.mjs readings.csv --mqtt mqtt://broker.local --instrument four-probes
 *
 * The file has a header: `at` (ISO 8601 or epoch ms) and one column for each channel. Lines are told as far apart as their
 * times are, `--speed` times as fast; their times are moved so that the first one is now. `--keep-times` leaves them.
 */
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import mqtt from 'mqtt';
import Papa from 'papaparse';

const { values: options, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    to: { type: 'string' },
    token: { type: 'string' },
    mqtt: { type: 'string' },
    instrument: { type: 'string' },
    username: { type: 'string' },
    password: { type: 'string' },
    speed: { type: 'string', default: '1' },
    'keep-times': { type: 'boolean', default: false },
  },
});

/** Ends with one sentence that says what to do. */
function giveUp(sentence) {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

const [file] = positionals;
if (!file) giveUp('Name a CSV file: node scripts/playCsv.mjs readings.csv --to URL --token TOKEN.');
if (options.to ? !options.token : !(options.mqtt && options.instrument)) {
  giveUp('Give --to with --token, or --mqtt with --instrument.');
}
const speed = Number(options.speed);
if (!(speed > 0)) giveUp('--speed must be a number over 0.');

const { data, errors } = Papa.parse(readFileSync(file, 'utf8'), {
  header: true,
  skipEmptyLines: true,
});
if (errors.length > 0) giveUp(`${file}, line ${(errors[0].row ?? 0) + 2}: ${errors[0].message}.`);
const lines = data.map(({ at, ...channels }, i) => {
  const ms = /^\d+$/.test(at) ? Number(at) : Date.parse(at);
  if (!Number.isFinite(ms)) giveUp(`${file}, line ${i + 2}: at must be a time, not "${at}".`);
  const values = Object.fromEntries(
    Object.entries(channels).map(([key, text]) => [key, text === '' ? null : Number(text)]),
  );
  return { ms, values };
});
if (lines.length === 0) giveUp(`${file} has no readings.`);

/** How one packet is sent. */
async function sender() {
  if (options.to) {
    return async (packet) => {
      const res = await fetch(new URL('/api/wire', options.to), {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${options.token}` },
        body: JSON.stringify(packet),
      });
      if (!res.ok) giveUp(`The server answered ${res.status}: ${await res.text()}`);
    };
  }
  const { username, password } = options;
  const client = await mqtt.connectAsync(options.mqtt, { username, password });
  process.on('exit', () => client.end(true));
  const topic = `ostrin/instruments/${options.instrument}`;
  return (packet) => client.publishAsync(topic, JSON.stringify(packet), { qos: 1 });
}

const send = await sender();
const began = Date.now();
const first = lines[0].ms;
for (const { ms, values } of lines) {
  const due = began + (ms - first) / speed;
  await new Promise((done) => setTimeout(done, Math.max(0, due - Date.now())));
  await send({ at: options['keep-times'] ? ms : Math.round(due), values });
}
process.stdout.write(`Told ${lines.length} lines.\n`);
process.exit(0);
