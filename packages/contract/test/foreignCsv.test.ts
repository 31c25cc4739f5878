/** Tables of readings as other programs write them: recognised, and read without losing or inventing anything. */
import { MINUTE_MS, localOf } from '@ostrin/core/quantity';
import fc from 'fast-check';
import { guessMapping, readingsOfTable, readTable, type TableMapping } from '../src/foreignCsv';

const ZONE = 'Europe/Ljubljana';
const START = Date.UTC(2027, 4, 15, 5, 12);
const SETTINGS = { zone: ZONE, startMs: START };

const read = (text: string, part: Partial<TableMapping> = {}) => {
  const table = readTable(text);
  const mapping = { ...guessMapping(table, SETTINGS), ...part };
  return { table, mapping, ...readingsOfTable(table, mapping) };
};

describe('a file of another program', () => {
  it('is read with a semicolon, decimal commas and the day first', () => {
    const { mapping, readings, skipped } = read(
      [
        'Zeit;Garraum;Fleisch;Akku',
        '15.05.2027 07:12:00;121,5;4,2;88',
        '15.05.2027 07:12:30;122,0;4,25;88',
        '15.05.2027 07:13:00;---;4,3;88',
      ].join('\r\n'),
    );
    expect(mapping).toMatchObject({
      roles: ['time', 'pit', 'core', 'none'],
      timeFormat: 'day-first',
      unit: 'C',
      decimal: ',',
    });
    expect([skipped, readings.length]).toEqual([[], 3]);
    expect(readings).toEqual([
      { at: START, pitC: 121.5, coreC: 4.2 },
      { at: START + 30_000, pitC: 122, coreC: 4.25 },
      { at: START + 60_000, pitC: null, coreC: 4.3 },
    ]);
  });

  it('is read in Fahrenheit with the month first, am and pm, and lines before its heading', () => {
    const { mapping, readings } = read(
      [
        'Recorder 12,firmware 3',
        'exported by nobody',
        '',
        'Time,Set Temp,Grill Temp,Probe 1,Probe 2',
        '5/15/2027 12:58:00 AM,250,248,40,',
        '5/15/2027 1:08:00 AM,250,251,41,',
        '5/15/2027 1:18:00 PM,250,253,203,',
      ].join('\n'),
    );
    expect(mapping).toMatchObject({ timeFormat: 'month-first', unit: 'F' });
    expect(mapping.roles).toEqual(['time', 'none', 'pit', 'core', 'none']);
    expect(readings.map((r) => localOf(r.at, ZONE).slice(11))).toEqual(['00:58', '01:08', '13:18']);
    expect(readings[0]).toMatchObject({ pitC: 120, coreC: 4.44 });
  });

  it('is read where date and clock stand apart, and where only a clock stands that passes midnight', () => {
    const apart = read('date,time,pit\n2027-05-15,23:50,110\n2027-05-16,00:10,112\n');
    expect(apart.readings[1]!.at - apart.readings[0]!.at).toBe(20 * MINUTE_MS);
    const clock = read('time,pit\n23:50,110\n00:10,112\n00:30,113\n');
    expect(clock.mapping.timeFormat).toBe('clock');
    expect(clock.readings.map((r) => (r.at - clock.readings[0]!.at) / MINUTE_MS)).toEqual([
      0, 20, 40,
    ]);
  });

  it('is read where time is counted from a start, in clocks, seconds or minutes', () => {
    const times = (text: string): number[] =>
      read(text).readings.map((r) => (r.at - START) / MINUTE_MS);
    expect(times('elapsed,pit\n0:00:30,20\n1:30:00,121\n30:00:00,90\n')).toEqual([0.5, 90, 1800]);
    expect(times('t,pit\n0,20\n90,121\n')).toEqual([0, 1.5]);
    expect(times('minutes,pit\n0,20\n2.5,121\n')).toEqual([0, 2.5]);
    expect(
      times('1800000000,20\n1800000060,121\n')[1]! - times('1800000000,20\n1800000060,121\n')[0]!,
    ).toBe(1);
  });

  it('tells the lines it could not read, and reads the rest', () => {
    const { skipped, readings } = read(
      'time,pit\n2027-05-15 07:00,110\nyesterday,111\n2027-05-15 07:20,112\n,113\n2027-05-15 07:30,118\n',
    );
    expect(skipped).toEqual([3, 5]);
    expect(readings).toHaveLength(3);
  });

  it('refuses what holds no readings, with a sentence', () => {
    for (const text of ['', 'hello', 'a,b\nc,d\n', '{"ostrin":"cook/1"}']) {
      expect(() => read(text)).toThrow(/readings|times/);
    }
    expect(() => read('x,pit\nred,110\nblue,112\n')).toThrow(/readings|times/);
  });
});

it('takes no reading that no thermometer can have told', () => {
  const { readings } = read('time,pit,core\n2027-05-15 07:00,110,9999\n2027-05-15 07:10,-400,20\n');
  expect(readings).toEqual([
    { at: expect.any(Number), pitC: 110, coreC: null },
    { at: expect.any(Number), pitC: null, coreC: 20 },
  ]);
});

it('gives back what was written, whatever the separator, comma, unit and way of writing times', () => {
  const ways = {
    'day-first': (l: string) =>
      `${l.slice(8, 10)}.${l.slice(5, 7)}.${l.slice(0, 4)} ${l.slice(11)}`,
    'year-first': (l: string) => `${l.slice(0, 10).replace(/-/g, '/')} ${l.slice(11)}`,
    iso: (l: string) => l,
    'month-first': (l: string) => {
      const h = Number(l.slice(11, 13));
      return `${Number(l.slice(5, 7))}/${Number(l.slice(8, 10))}/${l.slice(0, 4)} ${h % 12 || 12}:${l.slice(14)}:00 ${h < 12 ? 'AM' : 'PM'}`;
    },
  };
  const row = fc.record({
    step: fc.integer({ min: 1, max: 45 }),
    pit: fc.option(fc.integer({ min: 900, max: 1500 }), { nil: null, freq: 8 }),
    core: fc.integer({ min: 40, max: 990 }),
  });
  fc.assert(
    fc.property(
      fc.array(row, { minLength: 12, maxLength: 40 }),
      fc.constantFrom(',', ';', '\t'),
      fc.constantFrom(',' as const, '.' as const),
      fc.constantFrom('C' as const, 'F' as const),
      fc.constantFrom(...(Object.keys(ways) as (keyof typeof ways)[])),
      (rows, delimiter, decimal, unit, way) => {
        let at = Date.UTC(2027, 0, 28, 5);
        const said = (tenths: number): string => {
          const value = unit === 'C' ? tenths / 10 : tenths * 0.18 + 32;
          const text = value.toFixed(2).replace('.', decimal);
          return delimiter === ',' && decimal === ',' ? `"${text}"` : text;
        };
        const written = rows.map((r) => {
          at += r.step * MINUTE_MS;
          return { at, ...r };
        });
        const text = [
          ['Time', `Pit (${unit})`, `Meat (${unit})`].join(delimiter),
          ...written.map((r) =>
            [ways[way](localOf(r.at, ZONE)), r.pit === null ? '' : said(r.pit), said(r.core)].join(
              delimiter,
            ),
          ),
        ].join('\n');
        const { readings, mapping, skipped } = read(text);
        expect(mapping.unit).toBe(unit);
        expect(skipped).toEqual([]);
        expect(readings).toHaveLength(written.length);
        readings.forEach((r, i) => {
          expect(r.at).toBe(written[i]!.at);
          if (written[i]!.pit === null) expect(r.pitC).toBeNull();
          else expect(r.pitC).toBeCloseTo(written[i]!.pit / 10, 1);
          expect(r.coreC).toBeCloseTo(written[i]!.core / 10, 1);
        });
      },
    ),
    { numRuns: 150 },
  );
});
