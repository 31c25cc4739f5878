/**
 * Runs a stand-in for an instrument: it tells the readings of a simulated cook to a server as the real one would.
 *
 *   npm run stand-in -- thermometer --to http://127.0.0.1:8642 --token TOKEN --falls-off 90 --drop-out 0.02
 */
import { parseArgs } from 'node:util';
import { standInPackets, STAND_INS, type StandInKind } from './instruments/standIns';

const { values: o, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    to: { type: 'string', default: 'http://127.0.0.1:8642' },
    token: { type: 'string' },
    /** Seconds between two packets. */
    every: { type: 'string', default: '10' },
    minutes: { type: 'string', default: '720' },
    seed: { type: 'string', default: '1' },
    /** What is told at once, as if it had run before: so many minutes of the past. */
    past: { type: 'string', default: '0' },
    drift: { type: 'string' },
    'drop-out': { type: 'string' },
    'battery-dead': { type: 'string' },
    'out-of-order': { type: 'string' },
    double: { type: 'string' },
    'falls-off': { type: 'string' },
  },
});

function giveUp(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

/** A number behind an option; undefined where it was not given. */
function numberOf(name: keyof typeof o): number | undefined {
  const text = o[name];
  if (text === undefined) return undefined;
  const value = Number(text);
  if (!Number.isFinite(value) || value < 0) giveUp(`--${name} must be a number of 0 or more.`);
  return value;
}

const kind = positionals[0] as StandInKind;
if (!STAND_INS.includes(kind)) giveUp(`Name what stands in: ${STAND_INS.join(', ')}.`);
if (!o.token)
  giveUp('Give the token of an instrument: --token TOKEN (Yard, Thermometers and sensors).');
const pastMs = 60_000 * numberOf('past')!;
const packets = standInPackets({
  kind,
  litMs: Date.now() - pastMs,
  minutes: numberOf('minutes')!,
  everyS: Math.max(1, numberOf('every')!),
  seed: numberOf('seed')!,
  faults: {
    driftKPerH: numberOf('drift'),
    dropOut: numberOf('drop-out'),
    batteryDeadMin: numberOf('battery-dead'),
    outOfOrder: numberOf('out-of-order'),
    double: numberOf('double'),
    fallsOffMin: numberOf('falls-off'),
  },
});

/** Tells some packets; a server that is away is tried again. */
async function tell(some: typeof packets): Promise<void> {
  for (;;) {
    try {
      const res = await fetch(new URL('/api/wire', o.to), {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', Authorization: `Bearer ${o.token}` },
        body: JSON.stringify({ packets: some }),
      });
      if (res.ok) return;
      giveUp(`The server answered ${res.status}: ${await res.text()}`);
    } catch {
      await new Promise((done) => setTimeout(done, 2_000));
    }
  }
}

const MOST_AT_ONCE = 1_000;
const past = packets.filter((p) => p.at <= Date.now());
for (let i = 0; i < past.length; i += MOST_AT_ONCE) await tell(past.slice(i, i + MOST_AT_ONCE));
for (const packet of packets.slice(past.length)) {
  await new Promise((done) => setTimeout(done, Math.max(0, packet.at - Date.now())));
  await tell([packet]);
}
