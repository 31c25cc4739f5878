import fc from 'fast-check';
import {
  advance,
  createCook,
  coreReadingC,
  foldLog,
  MINUTE_MS,
  simulate,
  surprisesOf,
  weatherAt,
  type Entry,
} from '@ostrin/core/internals';
import {
  READ_EVERY_MS,
  SimulatedThermometer,
  trueScenario,
} from '../src/instruments/simulatedThermometer';
import { planFor } from './help';

const ID = '5f0c1a52-3c1e-4d0e-9a3b-0d1f6b2c7a99';
const T0 = Date.UTC(2027, 4, 15, 7);
const plan = planFor();
let next = 0;
const act = (min: number, action: object, jobId?: string): Entry =>
  ({
    id: `e${next++}`,
    at: T0 + min * MINUTE_MS,
    kind: 'act',
    action,
    ...(jobId ? { jobId } : {}),
  }) as Entry;
const LIGHT = act(0, { do: 'set-vents', intakeFraction: 1, exhaustFraction: 1 }, 'light');
const HOLD = act(12, { do: 'set-vents', intakeFraction: 0.25, exhaustFraction: 0.5 }, 'hold');
const MEAT = act(35, { do: 'meat-on', meat: 'mutton' }, 'meat-on');

const until = (entries: Entry[], min: number, from = T0 - 10 * MINUTE_MS) => {
  const it = new SimulatedThermometer(ID, plan, from);
  it.follow(entries);
  return it.readUntil(T0 + min * MINUTE_MS);
};
const mean = (values: (number | null)[]): number => {
  const seen = values.filter((v): v is number => v !== null);
  return seen.reduce((a, b) => a + b, 0) / seen.length;
};

it('has a pit of its own: near the planned one, not the same, and the same each time', () => {
  const a = trueScenario(ID, plan);
  expect(a).toEqual(trueScenario(ID, plan));
  expect(a.scenario.cooker.overrides).not.toEqual(plan.scenarios[0].cooker.overrides);
  const { wallLossFactor, leakCm2 } = a.scenario.cooker.overrides;
  expect(wallLossFactor).toBeGreaterThan(0.7);
  expect(wallLossFactor).toBeLessThan(1.4);
  expect(leakCm2).toBeGreaterThan(3);
  expect(simulate({ ...a.scenario, untilMin: 30 }).pitC).toHaveLength(1);
});

it('reads the air until the fire is lit, and nothing of meat in the fridge', () => {
  const readings = until([], 60);
  expect(readings).toHaveLength(140);
  expect(mean(readings.map((r) => r.pitC))).toBeCloseTo(
    weatherAt(plan.scenarios[0].weather, 0).airC,
    0,
  );
  expect(readings.every((r) => r.coreC === null)).toBe(true);
});

it('keeps its beat, with noise and gaps', () => {
  const readings = until([LIGHT, HOLD, MEAT], 600);
  readings.slice(1).forEach((r, i) => expect(r.at - readings[i]!.at).toBe(READ_EVERY_MS));
  const lost = readings.filter((r) => r.pitC === null).length;
  expect(lost).toBeGreaterThan(3);
  expect(lost / readings.length).toBeLessThan(0.12);
  const steady = readings.slice(600, 640).flatMap((r) => (r.pitC === null ? [] : [r.pitC]));
  expect(new Set(steady).size).toBeGreaterThan(3);
});

it('obeys the log and only the log', () => {
  const open = until([LIGHT], 120);
  const held = until([LIGHT, HOLD], 120);
  const last = (r: typeof open) => mean(r.slice(-30).map((x) => x.pitC));
  expect(last(open)).toBeGreaterThan(last(held) + 15);
  const withMeat = until([LIGHT, HOLD, MEAT], 240);
  expect(mean(withMeat.slice(-10).map((r) => r.coreC))).toBeGreaterThan(30);
});

it('follows a correction back to when it was, and tells the same after a restart', () => {
  const it1 = new SimulatedThermometer(ID, plan, T0 - MINUTE_MS);
  it1.follow([LIGHT]);
  const first = it1.readUntil(T0 + 60 * MINUTE_MS);
  it1.follow([LIGHT, HOLD]);
  const second = it1.readUntil(T0 + 90 * MINUTE_MS);
  const fresh = until([LIGHT, HOLD], 90, first.at(-1)!.at);
  expect(second.map((r) => r.at)).toEqual(fresh.map((r) => r.at));
  second.forEach((r, i) => {
    if (r.pitC !== null && fresh[i]!.pitC !== null) {
      expect(Math.abs(r.pitC - fresh[i]!.pitC)).toBeLessThan(0.25);
    }
  });
});

it('draws a sound piece for every cook, near the catalogue, that cooks as meat does', () => {
  fc.assert(
    fc.property(fc.uuid(), (id) => {
      const { variations } = trueScenario(id, plan);
      for (const { holdingK, ...multipliers } of variations) {
        expect(Math.abs(holdingK)).toBeLessThan(2);
        for (const m of Object.values(multipliers)) {
          expect(m).toBeGreaterThan(0.5);
          expect(m).toBeLessThan(2);
        }
      }
    }),
    { numRuns: 500 },
  );
  // Ten hours bare at 121 C: a shoulder is in or past its stall, not boiling.
  for (let n = 0; n < 12; n++) {
    const { scenario, variations } = trueScenario(`cook-${n}`, plan);
    const cook = createCook(
      {
        ...scenario,
        control: { mode: 'held', schedule: [{ atMin: 0, pitC: 121 }] },
        actions: [{ atMin: 0, do: 'meat-on', meat: 'mutton' }],
      },
      { variations },
    );
    advance(cook, 600);
    const coreC = coreReadingC(cook)!;
    expect(coreC).toBeGreaterThan(62);
    expect(coreC).toBeLessThan(97);
  }
});

it('has surprises that nobody logs: a lid that stays open cools the pit, a probe that falls out reads it', () => {
  const said: Entry = { id: 'surprises', at: T0, kind: 'surprises' };
  const log = [LIGHT, HOLD, MEAT];
  const idWith = (what: string): [string, number] => {
    for (let i = 0; ; i++) {
      const id = `5f0c1a52-3c1e-4d0e-9a3b-${String(i).padStart(12, '0')}`;
      const of = surprisesOf(id, plan, foldLog([...log, said])).find((s) => s.what === what);
      if (of) return [id, of.fromMin];
    }
  };
  const last = (id: string, min: number, entries: Entry[]) => {
    const it = new SimulatedThermometer(id, plan, T0 + (min - 1.2) * MINUTE_MS);
    it.follow(entries);
    return it.readUntil(T0 + min * MINUTE_MS).findLast((r) => r.pitC !== null && r.coreC !== null)!;
  };
  const [lid, openMin] = idWith('lid-left-open');
  const without = last(lid, openMin + 12, log);
  const open = last(lid, openMin + 12, [...log, said]);
  expect(without.pitC! - open.pitC!).toBeGreaterThan(20);
  // Shut after two minutes, it comes back.
  const look = act(openMin + 2, { do: 'lid-open', seconds: 10 });
  expect(last(lid, openMin + 30, [...log, said, look]).pitC!).toBeGreaterThan(open.pitC! + 10);
  const [probe, outMin] = idWith('probe-out');
  const out = last(probe, outMin + 15, [...log, said]);
  expect(Math.abs(out.coreC! - out.pitC!)).toBeLessThan(4);
  const back = act(outMin + 10, { do: 'lid-open', seconds: 10 });
  expect(last(probe, outMin + 15, [...log, said, back]).coreC!).toBeLessThan(out.coreC! - 20);
});
