/** MQTT: the built server against a broker in a process of its own, and its own broker against a plain client. */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import path from 'node:path';
import type { Reading } from '@ostrin/contract';
import mqtt, { type IClientOptions, type MqttClient } from 'mqtt';
import { call, planFor, sendEntries, until } from './help';

const root = path.resolve(__dirname, '../../..');
const children: ChildProcess[] = [];
const clients: MqttClient[] = [];
afterAll(async () => {
  await Promise.all(clients.map((c) => c.endAsync(true)));
  for (const child of children) child.kill('SIGKILL');
});

/** Starts a process of Node.js; resolves with what `told` finds in what it says. */
function run<T>(args: string[], env: Record<string, string>, told: (text: string) => T | null) {
  const child = spawn(process.execPath, args, {
    cwd: root,
    env: { ...process.env, LOG_LEVEL: 'silent', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  children.push(child);
  return new Promise<{ child: ChildProcess; told: T }>((resolve, reject) => {
    let text = '';
    child.once('exit', (code) => reject(new Error(`ended with ${code}: ${text}`)));
    child.stdout.on('data', (chunk: Buffer) => {
      text += chunk.toString();
      const found = told(text);
      if (found !== null) resolve({ child, told: found });
    });
  });
}

const startBroker = (port = 0) =>
  run([path.join(__dirname, 'broker.mjs'), String(port)], {}, (text) =>
    text.includes('\n') ? Number(text) : null,
  );

const startServer = (env: Record<string, string>) =>
  run(['apps/server/dist/main.js'], { PORT: '0', OSTRIN_DB: ':memory:', ...env }, (text) => {
    const url = /ready at (\S+)\n/.exec(text)?.[1];
    const port = /broker at port (\d+)\n/.exec(text)?.[1];
    if (!url || ('OSTRIN_MQTT_PORT' in env && !port)) return null;
    return { url, port: Number(port) };
  });

const connect = async (url: string, options: IClientOptions = {}): Promise<MqttClient> => {
  const client = await mqtt.connectAsync(url, { reconnectPeriod: 0, ...options });
  clients.push(client);
  return client;
};

/** An instrument at a pit on which a real fire burns: its id and token, and the readings of that cook. */
async function wired(url: string, channels: object[]) {
  const id = 'probe';
  const put = { name: id, pitName: 'the Bosun', channels };
  expect((await call(`${url}/api/instruments/${id}`, 'PUT', put)).status).toBe(201);
  const { token } = (await call(`${url}/api/instruments/${id}/token`, 'POST', {})).json;
  const cookId = randomUUID();
  // A cook of today: what is logged has to belong to it.
  const serveAt = new Date(Date.now() + 6 * 3_600_000).toISOString().slice(0, 16);
  const body = { name: 'Lunch', pitName: 'the Bosun', plan: planFor({ serveAt }), fire: 'real' };
  expect((await call(`${url}/api/cooks/${cookId}`, 'PUT', body)).status).toBe(201);
  const readings = async (): Promise<Reading[]> =>
    (await call(`${url}/api/cooks/${cookId}`)).json.readings;
  return { id, token: token as string, cookId, readings };
}

const GRATE = { key: 'a', spot: 'grate', offsetK: 0, checkedAt: null };

it('takes packets and single topics from a broker, tells readings, and comes back after the broker was killed', async () => {
  const first = await startBroker();
  const { told: server } = await startServer({ OSTRIN_MQTT_URL: `mqtt://127.0.0.1:${first.told}` });
  const dome = { ...GRATE, key: 'lid', spot: 'dome', topic: 'yard/lid' };
  const { id, cookId, readings } = await wired(server.url, [GRATE, dome]);
  const client = await connect(`mqtt://127.0.0.1:${first.told}`);
  const heard: { topic: string; said: { pitC: number } }[] = [];
  client.on('message', (topic, payload) =>
    heard.push({ topic, said: JSON.parse(String(payload) || 'null') }),
  );
  await client.subscribeAsync('ostrin/cooks/#');
  const tell = (to: MqttClient, values: object): Promise<unknown> =>
    to.publishAsync(`ostrin/instruments/${id}`, JSON.stringify({ values }), { qos: 1 });
  await until(async () => {
    await tell(client, { a: 118 });
    return (await readings()).some((r) => r.pitC === 118);
  });
  await client.publishAsync('yard/lid', '133', { qos: 1 });
  await client.publishAsync('yard/lid', 'not a number', { qos: 1 });
  await until(async () => (await readings()).some((r) => r.domeC === 133));
  await until(() =>
    heard.some((h) => h.topic === `ostrin/cooks/${cookId}/reading` && h.said.pitC === 118),
  );

  // A fire that was lit two hours ago and is stone cold by its probe: the state says so, and an alarm calls.
  const entry = { id: randomUUID(), at: Date.now() - 7_200_000, kind: 'act', jobId: 'light' };
  const action = { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 };
  const logged = await call(`${server.url}/api/cooks/${cookId}/entries`, 'POST', {
    entries: [{ ...entry, action }],
  });
  expect(logged.status).toBe(201);
  const cold = Array.from({ length: 40 }, (_, i) => ({
    at: Date.now() - 60_000 * i - 500,
    values: { a: 15 },
  }));
  await client.publishAsync(`ostrin/instruments/${id}`, JSON.stringify({ packets: cold }), {
    qos: 1,
  });
  await until(() => heard.some((h) => h.topic === `ostrin/cooks/${cookId}/state`), 60_000);
  await until(() => heard.some((h) => h.topic === `ostrin/cooks/${cookId}/alarm`), 60_000);

  // What stays at the broker of a cook goes with its end.
  const kept = async (): Promise<boolean> => {
    const topics: string[] = [];
    const late = await connect(`mqtt://127.0.0.1:${first.told}`);
    late.on('message', (topic) => topics.push(topic));
    await late.subscribeAsync('ostrin/cooks/#');
    await new Promise((resolve) => setTimeout(resolve, 300));
    await late.endAsync(true);
    return topics.some((t) => t.endsWith('/alarm')) && topics.some((t) => t.endsWith('/state'));
  };
  expect(await kept()).toBe(true);
  const finish = { id: randomUUID(), at: Date.now(), kind: 'finish' };
  await sendEntries(server.url, cookId, [finish]);
  await until(async () => !(await kept()), 30_000);
  const undo = { id: randomUUID(), at: Date.now(), kind: 'undo', target: finish.id };
  await sendEntries(server.url, cookId, [undo]);

  first.child.removeAllListeners('exit');
  first.child.kill('SIGKILL');
  const again = await startBroker(first.told);
  const next = await connect(`mqtt://127.0.0.1:${again.told}`);
  await until(async () => {
    await tell(next, { a: 119 });
    return (await readings()).some((r) => r.pitC === 119);
  }, 30_000);
});

it('opens a broker of its own only when it is told to, for instruments with their tokens and their own topics', async () => {
  const { told: server } = await startServer({ OSTRIN_MQTT_PORT: '0' });
  const { id, token, readings } = await wired(server.url, [GRATE]);
  const url = `mqtt://127.0.0.1:${server.port}`;
  await expect(connect(url)).rejects.toThrow(/not authorized/i);
  await expect(connect(url, { username: 'other', password: token })).rejects.toThrow();
  const client = await connect(url, { username: id, password: token });
  await until(async () => {
    client.publish(`ostrin/instruments/${id}`, JSON.stringify({ values: { a: 121 } }));
    return (await readings()).some((r) => r.pitC === 121);
  });
  // Another instrument's topic is refused: the broker hangs up, and nothing comes of it.
  const closed = new Promise<void>((done) => client.once('close', () => done()));
  client.publish('ostrin/instruments/other', JSON.stringify({ values: { a: 300 } }));
  await closed;
  expect((await readings()).every((r) => r.pitC === 121)).toBe(true);
});

it('lets an instrument into no topic of another one, and a token that was renewed into none', async () => {
  const { told: server } = await startServer({ OSTRIN_MQTT_PORT: '0' });
  const mqttUrl = `mqtt://127.0.0.1:${server.port}`;
  const mate = `${server.url}/api/instruments/mate`;
  const put = { name: 'mate', pitName: 'another pit', channels: [GRATE] };
  expect((await call(mate, 'PUT', put)).status).toBe(201);
  const { token } = (await call(`${mate}/token`, 'POST', {})).json;
  const other = await wired(server.url, [{ ...GRATE, key: 'lid', topic: 'yard/lid' }]);
  const client = await connect(mqttUrl, { username: 'mate', password: token });
  const closed = new Promise<void>((done) => client.once('close', () => done()));
  client.publish('yard/lid', '240');
  await closed;
  await client.endAsync(true);
  const owner = await connect(mqttUrl, { username: other.id, password: other.token });
  await until(async () => {
    owner.publish('yard/lid', '118', { retain: true });
    return (await other.readings()).some((r) => r.pitC === 118);
  });
  expect((await other.readings()).every((r) => r.pitC === 118)).toBe(true);
  // A new token makes the old one void, on a line that stands too.
  await call(`${server.url}/api/instruments/${other.id}/token`, 'POST', {});
  const hungUp = new Promise<void>((done) => owner.once('close', () => done()));
  owner.publish('yard/lid', '240');
  await hungUp;
  expect((await other.readings()).every((r) => r.pitC === 118)).toBe(true);
});
