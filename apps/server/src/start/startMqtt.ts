/** MQTT, where the server was told of it: to the user's broker, to one of our own, or to both. */
import { randomBytes } from 'node:crypto';
import type { CookWatch } from '../live/cookWatch';
import type { BridgeParts } from '../live/mqttBridge';
import type { Settings } from './settings';

/** What runs of it. */
interface Mqtt {
  /** Port of our own broker; null where there is none. */
  port: number | null;
  stop(): Promise<void>;
}

/** Starts what the settings ask for; nothing where they ask for nothing. */
export async function startMqtt(
  { mqttUrl, mqttPort, host }: Pick<Settings, 'mqttUrl' | 'mqttPort' | 'host'>,
  parts: Pick<BridgeParts, 'instruments' | 'intake' | 'hub'> & { watch: CookWatch },
  onProblem: BridgeParts['onProblem'],
): Promise<Mqtt> {
  if (mqttUrl === null && mqttPort === null) return { port: null, stop: () => Promise.resolve() };
  // Its packages take time to load: only where MQTT is asked for.
  const [{ openBroker }, { bridgeTo }] = await Promise.all([
    import('../live/mqttBroker'),
    import('../live/mqttBridge'),
  ]);
  const own =
    mqttPort === null
      ? null
      : await openBroker(mqttPort, host, parts.instruments, randomBytes(24).toString('base64url'));
  const urls = [mqttUrl, own?.url ?? null].filter((url) => url !== null);
  const bridges = urls.map((url) => bridgeTo(url, { ...parts, now: Date.now, onProblem }));
  // State and alarms are worked out where somebody outside hears of them.
  parts.watch.start();
  return {
    port: own?.port ?? null,
    stop: async () => {
      await parts.watch.stop();
      await Promise.all(bridges.map((stop) => stop()));
      await own?.stop();
    },
  };
}
