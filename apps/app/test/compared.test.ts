/** Cooks beside each other: how they are laid, what is told of them, and which notes come up in a plan. */
import type { NextTime } from '@ostrin/contract/types';
import { METRIC, MINUTE_MS } from '@ostrin/core/quantity';
import type { Entry } from '@ostrin/core/log';
import type { CookView } from '../src/api/queries';
import { comparedCook, comparedRows, comparedStrip, type Alignment } from '../src/log/compared';
import { notesFor } from '../src/plan/notesFor';
import { DAY } from '../src/ui/tokens';
import { PLAN } from './openCook';

let n = 0;
/** A cook that was lit at a time, with its meat on so much later; read each ten minutes for six hours. */
function cook(name: string, litMs: number, onAfterMin: number): CookView {
  const at = (min: number): number => litMs + min * MINUTE_MS;
  const entry = (min: number, action: object, jobId?: string): Entry =>
    ({ id: `e${n++}`, at: at(min), kind: 'act', action, ...(jobId ? { jobId } : {}) }) as Entry;
  const plan = PLAN;
  const meat = plan.request.meats[0].id;
  return {
    ostrin: 'cook/1',
    id: name,
    name,
    pitName: 'the Bosun',
    startMs: litMs,
    plan,
    entries: [
      entry(0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light'),
      entry(onAfterMin, { do: 'meat-on', meat }, 'meat-on'),
      entry(350, { do: 'meat-off', meat }, 'off'),
      { id: `e${n++}`, at: at(360), kind: 'finish' },
    ],
    readings: Array.from({ length: 40 }, (_, i) => ({ at: at(10 * i), pitC: 120 + i, coreC: i })),
    finishedAt: at(360),
    clock: { cookMs: at(360), realMs: 0, speed: 1, running: false },
  };
}

const ONE = cook('one', Date.UTC(2027, 4, 1, 5), 30);
const TWO = cook('two', Date.UTC(2027, 4, 9, 7), 60);
const cooks = [ONE, TWO].map(comparedCook);
const marks = (by: Alignment): Record<string, number> =>
  Object.fromEntries(comparedStrip(cooks, by, DAY).marks.map((m) => [m.label, m.t / MINUTE_MS]));

describe('compared cooks', () => {
  it('are laid by the meat, by the lighting, or by the clock', () => {
    expect(marks('meat-on')).toMatchObject({ '1 on': 0, '2 on': 0, '1 off': 320, '2 off': 290 });
    expect(marks('lighting')).toMatchObject({ '1 on': 30, '2 on': 60, '1 off': 350 });
    const { '1 on': one, '2 on': two } = marks('clock');
    expect(two! - one!).toBe(150);
  });

  it('each keep all their readings until their end, in one colour', () => {
    for (const by of ['meat-on', 'lighting', 'clock'] as const) {
      const { traces, from, to, bands } = comparedStrip(cooks, by, DAY);
      expect(traces).toHaveLength(4);
      expect(traces.map((t) => t.past.length)).toEqual([37, 37, 37, 37]);
      for (const p of traces.flatMap((t) => t.past)) {
        expect(p.t >= from && p.t <= to).toBe(true);
      }
      expect(new Set(traces.map((t) => t.colour)).size).toBe(2);
      expect(bands).toHaveLength(1);
    }
  });

  it('say figure by figure what differs', () => {
    const rows = comparedRows(cooks, METRIC);
    const row = (name: string) => rows.find((r) => r.name === name);
    expect(row('On the grate')).toEqual({
      name: 'On the grate',
      values: ['5 h 20', '4 h 50'],
      differ: true,
    });
    expect(row('Pit')).toMatchObject({ differ: false });
    expect(row('Lit to meat on')!.values).toEqual(['30 min', '1 h']);
  });
});

it('brings up the notes of the pits and cuts of a plan, and no others', () => {
  const note = (part: Partial<NextTime>): NextTime => ({
    id: 'n',
    about: 'pit',
    text: 'Longer snake',
    cookId: 'c',
    cookName: 'Lunch',
    pitId: 'bosun',
    pitName: 'the Bosun',
    startMs: 0,
    ...part,
  });
  const notes = [
    note({ id: 'pit' }),
    note({ id: 'other-pit', pitId: 'tom' }),
    note({ id: 'cut', about: 'cut', cut: 'mutton-shoulder', pitId: 'tom' }),
    note({ id: 'other-cut', about: 'cut', cut: 'brisket' }),
  ];
  const { request } = PLAN;
  const pits = request.pits.map((p) => ({ ...p, name: 'the Bosun' }));
  const meats = request.meats.map((m) => ({ ...m, cut: 'mutton-shoulder' }));
  expect(notesFor(notes, { pits, meats }).map((x) => x.id)).toEqual(['pit', 'cut']);
});
