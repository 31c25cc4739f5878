import { planOnePit } from '@ostrin/core/engine';
import { actionsOf, jobMs, foldLog, type Entry } from '@ostrin/core/log';
import { epochOf, METRIC, MINUTE_MS } from '@ostrin/core/quantity';
import { forecast } from '@ostrin/core/internals';
import { render, screen } from '@testing-library/react-native';
import { requestOf } from '../src/store/request';
import { firstDraft } from '../src/store/planDraft';
import { lineLabel, stripData } from '../src/strip/fromCook';
import type { Mark, StripData } from '../src/strip/model';
import { Strip } from '../src/strip/Strip';
import { readyWords } from '../src/tend/readyWords';
import { DAY } from '../src/ui/tokens';
import { BOSUN } from './help';

const UNITS = { temperature: 'C', mass: 'kg' } as const;
const PLAN = planOnePit(requestOf(firstDraft(Date.UTC(2027, 4, 14), 'UTC'), [BOSUN], UNITS), {
  nowMs: 0,
  members: 2,
});
const T0 = epochOf(PLAN.lightAt, 'UTC');
const act = (id: string, min: number, action: object, jobId?: string): Entry =>
  ({ id, at: T0 + min * MINUTE_MS, kind: 'act', action, ...(jobId ? { jobId } : {}) }) as Entry;
const ENTRIES: Entry[] = [
  act('a', 0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light'),
  act('b', 12, { do: 'set-vents', intakeFraction: 0.25, exhaustFraction: 0.5 }, 'hold'),
  act('c', 35, { do: 'meat-on', meat: 'mutton' }, 'meat-on'),
  { id: 'd', at: T0 + 50 * MINUTE_MS, kind: 'note', text: 'a note with quite a long text to it' },
];
const LOG = foldLog(ENTRIES);
const NOW = T0 + 120 * MINUTE_MS;
const READINGS = Array.from({ length: 240 }, (_, i) => ({
  at: T0 + i * 30_000,
  pitC: i % 50 === 0 ? null : 119 + (i % 3),
  coreC: i < 70 ? null : i / 5,
}));
const FORECAST = forecast({
  scenario: PLAN.scenarios[0],
  done: actionsOf(LOG, T0),
  ahead: [],
  piece: 'mutton',
  nowMin: 120,
  readings: READINGS.map((r) => ({ ...r, atMin: (r.at - T0) / MINUTE_MS })),
  members: 1,
  seed: 1,
});

const build = (part: Partial<Parameters<typeof stripData>[0]> = {}): StripData =>
  stripData({
    plan: PLAN,
    startMs: T0,
    log: LOG,
    readings: READINGS,
    forecast: null,
    now: NOW,
    from: T0 - 20 * MINUTE_MS,
    to: NOW + 90 * MINUTE_MS,
    theme: DAY,
    units: METRIC,
    ...part,
  });

describe('what the strip is made of', () => {
  it('shows the band of each pace: the first, one that was set, one that is still planned', () => {
    const set = (at: number, targetC: number) => ({
      id: `t${targetC}`,
      by: 'x',
      at,
      corrected: false,
      body: { kind: 'act' as const, action: { do: 'set-target' as const, targetC } },
    });
    const job = {
      ...PLAN.jobs.find((j) => j.id === 'hold')!,
      id: 'second-pace',
      atMin: 600,
      logs: [{ do: 'set-target' as const, targetC: 107 }],
    };
    const bands = build({
      plan: { ...PLAN, jobs: [...PLAN.jobs, job] },
      log: { ...LOG, lines: [...LOG.lines, set(NOW - MINUTE_MS, 135)] },
    }).bands.map((b) => b.bandC);
    expect(bands).toEqual([
      [113, 129],
      [127, 143],
      [99, 115],
    ]);
  });

  it('joins what happened, what is expected and what is to do', () => {
    const data = build();
    const [pit, meat] = data.traces;
    expect([pit!.label, meat!.label]).toEqual(['pit', 'mutton']);
    expect(pit!.past).toHaveLength(READINGS.length);
    expect(pit!.future[0]!.t).toBeGreaterThanOrEqual(NOW);
    expect(data.bands.map((b) => b.bandC)).toEqual([[113, 129]]);
    const marks = new Map(data.marks.map((m) => [m.key, m]));
    expect(marks.get('b')).toMatchObject({ kind: 'vents', done: true, label: 'vents ¼, ½' });
    expect(marks.get('d')).toMatchObject({ kind: 'note' });
    expect(marks.get('job-wrap')).toMatchObject({ kind: 'meat', done: false });
    expect(marks.has('job-hold')).toBe(false);
    expect(data.marks.filter((m) => !m.done).every((m) => m.t >= NOW)).toBe(true);
  });

  it('anchors the future to the forecast once there is one', () => {
    const future = build({ forecast: FORECAST }).traces[0]!.future;
    expect(future[0]).toMatchObject({ t: NOW });
    expect(Math.abs(future[0]!.c! - 120)).toBeLessThan(2);
  });

  it('expects nothing of a fire that is out', () => {
    const { traces } = build({ forecast: FORECAST, isOut: true });
    expect(traces.every((t) => t.future.length === 0)).toBe(true);
    expect(traces[0]!.past).toHaveLength(READINGS.length);
  });

  it('shows a finished cook without a now or a future', () => {
    const data = build({ now: null });
    expect(data.traces.every((t) => t.future.length === 0)).toBe(true);
    expect(data.marks.every((m) => m.done)).toBe(true);
  });

  it('serves when people sit down, whenever the fire was lit', () => {
    const serve = PLAN.jobs.find((j) => j.id === 'serve')!;
    const at = (zeroMs: number) => ({ zeroMs, forecast: null });
    expect(jobMs(PLAN, serve, at(T0 + 3_600_000))).toBe(epochOf(PLAN.serveAt, 'UTC'));
    const meat = PLAN.jobs.find((j) => j.id === 'meat-on')!;
    expect(jobMs(PLAN, meat, at(T0 + 3_600_000)) - jobMs(PLAN, meat, at(T0))).toBe(3_600_000);
  });

  it('names lines and windows in words', () => {
    expect(LOG.lines.map((l) => lineLabel(l, PLAN, METRIC)).slice(0, 3)).toEqual([
      'fire lit',
      'vents ¼, ½',
      'meat on',
    ]);
    const read = { kind: 'read', spot: 'meat', c: 93 } as const;
    expect(lineLabel({ id: 'r', at: T0, corrected: false, body: read }, PLAN, METRIC)).toBe(
      'in the meat 93 °C',
    );
    const [{ id }] = PLAN.request.meats;
    const none = { id, readyMin: null, horizonMin: null, offMs: null };
    const T = Date.UTC(2027, 0, 1, 8);
    expect(readyWords(PLAN, none, null)).toMatch(/^ready \d\d:\d\d–\d\d:\d\d$/);
    expect(readyWords(PLAN, { ...none, id: 'added' }, T)).toBe('not known yet');
    expect(readyWords(PLAN, { ...none, readyMin: [60, 90, 120] }, T)).toBe('ready 09:00–10:00');
    expect(readyWords(PLAN, { ...none, readyMin: [61, 90, 119] }, T)).toBe('ready 09:00–10:00');
    expect(readyWords(PLAN, { ...none, readyMin: [61, 90, 140], horizonMin: 130 }, T)).toBe(
      'ready 09:00 to after 10:15',
    );
    // What was planned is not said of a piece that is off, or of a fire that is out.
    expect(readyWords(PLAN, { ...none, offMs: T }, T)).toMatch(/^off \d\d:\d\d$/);
    expect(readyWords(PLAN, none, T, true)).toBe('not in sight');
  });
});

describe('the strip drawn', () => {
  const crowd = (n: number): Mark[] =>
    Array.from({ length: n }, (_, i) => ({
      key: `m${i}`,
      t: NOW + i * 1000,
      kind: (['fuel', 'vents', 'lid', 'meat', 'note', 'watch'] as const)[i % 6]!,
      label: `a very long remark number ${i}`,
      done: i % 2 === 0,
    }));
  const five = (data: StripData): StripData => ({
    ...data,
    traces: Array.from({ length: 5 }, (_, i) => ({
      ...data.traces[i % 2]!,
      key: `t${i}`,
      label: `shoulder ${i}`,
    })),
    marks: crowd(40),
  });

  it.each([
    ['down', true, 390, 420],
    ['across', false, 900, 520],
  ])('%s: with five pieces, forty remarks and both ends of time', (_name, down, width, height) => {
    render(
      <Strip
        data={five(build())}
        width={width}
        height={height}
        down={down}
        units={UNITS}
        timeZone="UTC"
      />,
    );
    const tree = JSON.stringify(screen.toJSON());
    expect(tree).not.toMatch(/NaN/);
    for (let i = 0; i < 5; i++) expect(tree).toContain(`shoulder ${i}`);
    expect(tree).toMatch(/100°/);
    expect(tree).toMatch(/\d\d:00/);
  });

  it('draws an empty cook and a scale in F', () => {
    render(
      <Strip
        data={build({ readings: [], log: foldLog([]) })}
        width={390}
        height={400}
        down
        units={{ temperature: 'F', mass: 'lb' }}
        timeZone="UTC"
      />,
    );
    const tree = JSON.stringify(screen.toJSON());
    expect(tree).not.toMatch(/NaN/);
    expect(tree).toMatch(/200°/);
  });
});
