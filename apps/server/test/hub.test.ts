/** Event streams: one write for what comes together, and nobody waits for a reader that does not read. */
import type { LiveEvent } from '@ostrin/contract';
import type { Request, Response } from 'express';
import { EventEmitter } from 'node:events';
import { Hub } from '../src/live/hub';

/** A connection, as much of it as a stream uses. */
class Connection extends EventEmitter {
  written: string[] = [];
  writableLength = 0;
  gone = false;
  writeHead(): void {
    // Headers are the server's concern.
  }
  write(text: string): void {
    this.written.push(text);
  }
  end(): void {
    this.gone = true;
    this.emit('close');
  }
  destroy(): void {
    this.end();
  }
}

const GET = { method: 'GET' } as Request;
const note = (cookId: string): LiveEvent => ({ type: 'refresh', cookId });
const turn = () => new Promise((done) => setImmediate(done));

function watch(hub: Hub, cookId: string | null, connection = new Connection()): Connection {
  // Only what a stream uses of an answer: a whole one cannot be made without a socket.
  hub.watch(cookId, GET, connection as unknown as Response, 'phone');
  connection.written = [];
  return connection;
}

it('sends what is told in one turn in one write, each cook to whom it concerns', async () => {
  const hub = new Hub();
  const [all, one] = [watch(hub, null), watch(hub, 'a')];
  for (const id of ['a', 'b', 'a']) hub.tell(note(id));
  hub.tell({ type: 'changed', what: 'pits' });
  await turn();
  expect(all.written).toHaveLength(1);
  expect(all.written[0]!.match(/data: /g)).toHaveLength(4);
  expect(one.written[0]!.match(/"cookId":"a"/g)).toHaveLength(2);
  expect(one.written[0]).not.toContain('"b"');
  hub.close();
});

it('writes nothing to a device that was signed out, though its connection still stands', async () => {
  const hub = new Hub();
  const phone = new Connection();
  // One that does not read closes only once it is read, or cut.
  phone.end = () => {
    phone.gone = true;
  };
  watch(hub, null, phone);
  hub.endOf('phone');
  hub.tell(note('a'));
  await turn();
  expect([phone.gone, phone.written, hub.size]).toEqual([true, [], 0]);
  // A write that fails all the same is no fault of the server's.
  expect(() => phone.emit('error', new Error('write after end'))).not.toThrow();
  hub.close();
});

it('lets go of a reader that has too much waiting, and goes on with the others', async () => {
  const hub = new Hub();
  const [slow, quick] = [watch(hub, null), watch(hub, null)];
  slow.writableLength = 2_000_000;
  hub.tell(note('a'));
  await turn();
  expect(slow.gone).toBe(true);
  expect(slow.written).toEqual([]);
  expect(quick.written).toHaveLength(1);
  expect(hub.size).toBe(1);
  hub.close();
});
