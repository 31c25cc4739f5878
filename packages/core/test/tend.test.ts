import fc from 'fast-check';
import {
  planOnePit,
  actionsOf,
  alreadyLogged,
  atTheGrate,
  type Entry,
  entryProblem,
  foldLog,
  forecast,
  jobMs,
  jobsByTime,
  lastPieceReading,
  litAtMs,
  type Log,
  simulate,
  summarise,
  withHandReadings,
} from '@ostrin/core/internals';
import { kettle, request, vents } from '@ostrin/testing';

const T0 = Date.UTC(2027, 4, 15, 8);
const MIN = 60_000;
const act = (id: string, min: number, action: object, jobId?: string): Entry =>
  ({ id, at: T0 + min * MIN, kind: 'act', action, ...(jobId ? { jobId } : {}) }) as Entry;

const LIT = act('lit', 0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light');
const LID = act('lid', 60, { do: 'lid-open', seconds: 60 });
const NOTE: Entry = { id: 'note', at: T0 + 70 * MIN, kind: 'note', text: 'windy' };

describe('several phones', () => {
  const from = (device: string, e: Entry): Entry => ({ ...e, id: `${e.id}-${device}`, device });
  const later = (e: Entry, ms: number): Entry => ({ ...e, at: e.at + ms });

  it('log the same thing only where another device wrote the like within a minute', () => {
    const known = [from('a', LID), from('a', LIT)];
    expect(alreadyLogged(known, from('b', later(LID, 59_000)))).toBe(known[0]);
    expect(alreadyLogged(known, from('b', later(LID, 61_000)))).toBeNull();
    expect(alreadyLogged(known, from('a', LID))).toBeNull();
    expect(alreadyLogged(known, LID)).toBeNull();
    // A job is the same however late.
    expect(alreadyLogged(known, from('b', later(LIT, 5 * 3_600_000)))).toBe(known[1]);
    // So it is in another tab of the same device; what one touch logs of a job is not asked about.
    const again = { ...from('a', later(LIT, 400)), id: 'again' };
    expect(alreadyLogged(known, again)).toBe(known[1]);
    const door = act('door', 0, { do: 'door', openFraction: 0.2, seconds: 60 }, 'light');
    expect(alreadyLogged(known, from('a', door))).toBeNull();
    expect(alreadyLogged(known, from('b', door))).toBe(known[1]);
    const undo: Entry = { id: 'u', at: LID.at, kind: 'undo', target: known[0]!.id };
    expect(alreadyLogged([...known, undo], from('b', LID))).toBeNull();
    const halfOpen = act('v', 60, { do: 'set-vents', intakeFraction: 0.5, exhaustFraction: 1 });
    const shut = act('v', 60, { do: 'set-vents', intakeFraction: 0, exhaustFraction: 1 });
    expect(alreadyLogged([from('a', halfOpen)], from('b', shut))).toBeNull();
    expect(alreadyLogged([from('a', halfOpen)], from('b', halfOpen))).not.toBeNull();
  });
});

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
    const retime = (target: string): Entry => ({ id: 'r', at: T0, kind: 'retime', target, to: T0 });
    expect(entryProblem([finish], retime('f'))).toBeNull();
    const watch: Entry = { id: 'w', at: T0, kind: 'take-watch' };
    expect(entryProblem([watch], retime('w'))).toMatchObject({ field: 'target' });
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
  const base = { scenario, done, ahead: [], nowMin: 180, piece: 'a', members: 6, seed: 4 };

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

describe('readings by hand', () => {
  const read = (id: string, min: number, body: object): Entry =>
    ({ id, at: T0 + min * MIN, kind: 'read', ...body }) as Entry;
  const dial = read('d', 60, { spot: 'dome', c: 140 });

  it('stand beside those by wire, in order of time, and can be taken back and moved', () => {
    const log = foldLog([
      read('g', 70, { spot: 'grate', c: 122 }),
      dial,
      read('m', 65, { spot: 'meat', meat: 'a', c: 55 }),
      read('n', 66, { spot: 'meat', meat: 'b', c: 40 }),
      { id: 'r', at: T0 + 80 * MIN, kind: 'retime', target: 'g', to: T0 + 50 * MIN },
    ]);
    const wire = [{ at: T0 + 62 * MIN, pitC: 120, coreC: null }];
    const all = withHandReadings(wire, log, 'a');
    expect(all.map((r) => (r.at - T0) / MIN)).toEqual([50, 60, 62, 65]);
    expect(all[1]).toMatchObject({ pitC: null, domeC: 140 });
    expect(lastPieceReading(log, 'b')).toEqual({ at: T0 + 66 * MIN, c: 40 });
    expect(lastPieceReading(log, 'c')).toBeNull();
    const undone = foldLog([dial, { id: 'u', at: T0 + 61 * MIN, kind: 'undo', target: 'd' }]);
    expect(withHandReadings(wire, undone, 'a')).toEqual(wire);
  });

  it('of a dial count for what they mean at the grate, where the grate itself was not read', () => {
    const [known] = atTheGrate([{ at: T0, pitC: null, coreC: null, domeC: 140 }], 15);
    expect(known!.pitC).toBe(125);
    const usual = atTheGrate([{ at: T0, pitC: null, coreC: null, domeC: 140 }], null)[0]!.pitC!;
    expect(140 - usual).toBeGreaterThanOrEqual(8);
    expect(140 - usual).toBeLessThanOrEqual(25);
    expect(atTheGrate([{ at: T0, pitC: 118, coreC: null, domeC: 140 }], 15)[0]!.pitC).toBe(118);
  });
});

describe('serving at another time', () => {
  const move = (id: string, at: number, to: number): Entry => ({ id, at, kind: 'serve-at', to });

  it('is the last that was said, until it is taken back', () => {
    const [first, second] = [move('s1', T0, T0 + 1000), move('s2', T0 + 1, T0 + 2000)];
    expect(foldLog([]).serveMs).toBeNull();
    expect(foldLog([second, first]).serveMs).toBe(T0 + 2000);
    const undo: Entry = { id: 'u', at: T0 + 2, kind: 'undo', target: 's2' };
    expect(foldLog([first, second, undo]).serveMs).toBe(T0 + 1000);
  });
});

describe('the next job', () => {
  const figures = planOnePit(request(), { nowMs: T0 - 864e5, members: 2 });
  const jobs = figures.jobs.map((j) => ({ ...j, inWords: j.id, detail: '' }));
  const made = { ...figures, jobs };
  const clock = { zeroMs: T0, forecast: null };
  const ids = (log: Log, min: number): string[] =>
    jobsByTime(made, log, clock, T0 + min * MIN).map((j) => j.job.id);

  it('comes by time, whatever the order of the list; what waits for the meat moves with it', () => {
    const backwards = { ...made, jobs: [...made.jobs].reverse() };
    expect(jobsByTime(backwards, foldLog([]), clock, T0).map((j) => j.job.id)).toEqual(
      ids(foldLog([]), 0),
    );
    const times = jobsByTime(made, foldLog([]), clock, T0).map((j) => j.ms);
    expect([...times].sort((a, b) => a - b)).toEqual(times);
    const off = made.jobs.find((j) => j.id === 'off')!;
    const late: [number, number, number] = [off.atMin, off.atMin + 60, off.atMin + 90];
    const moved = jobMs(made, off, { zeroMs: T0, forecast: { wrapMin: null, readyMin: late } });
    expect(moved - jobMs(made, off, clock)).toBe(60 * MIN);
  });

  it('comes as long after the meat went on as was planned, where nothing is expected of it yet', () => {
    const onLate = (lateMin: number): Log => {
      const planned = made.jobs.find((j) => j.id === 'meat-on')!.atMin;
      return foldLog([
        LIT,
        act('on', planned + lateMin, { do: 'meat-on', meat: 'mutton' }, 'meat-on'),
      ]);
    };
    const at = (id: string, log: Log): number =>
      jobsByTime(made, log, clock, T0).find((j) => j.job.id === id)!.ms;
    for (const id of ['wrap', 'off']) {
      expect(at(id, onLate(300)) - at(id, onLate(0))).toBe(300 * MIN);
      expect(at(id, onLate(-20))).toBe(at(id, onLate(0)));
    }
    expect(at('serve', onLate(300))).toBe(at('serve', onLate(0)));
  });

  it('is never a look at the pit that was missed long ago, nor a job that was left out', () => {
    const looks = made.jobs.filter((j) => j.id.startsWith('trim-'));
    for (const look of looks) {
      expect(ids(foldLog([]), look.atMin + 20)).toContain(look.id);
      expect(ids(foldLog([]), look.atMin + 40)).not.toContain(look.id);
    }
    const skip: Entry = { id: 's', at: T0, kind: 'skip', jobId: 'meat-on' };
    expect(ids(foldLog([skip]), 0)).not.toContain('meat-on');
  });
});

describe('the summary', () => {
  it('weighs time in band, fuel and what was planned', () => {
    const p = planOnePit(request(), { nowMs: T0 - 864e5, members: 1 });
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
