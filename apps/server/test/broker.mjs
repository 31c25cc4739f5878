/** An MQTT broker in a process of its own, as a household has one: its port is told on standard output. */
import { Aedes } from 'aedes';
import net from 'node:net';

const broker = await Aedes.createBroker();
const server = net.createServer((socket) => broker.handle(socket));
server.listen(Number(process.argv[2] ?? 0), '127.0.0.1', () =>
  process.stdout.write(`${server.address().port}\n`),
);
