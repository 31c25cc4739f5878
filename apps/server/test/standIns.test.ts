/** Stand-ins for instruments, and a CSV file played as a sensor of one's own would tell it. */
import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Packet } from '@ostrin/contract';
import { standInPackets, STAND_INS } from '../src/instruments/standIns';
import { startServer, type TestServer } from './help';
import { channel, wiredAt } from './wired';

const clock = Date.UTC(2027, 4, 15, 10);
let server: TestServer;
beforeAll(async () => {
  server = await startServer(':memory:', () => clock);
});
afterAll(() => server.stop());
const wired = (channels: object[]) => wiredAt(server.url, channels);

describe('stand-ins', () => {
  const run = { litMs: 0, minutes: 90, everyS: 30, seed: 5 } as const;

  it('of every kind tell packets that are taken whole, with nothing impossible in them', async () => {
    for (const kind of STAND_INS) {
      const packets = standInPackets({ ...run, kind, litMs: clock - 90 * 60_000 });
      const keys = Object.keys(packets.at(-1)!.values);
      const spots: Record<string, object> = {
        '1': channel('1', 'grate'),
        '2': channel('2', 'dome'),
        '3': channel('3', 'meat', { piece: 1 }),
        '4': channel('4', 'air'),
        pit: channel('pit', 'grate'),
        fan: channel('fan', 'fan'),
        air: channel('air', 'air'),
        wind: channel('wind', 'wind'),
        rain: channel('rain', 'rain'),
      };
      const { tell, readings } = await wired(keys.map((key) => spots[key]!));
      const { json } = await tell({ packets });
      expect(json).toEqual({
        stored: packets.reduce((sum, p) => sum + Object.keys(p.values).length, 0),
        impossible: 0,
      });
      expect(await readings()).toHaveLength(packets.length);
    }
  });

  it('come to the same readings when packets come twice and out of order', async () => {
    const at = { ...run, kind: 'thermometer', litMs: clock - 90 * 60_000 } as const;
    const [plain, jumbled] = [{}, { double: 0.3, outOfOrder: 0.3 }].map((faults) =>
      standInPackets({ ...at, faults }),
    );
    expect(jumbled!.length).toBeGreaterThan(plain!.length);
    const [a, b] = [await wired([channel('1', 'grate')]), await wired([channel('1', 'grate')])];
    await a.tell({ packets: plain });
    await b.tell({ packets: jumbled });
    expect(await b.readings()).toEqual(await a.readings());
  });

  it('drift, drop out, fall off and fall silent as they are told to', () => {
    const of = (faults: object) => standInPackets({ ...run, kind: 'thermometer', faults });
    const last = (packets: Packet[]): number => packets.at(-1)!.values['1']!;
    expect(last(of({ driftKPerH: 10 })) - last(of({}))).toBeGreaterThan(10);
    expect(of({ dropOut: 0.5 }).length).toBeLessThan(0.7 * of({}).length);
    expect(last(of({ fallsOffMin: 60 }))).toBeLessThan(40);
    expect(of({ batteryDeadMin: 30 }).at(-1)!.at).toBeLessThan(30 * 60_000);
  });
});

it("plays a CSV file as a sensor of one's own would, and says what is wrong with one", async () => {
  const {
    tell: _,
    token,
    readings,
  } = await wired([channel('pit', 'grate'), channel('lid', 'dome')]);
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'ostrin-csv-')), 'a.csv');
  writeFileSync(file, `at,pit,lid\n${clock - 2000},118,130\n${clock - 1000},119,\n`);
  const play = (...more: string[]) =>
    new Promise<{ code: number | null; said: string }>((resolve) => {
      const child = spawn(
        process.execPath,
        [
          'scripts/playCsv.mjs',
          file,
          '--to',
          server.url,
          '--token',
          token,
          '--keep-times',
          ...more,
        ],
        { cwd: path.resolve(__dirname, '../../..') },
      );
      let said = '';
      child.stderr.on('data', (chunk: Buffer) => (said += chunk.toString()));
      child.on('close', (code) => resolve({ code, said }));
    });
  expect(await play('--speed', '100')).toEqual({ code: 0, said: '' });
  expect(await readings()).toEqual([
    { at: clock - 2000, pitC: 118, coreC: null, domeC: 130 },
    { at: clock - 1000, pitC: 119, coreC: null },
  ]);
  writeFileSync(file, 'at,pit\nnoon,118\n');
  expect(await play()).toMatchObject({
    code: 1,
    said: expect.stringMatching(/line 2: at must be a time/),
  });
});
