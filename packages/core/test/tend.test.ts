import fc from 'fast-check';
import {
  type Entry,
  actionsOf,
  diagnose,
  entryProblem,
  foldLog,
  fuelUse,
  litAtMs,
  plan,
  simulate,
  summarise,
} from '../src/internals';
import { forecast } from '../src/internals';
import { kettle, request, vents } from './scenarios';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;
const act = (id: string, min: number, action: object, jobId?: string): Entry =>
  ({ id, at: T0 + min * MIN, kind: 'act', action, ...(jobId ? { jobId } : {}) }) as Entry;

const LIT = act('lit', 0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light');
const LID = act('lid', 60, { do: 'lid-open', seconds: 60 });
const NOTE: Entry = { id: 'note', at: T0 + 70 * MIN, kind: 'note', text: 'windy' };

describe('the log', () => {
  it('folds undo and corrections, in whatever order they arrive', () => {
    const undo: Entry = { id: 'u', at: T0 + 80 * MIN, kind: 'undo', target: 'note' };
    const move: Entry = {
      id: 'm',
      at: T0 + 81 * MIN,
      kind: 'retime',
      target: 'lid',
      to: T0 + 50 * MIN,
    };
    fc.assert(
      fc.property(
        fc.shuffledSubarray([LIT, LID, NOTE, undo, move], { minLength: 5 }),
        (entries) => {
          const log = foldLog(entries);
          expect(log.lines.map((l) => l.id)).toEqual(['lit', 'lid']);
          expect(log.lines[1]).toMatchObject({ at: T0 + 50 * MIN, corrected: true });
          expect(log.finishedAt).toBeNull();
          expect([...log.jobsDone]).toEqual(['light']);
        },
      ),
    );
  });

  it('takes a correction back when that is undone', () => {
    const move: Entry = { id: 'm', at: T0, kind: 'retime', target: 'lid', to: T0 };
    const back: Entry = { id: 'b', at: T0, kind: 'undo', target: 'm' };
    expect(foldLog([LIT, LID, move, back]).lines[1]).toMatchObject({
      at: LID.at,
      corrected: false,
    });
  });

  it('counts minutes from the lighting', () => {
    const log = foldLog([LIT, LID, NOTE]);
    expect(litAtMs(log)).toBe(T0);
    expect(actionsOf(log, T0).map((a) => [a.atMin, a.do])).toEqual([
      [0, 'set-vents'],
      [60, 'lid-open'],
    ]);
    expect(litAtMs(foldLog([LID]))).toBeNull();
  });

  it('refuses what points nowhere', () => {
    const undo = (target: string): Entry => ({ id: 'x', at: T0, kind: 'undo', target });
    expect(entryProblem([LIT], undo('nobody'))).toMatchObject({ field: 'target' });
    expect(entryProblem([LIT], undo('lit'))).toBeNull();
    expect(entryProblem([undo('lit')], undo('x'))).toMatchObject({ field: 'target' });
    const finish: Entry = { id: 'f', at: T0, kind: 'finish' };
    expect(foldLog([finish]).finishedAt).toBe(T0);
    expect(
      entryProblem([finish], { id: 'r', at: T0, kind: 'retime', target: 'f', to: T0 }),
    ).not.toBeNull();
  });
});

describe('the diagnosis', () => {
  const made = plan(request(), { nowMs: T0, members: 1 });
  const at = T0 + 320 * MIN;
  /** Readings each half minute up to `at` that stand at `endC` there and moved by `perMin`, K. */
  const series = (endC: number, perMin: number, count = 640) =>
    Array.from({ length: count }, (_, i) => ({
      at: at - (count - 1 - i) * 30_000,
      pitC: i > count - 40 ? endC - (perMin * (count - 1 - i)) / 2 : 121,
    }));
  const vented = foldLog([
    LIT,
    act('v', 20, { do: 'set-vents', intakeFraction: 0.125, exhaustFraction: 0.25 }),
  ]).lines;
  const of = (
    readings: ReturnType<typeof series>,
    lines = vented,
    fuelLeftFraction: number | null = 0.5,
    on = made,
  ) => diagnose({ plan: on, readings, lines, nowMs: at, litMs: T0, fuelLeftFraction });

  it('knows steady from climbing and falling, and says how much', () => {
    expect(of(series(121, 0))).toMatchObject({
      trend: 'steady',
      place: 'in',
      cause: { code: 'on-target' },
    });
    expect(of(series(122, 0.5))).toMatchObject({ trend: 'rising' });
    expect(of(series(125, -0.6)).changeK).toBeCloseTo(-6, 0);
  });

  it('names fuel, lid, meat and vents as causes before advising the vents', () => {
    const after = (what: object) => [...vented, ...foldLog([act('z', 312, what)]).lines];
    const code = (...asked: Parameters<typeof of>) => of(...asked).cause.code;
    expect(code(series(118, -0.6), vented, 0.02)).toBe('fuel-nearly-gone');
    expect(code(series(108, -0.6), after({ do: 'lid-open', seconds: 60 }))).toBe('lid-was-open');
    expect(code(series(108, -0.6), after({ do: 'meat-on', meat: 'a' }))).toBe('cold-meat');
    const moved = after({ do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 0.5 });
    expect(code(series(140, 0), moved)).toBe('vents-just-moved');
    expect(code(series(105, -0.6))).toBe('fuel-or-wind');
  });

  it('moves the vents from where they stand, to where their owner can tell it', () => {
    const high = of(series(140, 0)).cause;
    const low = of(series(100, 0)).cause;
    if (high.code !== 'too-much-air' || low.code !== 'too-little-air') throw new Error(high.code);
    if (high.move.do !== 'set-vents' || low.move.do !== 'set-vents') throw new Error(high.move.do);
    expect(high.move.intake).toBeLessThan(0.125);
    expect(high.move.intake).toBeGreaterThan(0);
    expect(low.move.intake).toBeGreaterThan(0.125);
    expect(low.move.intake).toBeLessThan(0.5);
  });

  it('says the same all along the edge of the band', () => {
    const edge = Array.from({ length: 640 }, (_, i) => ({
      at: T0 + i * 30_000,
      pitC: i < 60 ? 40 + 1.5 * i : i < 300 ? 121 : 129 + (i % 2 === 0 ? 0.8 : -0.8),
    }));
    const said = new Set<string>();
    for (let i = 400; i < 640; i++) {
      const nowMs = edge[i]!.at;
      const readings = edge.slice(0, i + 1);
      const all = { plan: made, readings, lines: vented, nowMs, litMs: T0, fuelLeftFraction: 0.5 };
      said.add(diagnose(all).cause.code);
    }
    expect([...said]).toHaveLength(1);
  });

  it('comes up until the band was reached, and not for ever', () => {
    const coming = (minutes: number, toC: number) => {
      const readings = Array.from({ length: 2 * minutes }, (_, i) => ({
        at: T0 + i * 30_000,
        pitC: Math.min(toC, 20 + 2 * i),
      }));
      const nowMs = T0 + minutes * MIN;
      const lines = foldLog([LIT]).lines;
      const input = { plan: made, readings, lines, nowMs, litMs: T0, fuelLeftFraction: 1 };
      return diagnose(input).trend;
    };
    expect(coming(20, 121)).toBe('coming-up');
    expect(coming(120, 121)).toBe('steady');
    expect(coming(200, 95)).toBe('steady');
  });

  it('asks splits for another split and a damper, a fan for its leaks', () => {
    const on = (preset: string, fuel: 'splits' | 'briquette') => {
      const pit = { ...request().pits[0]!, cooker: { preset, overrides: {} }, fire: { fuel } };
      return { request: request({ pits: [pit] }), guides: [] };
    };
    const lit = foldLog([LIT]).lines;
    const splits = diagnose({
      plan: on('offset-heavy', 'splits'),
      readings: series(140, 0),
      lines: lit,
      nowMs: at,
      litMs: T0,
      fuelLeftFraction: null,
    });
    expect(splits.cause).toMatchObject({
      code: 'too-much-air',
      move: { do: 'other-splits', lighter: true, exhaust: 0.5 },
    });
    const fan = diagnose({
      plan: on('hopper-fan', 'briquette'),
      readings: series(140, 0),
      lines: lit,
      nowMs: at,
      litMs: T0,
      fuelLeftFraction: null,
    });
    expect(fan.cause).toMatchObject({ code: 'too-much-air', move: { do: 'look-at-fan' } });
  });

  it('waits with advice until there is a fire and a reading', () => {
    const none = { plan: made, lines: [], nowMs: at, litMs: null, fuelLeftFraction: null };
    expect(diagnose({ ...none, readings: [] })).toMatchObject({
      trend: 'unlit',
      changeK: null,
      cause: { code: 'not-lit' },
    });
  });
});

describe('the fuel of a cook', () => {
  const pit = {
    ...request().pits[0]!,
    cooker: { preset: 'offset-light', overrides: {} },
    fire: { fuel: 'splits', species: 'oak' } as const,
  };
  const made = plan(request({ pits: [pit] }), { nowMs: T0, members: 1 });
  const split = { do: 'add-fuel', fuel: 'splits', pieces: 1, massKg: 0.5, lit: false };
  const fed = Array.from({ length: 12 }, (_, i) => act(`s${i}`, 25 + 30 * i, split));
  const end: Entry = { id: 'end', at: T0 + 400 * MIN, kind: 'finish' };
  const shut = act('shut', 395, { do: 'set-vents', intakeFraction: 0, exhaustFraction: 0 });

  it('counts wood and charcoal that were burnt, and what is left', () => {
    const use = fuelUse(made, foldLog([LIT, ...fed, end]), T0 + 500 * MIN)!;
    expect(use.woodGivenKg).toBeGreaterThan(0.7 * 12 * 0.5);
    expect(use.woodBurntKg).toBeGreaterThan(0.8 * use.woodGivenKg);
    expect(use.woodBurntKg).toBeLessThanOrEqual(use.woodGivenKg);
    expect(use.charcoalGivenKg).toBeCloseTo(made.fires[0]!.massKg, 1);
    expect(use.charcoalBurntKg).toBeGreaterThan(0);
    expect(use.saved).toBe(false);
  });

  it('saves what is left where both vents were shut, and burns more when they are not', () => {
    const open = fuelUse(made, foldLog([LIT, ...fed, end]), T0 + 400 * MIN)!;
    const saved = fuelUse(made, foldLog([LIT, ...fed, shut, end]), T0 + 400 * MIN)!;
    expect(saved.saved).toBe(true);
    expect(saved.unburntKg).toBeGreaterThan(0);
    expect(open.saved).toBe(false);
    expect(fuelUse(made, foldLog([]), T0)).toBeNull();
  });
});

describe('the forecast', () => {
  const scenario = kettle({
    meats: [{ id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4, done: { coreC: 72 } }],
    untilMin: 1000,
  });
  const done = [...scenario.actions, { atMin: 30, do: 'meat-on', meat: 'a' } as const];
  const truth = simulate({ ...scenario, actions: done });
  /** What the thermometers of that truth read up to now, the pit moved by so many K and the meat's pace by a share. */
  const readings = (pitK = 0, pace = 1) =>
    Array.from({ length: 181 }, (_, atMin) => ({
      atMin,
      pitC: truth.pitC[atMin]! + pitK,
      coreC: truth.meats[0]!.coreC[Math.max(Math.round(30 + (atMin - 30) * pace), 0)] ?? null,
    }));
  const base = { scenario, done, ahead: [], nowMin: 180, members: 6, seed: 4 };

  it('starts at the reading and stays inside its own fan', () => {
    const f = forecast({ ...base, readings: readings(6) });
    expect(Math.abs(f.pitC[0]! - truth.pitC[180]! - 6)).toBeLessThan(1);
    f.pitC.forEach((c, i) => {
      if (c === null) return;
      expect(f.pitLowC[i]!).toBeLessThanOrEqual(c);
      expect(f.pitHighC[i]!).toBeGreaterThanOrEqual(c);
    });
    expect(f.readyMin![0]).toBeLessThanOrEqual(f.readyMin![1]);
    expect(f.fuelLeftFraction).toBeGreaterThan(0.3);
  });

  it('finds the truth when nothing differs, and moves later when the meat is behind', () => {
    const same = forecast({ ...base, members: 1, readings: readings() });
    expect(Math.abs(same.readyMin![1] - truth.meats[0]!.doneAtMin!)).toBeLessThan(15);
    expect(same.learned!.offK).toBeLessThan(1);
    const behind = forecast({ ...base, members: 1, readings: readings(0, 0.85) });
    expect(behind.readyMin![1]).toBeGreaterThan(same.readyMin![1] + 20);
    expect(behind.coreDifferenceK).toBeLessThan(-3);
  });

  it('goes on without readings', () => {
    const f = forecast({ ...base, members: 2, readings: [] });
    expect(f.learned).toBeNull();
    expect(f.pitDifferenceK).toBeNull();
    expect(f.pitC[0]).not.toBeNull();
  });
});

describe('the summary', () => {
  it('weighs time in band, fuel and what was planned', () => {
    const p = plan(request(), { nowMs: T0 - 864e5, members: 1 });
    const log = foldLog([
      LIT,
      act('on', 30, { do: 'meat-on', meat: 'mutton' }),
      act('fuel', 100, { do: 'add-fuel', fuel: 'briquette', pieces: 10, lit: false }),
      act('off', 400, { do: 'meat-off', meat: 'mutton' }),
    ]);
    const readings = Array.from({ length: 500 }, (_, i) => ({
      at: T0 + i * MIN,
      pitC: i < 20 ? 20 + 5 * i : i < 220 ? 121 : i % 50 === 0 ? null : 140,
    }));
    const s = summarise(p, log, readings);
    expect(s.inBandFraction).toBeCloseTo(200 / 380, 1);
    expect(s.minutesAbove).toBeGreaterThan(150);
    expect(s.off.actual).toBe(T0 + 400 * MIN);
    expect(summarise(p, foldLog([]), [])).toMatchObject({
      inBandFraction: null,
      averageC: null,
    });
  });
});

describe('engine bookkeeping', () => {
  it('does what is told at its minute and tells it', () => {
    const run = simulate(kettle({ actions: [vents(10, 0.5, 0.5), vents(0, 1, 1)] }));
    expect(run.happened.map((a) => a.atMin)).toEqual([0, 10]);
    expect(run.minutes).toHaveLength(301);
    for (const series of [run.pitC, run.domeC, run.smoke]) expect(series).toHaveLength(301);
  });
});
