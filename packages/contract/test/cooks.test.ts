/** Cooks and their logs from outside, and their way through CSV and back. */
import fc from 'fast-check';
import Papa from 'papaparse';
import { randomUUID } from 'node:crypto';
import { planOnePit } from '@ostrin/core/engine';
import type { Entry } from '@ostrin/core/log';
import { entryWords } from '@ostrin/wording/tending';
import {
  actionsCsv,
  validate,
  ClockDto,
  cookFromCsv,
  readEntries,
  readingsCsv,
  readCookDoc,
  readNewCook,
  readPit,
  readRequest,
  readReadings,
  type CookDoc,
} from '../src';
import { request } from '@ostrin/testing';
import { fields, LOGGED } from './help';

const made = planOnePit(request(), { nowMs: 0, members: 1 });
const start = Date.UTC(2027, 4, 15, 7);

function cook(entries: Entry[] = [], readings: CookDoc['readings'] = []): CookDoc {
  return {
    ostrin: 'cook/1',
    id: randomUUID(),
    name: 'Regatta lunch, "first" heat',
    pitName: 'the Bosun',
    startMs: start,
    plan: made,
    entries,
    readings,
  };
}

describe('entries and cooks', () => {
  it('takes a cook to begin, with its whole plan', () => {
    const body = JSON.parse(
      JSON.stringify({ name: 'Lunch', pitName: 'the Bosun', plan: made }),
    ) as {
      plan: { scenarios: unknown[]; jobs: { atMin: unknown }[] };
    };
    expect(readNewCook(body).ok).toBe(true);
    body.plan.scenarios = [];
    body.plan.jobs[0]!.atMin = 'soon';
    expect(fields(readNewCook(body))).toContain('plan.jobs[0].atMin');
  });

  it('takes a name of a pit or of a person wherever it goes, in letters as people count them', () => {
    const family = '\u{1F468}\u200D\u{1F469}\u200D\u{1F467}';
    const long = family.repeat(40);
    expect(readPit({ name: long, preset: 'kettle-57', overrides: {} }).ok).toBe(true);
    const asked = request({ crew: [long, 'Anka'] });
    asked.pits[0].name = long;
    expect(readRequest(JSON.parse(JSON.stringify(asked))).ok).toBe(true);
    const planned = planOnePit(asked, { nowMs: 0, members: 1 });
    const begun = {
      name: long,
      pitName: long,
      plan: JSON.parse(JSON.stringify(planned)) as unknown,
    };
    expect(readNewCook(begun)).toMatchObject({ ok: true });
    const at = { id: randomUUID(), at: start, by: long };
    const entries = [
      { ...at, kind: 'note', text: 'windy' },
      { ...at, id: randomUUID(), kind: 'hand-over', to: long, sheet: '' },
    ];
    expect(readEntries({ entries }, LOGGED)).toMatchObject({ ok: true });
    expect(fields(readRequest({ ...asked, crew: [`${long}a`, ''] }))).toEqual(
      expect.arrayContaining([expect.stringMatching(/^crew/)]),
    );
  });

  it('wants ids, times and targets that exist', () => {
    const id = randomUUID();
    const note = { id, at: start, kind: 'note', text: 'windy' };
    expect(readEntries({ entries: [note] }, LOGGED).ok).toBe(true);
    expect(fields(readEntries({ entries: [{ ...note, text: '' }] }, LOGGED))).toContain(
      'entries[0].text',
    );
    expect(fields(readEntries({ entries: [{ ...note, id: 'x', at: 1.5 }] }, LOGGED))).toEqual(
      expect.arrayContaining(['entries[0].id', 'entries[0].at']),
    );
    const undo = { id: randomUUID(), at: start, kind: 'undo', target: randomUUID() };
    expect(fields(readEntries({ entries: [undo] }, LOGGED))).toEqual(['entries[0].target']);
    expect(readEntries({ entries: [note, { ...undo, target: id }] }, LOGGED).ok).toBe(true);
    expect(fields(validate(ClockDto, { speed: 241 }))).toEqual(['speed']);
  });

  it('is said to end, and put right, at any time, while what happens in a cook has its span', () => {
    const later = start + 200 * 86_400_000;
    const at = (kind: string, part: object = {}) =>
      fields(readEntries({ entries: [{ id: randomUUID(), at: later, kind, ...part }] }, LOGGED));
    expect(at('finish')).toEqual([]);
    expect(at('note', { text: 'late' })).toEqual(['entries[0].at']);
    expect(at('call-at', { meat: 'goat', c: 60 })).toEqual(
      expect.arrayContaining(['entries[0].meat', 'entries[0].at']),
    );
  });
});

describe('readings', () => {
  const reading = (minutes: number) => ({ at: start + 60_000 * minutes, pitC: 121, coreC: null });

  it('follow those before them, however many those are: only one document has its bound', () => {
    const before = { startMs: start, before: 1_000_000, afterMs: start };
    expect(readReadings([reading(1)], before)).toEqual({ ok: true, value: [reading(1)] });
    expect(fields(readReadings([reading(0)], before))).toEqual(['readings[1000000].at']);
    const full = { ...cook(), readings: Array.from({ length: 1_000_001 }, () => null) };
    expect(fields(readCookDoc(full))).toEqual(['readings']);
  });

  it('are refused by their place, beyond the first part too, and where they are no list', () => {
    const many = Array.from({ length: 6_000 }, (_, i) => reading(i / 10));
    const wrong = many.map((r, i) => (i === 5_432 ? { ...r, coreC: 999 } : r));
    const sent = JSON.parse(JSON.stringify(cook())) as object;
    expect(fields(readCookDoc({ ...sent, readings: wrong }))).toEqual(['readings[5432].coreC']);
    expect(fields(readCookDoc({ ...sent, readings: 'none' }))).toContain('readings');
  });
});

describe('food that is added', () => {
  const food = { id: 'hens', cut: 'whole-chicken', massKg: 1.6, startC: 4 };
  const add = { id: randomUUID(), at: start, kind: 'add-food', food, offAt: start + 5_400_000 };
  const off = {
    id: randomUUID(),
    at: start + 5_000_000,
    kind: 'act',
    action: { do: 'meat-off', meat: 'hens' },
  };

  it('is a piece of the cook from then on, and comes back from CSV', () => {
    expect(readEntries({ entries: [add, off] }, LOGGED).ok).toBe(true);
    expect(fields(readEntries({ entries: [off] }, LOGGED))).toEqual(['entries[0].action.meat']);
    const known = { ...LOGGED, entries: [add as Entry] };
    expect(readEntries({ entries: [off] }, known).ok).toBe(true);
    const doc = cook([add, off] as Entry[]);
    const back = cookFromCsv(actionsCsv(doc), readingsCsv([]));
    expect(back).toEqual({ ok: true, value: JSON.parse(JSON.stringify(doc)) });
  });

  it('is refused with an id that is taken, a cut that nobody knows, and no end of its own', () => {
    const known = { ...LOGGED, entries: [add as Entry] };
    const second = { ...add, id: randomUUID() };
    expect(fields(readEntries({ entries: [second] }, known))).toEqual(['entries[0].food.id']);
    const odd = { ...second, food: { ...food, id: 'x', cut: 'unicorn' }, offAt: 5 };
    expect(fields(readEntries({ entries: [odd] }, LOGGED))).toEqual(
      expect.arrayContaining(['entries[0].food.cut', 'entries[0].offAt']),
    );
  });
});

describe('CSV', () => {
  it('goes out as CSV and comes back the same', () => {
    const reading = fc.record({
      pitC: fc.option(fc.integer({ min: -200, max: 3000 }).map((v) => v / 10)),
      coreC: fc.option(fc.integer({ min: 0, max: 990 }).map((v) => v / 10)),
    });
    const text = fc
      .string({ minLength: 1, maxLength: 60, unit: 'grapheme' })
      .filter((t) => t.length <= 200);
    fc.assert(
      fc.property(
        fc.array(reading, { maxLength: 30 }),
        fc.array(text, { maxLength: 6 }),
        (list, notes) => {
          const doc = cook(
            notes.map((t, i) => ({
              id: randomUUID(),
              at: start + i * 1000,
              kind: 'note',
              text: t,
            })),
            list.map((r, i) => ({ at: start + i * 30_000, ...r })),
          );
          const back = cookFromCsv(actionsCsv(doc), readingsCsv(doc.readings));
          expect(back).toEqual({ ok: true, value: JSON.parse(JSON.stringify(doc)) });
        },
      ),
      { numRuns: 30 },
    );
  });

  it('keeps to RFC 4180: CRLF, quotes doubled, one header', () => {
    const entry: Entry = { id: randomUUID(), at: start, kind: 'note', text: 'a "quoted", b\nc' };
    const csv = actionsCsv(cook([entry]));
    expect(csv.startsWith('id,at,kind,job,in_words,detail\r\n')).toBe(true);
    expect(csv).toContain('""quoted""');
    expect(readingsCsv([{ at: start, pitC: 121.5, coreC: null }])).toBe(
      'at,pit_c,core_c\r\n2027-05-15T07:00:00.000Z,121.5,\r\n',
    );
    expect(entryWords(entry)).toMatch(/^Note: /);
  });

  it('gives a spreadsheet no formula, and reads back what was written', () => {
    const jobs = ['=cmd()', '+1', '-1', '@sum', "'=x", "'quoted", 'plain'];
    const doc = cook(
      jobs.map((jobId, i) => ({ id: randomUUID(), at: start + i, kind: 'job', jobId })),
    );
    const csv = actionsCsv(doc);
    const cells = Papa.parse<string[]>(csv, { skipEmptyLines: true }).data.flat();
    expect(cells.filter((c) => /^[=+\-@]/.test(c))).toEqual([]);
    const back = cookFromCsv(csv, readingsCsv([]));
    expect(back.ok && back.value.entries.map((e) => e.jobId)).toEqual(jobs);
  });

  it('says which line of a file is wrong', () => {
    const doc = cook([], [{ at: start, pitC: 20, coreC: null }]);
    const readings = readingsCsv(doc.readings);
    expect(fields(cookFromCsv('a,b\r\n1,2\r\n', readings))).toContain('actions line 1');
    expect(fields(cookFromCsv(actionsCsv(doc), readings.replace(',20,', ',hot,')))).toEqual([
      'readings line 2 pit_c',
    ]);
    const broken = actionsCsv(doc).replace(/"\{.*\}"/s, 'x');
    expect(fields(cookFromCsv(broken, readings))).toContain('actions line 2 detail');
    const twice = readingsCsv([...doc.readings, ...doc.readings]);
    expect(fields(cookFromCsv(actionsCsv(doc), twice))).toEqual(['readings[1].at']);
  });
});
