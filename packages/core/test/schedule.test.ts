import fc from 'fast-check';
import {
  allowanceMin,
  beforeBed,
  bestCandidate,
  createSimulatedOperator,
  epochOf,
  habitPolicy,
  maxHoldMin,
  missChances,
  type Observation,
  prepareJobs,
  presetOf,
  quantile,
  thawHours,
  usualFire,
  watchOf,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const minutes = fc.array(fc.integer({ min: 60, max: 1200 }), { minLength: 10, maxLength: 80 });

describe('when to light', () => {
  it('is never later than the wanted chance allows, and uses the hold where there is one', () => {
    fc.assert(
      fc.property(
        minutes,
        fc.double({ min: 0.5, max: 0.97, noNaN: true }),
        fc.integer({ min: 10, max: 900 }),
        (ready, chance, hold) => {
          const allow = allowanceMin(ready, chance, hold);
          const { late } = missChances(ready, allow, allow - hold);
          expect(late).toBeLessThanOrEqual(1 - chance + 1 / ready.length + 1e-9);
          const inside = (a: number): number => ready.filter((v) => v <= a && v >= a - hold).length;
          const sorted = [...ready].sort((a, b) => a - b);
          expect(inside(allow)).toBeGreaterThanOrEqual(inside(quantile(sorted, chance)));
        },
      ),
    );
  });

  it('counts cooks that are never done as late', () => {
    expect(missChances([100, NaN, 300], 200, 50)).toEqual({ late: 2 / 3, early: 0 });
    expect(allowanceMin([100, NaN, NaN, NaN], 0.9, 60)).toBe(Infinity);
  });

  it('holds big pieces for hours, thin ones and roasts not', () => {
    const meat = request().meats[0];
    const box = maxHoldMin(meat);
    expect(box).toBeGreaterThanOrEqual(240);
    expect(maxHoldMin({ ...meat, cut: 'spare-ribs', massKg: 1.2 })).toBeLessThan(box);
    expect(
      maxHoldMin({ ...meat, cut: 'rib-roast', massKg: 2.3, done: { coreC: 52 } }),
    ).toBeLessThan(120);
    expect(maxHoldMin({ ...meat, rest: { where: 'tented', minutes: 300 } })).toBe(300);
  });
});

it('thaws and salts before the fire, in that order', () => {
  const meat = { ...request().meats[0], frozen: true, prepare: 'dry-brine' as const };
  const { jobs, leadMin } = prepareJobs(meat, 2, 30, (j) => j);
  expect(leadMin).toBe(60 * (thawHours(2.5) + 14));
  expect(jobs.map((j) => j.id)).toEqual(['salt', 'thaw']);
  expect(jobs[1]!.atMin).toBe(30 - leadMin);
});

it('gets nobody up at night to salt, brine or thaw', () => {
  const zone = 'Europe/Ljubljana';
  const at = (text: string): number => epochOf(text, zone);
  expect(beforeBed(at('2027-05-15T04:00'), 0, zone)).toBe(360);
  expect(beforeBed(at('2027-05-15T22:30'), 0, zone)).toBe(30);
  expect(beforeBed(at('2027-05-15T06:00'), 0, zone)).toBe(0);
  expect(beforeBed(at('2027-05-15T04:00'), at('2027-05-15T02:00'), zone)).toBe(0);
  const meat = { ...request().meats[0], frozen: true, prepare: 'brine' as const };
  const plain = prepareJobs(meat, 1, 0, (j) => j);
  const kind = prepareJobs(
    meat,
    1,
    0,
    (j) => j,
    (min) => (min === -600 ? 90 : 0),
  );
  expect(kind.leadMin).toBe(plain.leadMin);
  expect(kind.jobs.map((j, i) => plain.jobs[i]!.atMin - j.atMin)).toEqual([90, 90]);
  const ribs = { ...meat, frozen: false, cut: 'spare-ribs', prepare: 'season' as const };
  expect(
    prepareJobs(
      ribs,
      1,
      0,
      (j) => j,
      () => 300,
    ).jobs[0]!.atMin,
  ).toBe(-25);
});

it('shares the watch without losing a visit', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: -40, max: 900 }), { minLength: 2, maxLength: 40 }),
      fc.integer({ min: 1, max: 5 }),
      (at, n) => {
        const jobs = at.map((clockMin, i) => ({
          id: String(i),
          at: '2027-05-15T08:00',
          atMin: clockMin,
          clockMin,
          do: 'check' as const,
          inWords: '',
          detail: '',
          logs: [],
        }));
        const crew = Array.from({ length: n }, (_, i) => `w${i}`);
        const { visits, shifts } = watchOf(jobs, crew, 0, 'UTC');
        expect(shifts.reduce((sum, s) => sum + s.visits, 0)).toBe(visits);
        shifts.slice(1).forEach((s, i) => expect(s.from).toBe(shifts[i]!.to));
      },
    ),
  );
});

describe('the best way of holding a fire', () => {
  const score = (outFraction: number, whiteFraction: number, visitsPerHour: number) => ({
    score: { meanC: 120, rmsK: 2, outFraction, whiteFraction, visitsPerHour },
  });

  it('counts time in the band first, then clean smoke, then visits', () => {
    const steady = score(0.02, 0.2, 4);
    const clean = score(0.03, 0, 4);
    const idle = score(0.04, 0.01, 1);
    const wild = score(0.5, 0, 0);
    expect(bestCandidate([wild, steady], 8)).toBe(steady);
    expect(bestCandidate([wild, steady, clean], 8)).toBe(clean);
    expect(bestCandidate([wild, steady, clean, idle], 8)).toBe(idle);
  });
});

describe('the simulated operator', () => {
  const preset = presetOf('kettle-57');
  const scenario = {
    ostrin: 'scenario/1' as const,
    cooker: { preset: 'kettle-57', overrides: {} },
    fire: usualFire(preset),
    weather: request().weather,
    control: { mode: 'vents' as const },
    actions: [],
    meats: [],
    untilMin: 60,
    everyMin: 1,
  };
  const seen = (atMin: number, pitC: number, part: Partial<Observation> = {}): Observation => ({
    atMin,
    pitC,
    unlitKg: 2,
    litKg: 0.4,
    woodKg: 0,
    sinceLidMin: Infinity,
    ...part,
  });

  it('closes down on the way up, leaves the dip of a lid alone, and moves the right way', () => {
    const policy = habitPolicy(preset, usualFire(preset), 120);
    const operator = createSimulatedOperator(scenario, 120, policy);
    const vents = (look: Observation): number[] =>
      operator.decide(look).flatMap((a) => (a.do === 'set-vents' ? [a.intakeFraction] : []));
    expect(vents(seen(0, 10))).toEqual([1]);
    expect(vents(seen(10, 80))).toEqual([]);
    const [held] = vents(seen(15, 112));
    expect(held).toBeCloseTo(policy.hold.intake, 1);
    for (const at of [20, 25, 30]) expect(vents(seen(at, 120))).toEqual([]);
    expect(vents(seen(35, 90, { sinceLidMin: 4 }))).toEqual([]);
    for (const at of [40, 45, 50]) operator.decide(seen(at, 120));
    const wider = vents(seen(55, 108));
    expect(wider[0] ?? 1).toBeGreaterThan(held!);
  });

  it('tops up what will not last, and nothing at the end', () => {
    const policy = { ...habitPolicy(preset, usualFire(preset), 120), untilMin: 200 };
    const operator = createSimulatedOperator(scenario, 120, policy);
    const feeds = (look: Observation): boolean =>
      operator.decide(look).some((a) => a.do === 'add-fuel');
    for (let at = 5; at <= 60; at += 5) feeds(seen(at, 120, { unlitKg: 2 - at * 0.02 }));
    expect(feeds(seen(65, 120, { unlitKg: 0.1, litKg: 0.2 }))).toBe(true);
    for (let at = 70; at <= 190; at += 5) feeds(seen(at, 120, { unlitKg: 1 }));
    expect(feeds(seen(195, 120, { unlitKg: 0.1, litKg: 0.2 }))).toBe(false);
  });

  it('opens the exhaust along with a wide intake, never all at once', () => {
    const habit = habitPolicy(preset, usualFire(preset), 120);
    const policy = { ...habit, hold: { intake: 0.5, exhaust: 0.5 } };
    const operator = createSimulatedOperator(scenario, 120, policy);
    const moves: [number, number][] = [];
    // A pit that stays cold whatever is opened.
    for (let at = 0; at <= 400; at += 5) {
      for (const a of operator.decide(seen(at, at < 15 ? 40 : at < 30 ? 119 : 108))) {
        if (a.do === 'set-vents') moves.push([a.intakeFraction, a.exhaustFraction]);
      }
    }
    const held = moves.slice(1);
    expect(held[0]).toEqual([0.5, 0.5]);
    expect(held.at(-1)).toEqual([1, 1]);
    held.slice(1).forEach(([intake, exhaust], i) => {
      const [before, was] = held[i]!;
      expect(intake).toBeGreaterThanOrEqual(before);
      expect(exhaust).toBeGreaterThanOrEqual(was);
      expect(exhaust).toBeLessThanOrEqual(Math.max(0.5, intake) + 1e-9);
    });
  });
});
