/** Readings from an MQTT broker, and readings, state and alarms to it. */
import { readPackets, type Instrument, type LiveEvent } from '@ostrin/contract';
import mqtt, { type MqttClient } from 'mqtt';
import type { InstrumentStore } from '../store/instruments';
import type { Hub } from './hub';
import { COOKS_OF, packetOf, sourcesOf, topicsOf } from './mqttTopics';
import { tellsTemperature } from './readWire';
import type { WireIntake } from './wireIntake';

/** What a bridge works with. */
export interface BridgeParts {
  instruments: InstrumentStore;
  intake: WireIntake;
  hub: Hub;
  now: () => number;
  /** Told of what could not be read or done. */
  onProblem: (message: string, error?: unknown) => void;
}

/** The longest payload that is read, bytes. */
const MOST_BYTES = 100_000;

/** Connects to a broker, again and again while it is away. Returns how to stop. */
export function bridgeTo(url: string, parts: BridgeParts): () => Promise<void> {
  const { instruments, hub, onProblem } = parts;
  const client = mqtt.connect(url, { reconnectPeriod: 2_000, connectTimeout: 10_000 });
  let known: Instrument[] = [];
  let listened: string[] = [];
  const listen = async (): Promise<void> => {
    known = await instruments.list();
    const wanted = topicsOf(known);
    const gone = listened.filter((t) => !wanted.includes(t));
    if (gone.length > 0) await client.unsubscribeAsync(gone);
    await client.subscribeAsync(wanted, { qos: 1 });
    listened = wanted;
  };
  const relisten = (): void => {
    if (client.connected) listen().catch((e: unknown) => onProblem('topics not listened to', e));
  };
  // Cooks that ended while the broker was away.
  const ended = new Set<string>();
  client.on('connect', () => {
    relisten();
    for (const cookId of ended) clearCook(client, cookId);
    ended.clear();
  });
  client.on('error', (e) => onProblem('the broker cannot be used', e));
  client.on('message', (topic, payload) => {
    take(parts, known, topic, payload).catch((e: unknown) => onProblem(`${topic} not taken`, e));
  });
  const stopHearing = hub.hear((event) => {
    if (event.type === 'changed' && event.what === 'instruments') relisten();
    if (event.type === 'over' && !client.connected) ended.add(event.cookId);
    publish(client, event);
  });
  return async () => {
    stopHearing();
    await client.endAsync(true);
  };
}

/** Takes one message for every channel or instrument that it is of. What cannot be read is told, and left. */
async function take(
  { intake, now, onProblem }: BridgeParts,
  known: readonly Instrument[],
  topic: string,
  payload: Buffer,
): Promise<void> {
  if (payload.length > MOST_BYTES) throw new RangeError('the payload is too large');
  const text = payload.toString('utf8');
  for (const { instrument, channel } of sourcesOf(topic, known)) {
    const plain = channel ? packetOf(channel, text) : (JSON.parse(text) as unknown);
    const read = readPackets(plain, now(), tellsTemperature(instrument));
    if (read.ok) await intake.take(instrument.id, read.value);
    else onProblem(`${topic}: ${read.problems.map((p) => `${p.field} ${p.message}`).join('; ')}`);
  }
}

/** Tells a broker what happens. State and alarms stay there for whoever comes later; readings pass. */
function publish(client: MqttClient, event: LiveEvent): void {
  if (!client.connected) return;
  if (event.type === 'readings') {
    const last = event.readings.at(-1);
    if (last) client.publish(`${COOKS_OF}${event.cookId}/reading`, JSON.stringify(last));
  } else if (event.type === 'state') {
    const { cookId, state } = event;
    client.publish(`${COOKS_OF}${cookId}/state`, JSON.stringify(state), { retain: true, qos: 1 });
  } else if (event.type === 'over') {
    clearCook(client, event.cookId);
  } else if (event.type === 'alarms') {
    const { cookId, alarms } = event;
    client.publish(`${COOKS_OF}${cookId}/alarm`, JSON.stringify(alarms), { retain: true, qos: 1 });
  }
}

/** Takes what a broker keeps of a cook away: an empty message that stays takes the place of the one before, and is none. */
function clearCook(client: MqttClient, cookId: string): void {
  for (const what of ['state', 'alarm']) {
    client.publish(`${COOKS_OF}${cookId}/${what}`, '', { retain: true, qos: 1 });
  }
}
