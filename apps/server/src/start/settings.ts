/** What the server is told at its start: by options and by the environment. */
import path from 'node:path';
import { parseArgs } from 'node:util';
import { plainCode } from '../access/accessStore';

export interface Settings {
  port: number;
  /** Address to listen at. */
  host: string;
  /** The database; `:memory:` for a scratch one. */
  file: string;
  /** Folder of the web export. */
  webDir: string;
  /** Loads the demo world where there are no cooks. */
  demo: boolean;
  /** Open to the home network, with a passcode. */
  home: boolean;
  /** A passcode to set; null keeps the one that is there. */
  passcode: string | null;
  /** Makes a new passcode and tells it. */
  newPasscode: boolean;
  /** Encryption: none, with a certificate made here, or with a given one. */
  tls: 'none' | 'made' | { cert: string; key: string };
  /** Names under which this machine is reached, beside its own; lower case. */
  names: string[];
  /** A record to restore before the start; null for none. */
  restore: string | null;
  /** Broker to take readings from and tell readings, state and alarms to; null for none. */
  mqttUrl: string | null;
  /** Port of a broker of our own; null for none. */
  mqttPort: number | null;
  /** Log level. */
  logLevel: string;
}

/** The environment and the options behind the command. Throws Error in one sentence for what makes no sense. */
export function readSettings(
  env: NodeJS.ProcessEnv,
  args: readonly string[],
  root: string,
): Settings {
  const { values } = parseArgs({
    args: [...args],
    options: {
      home: { type: 'boolean', default: env.OSTRIN_HOME === '1' },
      tls: { type: 'boolean', default: env.OSTRIN_TLS === '1' },
      'new-passcode': { type: 'boolean', default: false },
      restore: { type: 'string' },
    },
  });
  const port = Number(env.PORT ?? 8642);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`PORT must be a number from 0 to 65535, not ${env.PORT}`);
  }
  const { OSTRIN_MQTT_URL: mqttUrl = null, OSTRIN_MQTT_PORT: ownBroker } = env;
  if (mqttUrl !== null && !/^(mqtts?|wss?):\/\/./.test(mqttUrl)) {
    throw new Error('OSTRIN_MQTT_URL must begin with mqtt://, mqtts://, ws:// or wss://');
  }
  const mqttPort = ownBroker === undefined ? null : Number(ownBroker);
  if (mqttPort !== null && (!Number.isInteger(mqttPort) || mqttPort < 0 || mqttPort > 65535)) {
    throw new Error(`OSTRIN_MQTT_PORT must be a number from 0 to 65535, not ${ownBroker}`);
  }
  const { OSTRIN_TLS_CERT: cert, OSTRIN_TLS_KEY: key } = env;
  if ((cert === undefined) !== (key === undefined)) {
    throw new Error('OSTRIN_TLS_CERT and OSTRIN_TLS_KEY belong together: set both');
  }
  const passcode = env.OSTRIN_PASSCODE ?? null;
  if (passcode !== null && plainCode(passcode).length < 8) {
    throw new Error('OSTRIN_PASSCODE is too short: give it 8 letters or figures at least');
  }
  const { home } = values;
  return {
    port,
    host: env.OSTRIN_HOST ?? (home ? '0.0.0.0' : '127.0.0.1'),
    file: env.OSTRIN_DB ?? path.join(root, 'data/ostrin.sqlite'),
    webDir: env.OSTRIN_WEB ?? path.join(root, 'apps/app/dist'),
    demo: env.OSTRIN_DEMO === '1',
    // Whoever listens to more than this machine needs a passcode.
    home: home || !isOwnMachine(env.OSTRIN_HOST),
    passcode,
    newPasscode: values['new-passcode'],
    tls: cert !== undefined && key !== undefined ? { cert, key } : values.tls ? 'made' : 'none',
    restore: values.restore ?? null,
    names: (env.OSTRIN_HOSTS ?? '')
      .toLowerCase()
      .split(',')
      .map((name) => name.trim())
      .filter((name) => name !== ''),
    mqttUrl,
    mqttPort,
    logLevel: env.LOG_LEVEL ?? 'info',
  };
}

const isOwnMachine = (host: string | undefined): boolean =>
  host === undefined || host === '127.0.0.1' || host === '::1' || host === 'localhost';
