import fc from 'fast-check';
import {
  advance,
  assimilate,
  CHARCOALS,
  copyCook,
  createCook,
  createFireEstimator,
  dafFraction,
  domeOverGrateK,
  fireState,
  follow,
  FollowedFire,
  fuelLeftFraction,
  learnedUnrest,
  mean,
  membersAhead,
  outFraction,
  pitReadingC,
  presetOf,
  PRESETS,
  seeded,
  surprise,
  usualFire,
  type Action,
  type PitSighting,
  type ProbeReading,
  type Scenario,
} from '@ostrin/core/internals';
import { kettle, vents } from '@ostrin/testing';

const MUTTON = { id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4 };
const planned = (part: Partial<Scenario> = {}): Scenario =>
  kettle({ meats: [MUTTON], untilMin: 600, ...part });
const DONE: Action[] = [
  vents(0, 1, 1),
  vents(15, 0.25, 0.5),
  { atMin: 40, do: 'lid-open', seconds: 60 },
  { atMin: 40, do: 'meat-on', meat: 'a' },
  vents(150, 0.2, 0.5),
];

/** A true kettle that leaks and loses heat otherwise than its owner thinks, and what its thermometers read. */
function truth(leakTimes: number, lossTimes: number, untilMin: number, seed = 1) {
  const base = presetOf('kettle-57').parameters;
  const scenario = planned({
    cooker: {
      preset: 'kettle-57',
      overrides: { leakCm2: base.leakCm2 * leakTimes, wallLossFactor: lossTimes },
    },
  });
  const cook = createCook({ ...scenario, actions: DONE });
  const random = seeded(seed);
  const grate: PitSighting[] = [];
  const dome: PitSighting[] = [];
  const pitC: number[] = [];
  for (let min = 0; min <= untilMin; min++) {
    advance(cook, min);
    pitC.push(pitReadingC(cook));
    grate.push({ atMin: min, c: pitReadingC(cook) + 0.5 * random.normal() });
    if (min % 30 === 0) {
      dome.push({ atMin: min, c: cook.pit!.dialK - 273.15 + random.normal(), spot: 'dome' });
    }
  }
  const leftKg = cook.pit!.lit.kg + cook.pit!.unlit.kg;
  return { grate, dome, pitC, leftKg };
}

/** What is expected of a true probe half an hour on. */
function halfHourOn(readings: readonly PitSighting[], nowMin: number): number {
  const estimator = createFireEstimator(planned());
  follow(estimator, nowMin, { done: DONE, readings });
  return mean(membersAhead(estimator, 30, DONE, 8).map((m) => m.pitC[30]!));
}

describe('a copy of a cook', () => {
  it('goes on as the cook itself does, and leaves it alone, in every cooker', () => {
    for (const id of Object.keys(PRESETS)) {
      const preset = presetOf(id);
      const cook = createCook({
        ...planned(),
        cooker: { preset: id, overrides: {} },
        fire: usualFire(preset),
        control: { mode: preset.hasFan ? 'fan' : 'vents', targetC: 121 },
        actions: DONE,
      });
      advance(cook, 45);
      const copy = copyCook(cook);
      copy.pending = DONE.filter((a) => a.atMin > 45);
      const before = pitReadingC(cook);
      advance(copy, 200);
      expect(pitReadingC(cook)).toBe(before);
      advance(cook, 200);
      expect([id, pitReadingC(copy)]).toEqual([id, pitReadingC(cook)]);
      const cells = (of: typeof cook): number[] => Array.from(of.pieces[0]!.piece.tempC);
      expect(cells(copy)).toEqual(cells(cook));
    }
  });
});

describe('the filter', () => {
  const ensemble = (random = seeded(3)) =>
    Array.from({ length: 24 }, () => {
      const x = random.normal();
      return Float64Array.from([x, 2 * x + 0.1 * random.normal(), random.normal()]);
    });

  it('moves what hangs together with a reading, and leaves alone what does not', () => {
    fc.assert(
      fc.property(fc.double({ min: -2, max: 2, noNaN: true }), fc.nat(1000), (value, seed) => {
        const states = ensemble(seeded(seed));
        const expected = states.map((s) => s[0]!);
        const spread = (k: number): number => {
          const m = mean(states.map((s) => s[k]!));
          return mean(states.map((s) => (s[k]! - m) ** 2));
        };
        const [before0, before1] = [spread(0), spread(1)];
        const was = mean(expected);
        assimilate(states, { value, sd: 0.2, expected });
        const now = mean(states.map((s) => s[0]!));
        // Between what was thought and what was read, nearer to what was read, and surer.
        expect(Math.abs(now - value)).toBeLessThanOrEqual(Math.abs(was - value) + 1e-9);
        expect(spread(0)).toBeLessThan(before0);
        expect(spread(1)).toBeLessThan(before1);
        expect(mean(states.map((s) => s[1]!))).toBeCloseTo(2 * now, 0);
      }),
    );
  });

  it('believes a far reading less than a near one, and more once it is confirmed', () => {
    const pulled = (value: number, gate?: number): number => {
      const states = ensemble();
      const expected = states.map((s) => s[0]!);
      const was = mean(expected);
      assimilate(states, { value, sd: 0.2, expected }, gate);
      return (mean(states.map((s) => s[0]!)) - was) / (value - was);
    };
    expect(pulled(1)).toBeGreaterThan(0.9);
    expect(pulled(30)).toBeLessThan(0.15);
    expect(pulled(30, 8)).toBeGreaterThan(pulled(30));
    const far = { value: 30, sd: 0.2, expected: ensemble().map((s) => s[0]!) };
    expect(surprise(far)).toBeGreaterThan(10);
    expect(learnedUnrest(1, far)).toBeGreaterThan(2);
    expect(learnedUnrest(4, { ...far, value: 0 })).toBeLessThan(4);
  });
});

describe('the estimate of a fire', () => {
  const NOW = 240;
  const t = truth(1.7, 1.15, NOW + 30);

  it('expects the pit of half an hour on within 4 °C, in a pit that its owner does not know', () => {
    const grate = t.grate.filter((r) => r.atMin <= NOW);
    expect(Math.abs(halfHourOn(grate, NOW) - t.pitC[NOW + 30]!)).toBeLessThan(4);
    // With a look at the dial each half hour only, within 6 C.
    const dome = t.dome.filter((r) => r.atMin <= NOW);
    expect(Math.abs(halfHourOn(dome, NOW) - t.pitC[NOW + 30]!)).toBeLessThan(6);
  });

  it('tells what is left of the fuel within 15 % in the middle of three pits, with an honest spread', () => {
    const share = dafFraction(CHARCOALS.briquette);
    const off = [t, truth(0.7, 0.9, NOW + 30), truth(1.3, 1.1, NOW + 30)].map((pit) => {
      const each = createFireEstimator(planned());
      follow(each, NOW + 30, { done: DONE, readings: pit.grate });
      return Math.abs((fireState(each).fuelKg[1] * share) / pit.leftKg - 1);
    });
    expect([...off].sort((a, b) => a - b)[1]).toBeLessThan(0.15);
    const estimator = createFireEstimator(planned());
    follow(estimator, NOW + 30, { done: DONE, readings: t.grate });
    const { fuelKg, pitC, traits } = fireState(estimator);
    for (const [low, mid, high] of [fuelKg, pitC, ...Object.values(traits)]) {
      expect(low).toBeLessThanOrEqual(mid);
      expect(mid).toBeLessThanOrEqual(high);
    }
    expect(fuelLeftFraction(estimator)).toBeGreaterThan(0.2);
    expect(fuelLeftFraction(estimator)).toBeLessThan(0.9);
    expect(outFraction(estimator)).toBe(0);
    expect(domeOverGrateK(estimator)).toBeGreaterThan(4);
    expect(domeOverGrateK(estimator)).toBeLessThan(30);
  });

  it('does not follow one slot of a thermometer that jumps, and follows one that stays', () => {
    const jump = (from: number, to: number) =>
      t.grate
        .filter((r) => r.atMin <= NOW)
        .map((r) => (r.atMin > from && r.atMin <= to ? { ...r, c: r.c - 60 } : r));
    const pitNow = (readings: PitSighting[]): number => {
      const estimator = createFireEstimator(planned());
      follow(estimator, NOW, { done: DONE, readings });
      return fireState(estimator).pitC[1];
    };
    expect(pitNow(jump(NOW - 10, NOW - 5))).toBeGreaterThan(t.pitC[NOW]! - 15);
    expect(pitNow(jump(NOW - 60, NOW))).toBeLessThan(t.pitC[NOW]! - 40);
  });

  it('is the same number for number when it is made anew, also where something is learned late', () => {
    const readings = (until: number): ProbeReading[] =>
      t.grate
        .filter((r) => r.atMin <= until)
        .map(({ atMin, c }) => ({ atMin, pitC: c, coreC: null, domeC: null }));
    const record = (nowMin: number, done = DONE) => ({
      scenario: planned(),
      done: done.filter((a) => a.atMin <= nowMin),
      readings: readings(nowMin),
      nowMin,
      seed: 7,
    });
    const kept = new FollowedFire();
    for (const now of [12, 30, 31.5, 77, 120]) kept.at(record(now));
    const goneOn = fireState(kept.at(record(123))!);
    expect(goneOn).toEqual(fireState(new FollowedFire().at(record(123))!));
    const corrected = DONE.map((a) => (a.atMin === 15 ? { ...a, atMin: 22 } : a));
    expect(fireState(kept.at(record(123, corrected))!)).toEqual(
      fireState(new FollowedFire().at(record(123, corrected))!),
    );
    expect(fireState(kept.at(record(60))!)).toEqual(fireState(new FollowedFire().at(record(60))!));
    expect(kept.at({ ...record(60), scenario: { ...planned(), fire: undefined } })).toBeNull();
    expect(() => createFireEstimator({ ...planned(), fire: undefined })).toThrow(/scenario.fire/);
  });
});
