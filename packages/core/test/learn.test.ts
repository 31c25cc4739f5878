/** Learning a pit from its cooks: what they tell is found, what they do not stays as usual. */
import {
  planOnePit,
  advance,
  ANOTHER_KIND_SD,
  celsius,
  createCook,
  createSimulatedOperator,
  domeRelation,
  doubtOf,
  foldLog,
  keptPit,
  LEARNED,
  learnPit,
  loggedCookOf,
  MILD_DAY,
  plan,
  presetOf,
  PRESETS,
  replayedPitC,
  sdOfKnown,
  settledC,
  simulate,
  sizedLike,
  steadyScenario,
  usedReadings,
  usualFire,
  PIT_SD,
  type Action,
  type LoggedCook,
  type Scenario,
} from '@ostrin/core/internals';
import { request } from '@ostrin/testing';

const LASTS_MIN = 420;

/** A cook on a kettle that is really so, held at a heat by hand, and read each half hour. */
function cookOn(
  overrides: Scenario['cooker']['overrides'],
  targetC: number,
  { biasK = 0, without }: { biasK?: number; without?: (a: Action) => boolean } = {},
): LoggedCook {
  const preset = presetOf('kettle-57');
  const scenario: Scenario = {
    ostrin: 'scenario/1',
    cooker: { preset: preset.id, overrides: {} },
    fire: usualFire(preset),
    weather: { airC: 14, windMps: 2, relativeHumidityFraction: 0.6, altitudeM: 200, rainMmPerH: 0 },
    control: { mode: 'tended', targetC },
    actions: [],
    meats: [],
    untilMin: LASTS_MIN,
    everyMin: 1,
  };
  const truth = { ...scenario, cooker: { preset: preset.id, overrides } };
  const cook = createCook(truth, { operator: createSimulatedOperator(truth, targetC) });
  const readings: LoggedCook['readings'] = [];
  for (let atMin = 30; atMin < LASTS_MIN; atMin += 30) {
    advance(cook, atMin);
    readings.push({ atMin, pitC: celsius(cook.pit!.probeK) + biasK });
  }
  const done = cook.happened.filter((a): a is Action => a.do === 'set-vents');
  return {
    id: `${targetC}`,
    scenario,
    done: without ? done.filter((a) => !without(a)) : done,
    readings,
  };
}

const BEFORE = { preset: 'kettle-57', overrides: {} };
const { leakCm2 } = presetOf('kettle-57').parameters;
const LEAKY = { leakCm2: 2 * leakCm2, wallLossFactor: 1.2 };

describe('a pit and its cooks', () => {
  it('replays a cook to where it was, from its log alone', () => {
    const cook = cookOn(LEAKY, 121);
    const told = replayedPitC(
      cook,
      { overrides: LEAKY, windTimes: 1 },
      cook.readings.map((r) => r.atMin),
    );
    cook.readings.forEach((r, i) => expect(Math.abs(told[i]! - r.pitC!)).toBeLessThan(0.5));
  });

  it('finds that a pit leaks more and loses more, and says how sure that is', () => {
    const learned = learnPit(
      BEFORE,
      [107, 121, 135].map((c) => cookOn(LEAKY, c)),
    );
    const { leakCm2: leak } = learned.figures;
    expect(leak.told).toBe(true);
    // Openings and wind explain a part of it as well: the middle of what is likely lies between usual and true.
    expect(leak.times).toBeGreaterThan(1.15);
    expect(leak.times).toBeLessThan(2.3);
    expect(leak.sdLn).toBeLessThan(LEARNED.leakCm2);
    for (const c of learned.cooks) {
      expect(c.leftOut).toBeNull();
      expect(c.afterK!).toBeLessThan(0.6 * c.beforeK!);
    }
  });

  it('knows where the pit settles at settings and on days that no cook had, better than before', () => {
    const learned = learnPit(
      BEFORE,
      [107, 121, 135].map((c) => cookOn(LEAKY, c)),
    );
    const settles = (overrides: Scenario['cooker']['overrides'], intake: number): number => {
      const weather = { ...MILD_DAY, airC: 3, windMps: 4 };
      const run = steadyScenario({ preset: 'kettle-57', overrides, weather }, intake, 0.5, 300);
      return settledC(simulate(run).pitC, run.everyMin);
    };
    const { values } = keptPit(BEFORE, learned);
    const off = (overrides: Scenario['cooker']['overrides']): number =>
      [0.1, 0.4].reduce((s, i) => s + Math.abs(settles(overrides, i) - settles(LEAKY, i)), 0);
    expect(off(values)).toBeLessThan(0.5 * off({}));
  });

  it('leaves a pit that is as usual as it is', () => {
    const learned = learnPit(
      BEFORE,
      [107, 129].map((c) => cookOn({}, c)),
    );
    // What nobody knows is as doubtful as pits are, and not more.
    for (const key of ['leakCm2', 'wallLossFactor', 'spreadFactor'] as const) {
      expect(keptPit(BEFORE, learned).known[key]).toBeLessThanOrEqual(PIT_SD[key]);
    }
    for (const f of Object.values(learned.figures))
      expect(Math.abs(Math.log(f.times))).toBeLessThan(0.15);
    expect(Math.abs(learned.probeBiasK)).toBeLessThan(3);
  });

  it('is surer the more cooks it has', () => {
    const cooks = [107, 121, 135].map((c) => cookOn(LEAKY, c));
    const [one, three] = [1, 3].map((n) => learnPit(BEFORE, cooks.slice(0, n)));
    expect(three!.figures.leakCm2.sdLn).toBeLessThan(one!.figures.leakCm2.sdLn);
    expect(doubtOf(three!.fit, 0)).toBeLessThan(1);
  });

  it('does not let one move that nobody logged bend the pit', () => {
    const clean = [107, 121, 135].map((c) => cookOn({}, c));
    const missing = cookOn({}, 113, { without: (a) => a.atMin > 60 && a.atMin < 140 });
    const learned = learnPit(BEFORE, [...clean, missing]);
    expect(Math.abs(Math.log(learned.figures.leakCm2.times))).toBeLessThan(0.25);
  });
});

describe('what is made of it', () => {
  it('takes what was set by hand as where it begins, and keeps the rest of it', () => {
    const known = { ...BEFORE, overrides: { leakCm2: 2 * leakCm2, wallMm: 1.5 } };
    const learned = learnPit(known, [cookOn(LEAKY, 121)]);
    const kept = keptPit(known, learned);
    expect(kept.cooks).toEqual(['121']);
    expect(Math.abs(Math.log(kept.values.leakCm2! / (2 * leakCm2)))).toBeLessThan(0.4);
    expect(kept.values.wallMm).toBeUndefined();
  });

  it('replays each cook with the water that was in its pan, over what its owner set', () => {
    const cook = cookOn({}, 121);
    const at = [120, 180, 240];
    const bullet = (overrides: object) => ({
      ...cook,
      scenario: {
        ...cook.scenario,
        cooker: { preset: 'bullet-47', overrides },
        fire: usualFire(presetOf('bullet-47')),
      },
    });
    const tried = { overrides: { waterKg: 4 }, windTimes: 1 };
    const [full, dry] = [{}, { waterKg: 0 }].map((o) => replayedPitC(bullet(o), tried, at));
    expect(Math.max(...dry!)).toBeGreaterThan(Math.max(...full!) + 5);
  });

  it('says nothing of a cook with too few readings, or without a fire', () => {
    const cook = cookOn({}, 121);
    const few = { ...cook, id: 'few', readings: cook.readings.slice(0, 3) };
    const learned = learnPit(BEFORE, [cook, few]);
    expect(learned.cooks.find((c) => c.id === 'few')).toEqual({
      id: 'few',
      beforeK: null,
      afterK: null,
      leftOut: 'few-readings',
    });
    const log = foldLog([]);
    expect(loggedCookOf('x', { scenarios: [cook.scenario] }, log, [])).toBeNull();
  });

  it('tells its share of the work, rising to the end', () => {
    const shares: number[] = [];
    learnPit(BEFORE, [cookOn({}, 121)], { onProgress: (s) => shares.push(s) });
    expect(shares.length).toBeGreaterThan(5);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(Math.max(...shares)).toBeLessThanOrEqual(1);
  });
});

describe('readings that say how a pit holds', () => {
  it('leaves out coming up, an open lid, a fire that dies, and what lies too near together', () => {
    const cook = cookOn({}, 121);
    const readings = [10, 45, 50, 95, 130, 170, 210].map((atMin) => ({ atMin, pitC: 120 }));
    readings[6]!.pitC = 60;
    const done: Action[] = [{ atMin: 90, do: 'lid-open', seconds: 60 }];
    const used = usedReadings({ ...cook, done, readings }).map((r) => r.atMin);
    expect(used).toEqual([45, 130, 170]);
  });
});

describe('a plan for a pit that is known', () => {
  it('has narrower windows, and says what its thermometer reads', () => {
    const usual = request();
    const planned = (part: object) =>
      plan(
        { ...usual, pits: [{ ...usual.pits[0], ...part }] },
        { nowMs: Date.UTC(2027, 4, 12, 12), members: 24 },
      );
    const known = { leakCm2: 0.05, wallLossFactor: 0.02, spreadFactor: 0.02 };
    const spread = (p: ReturnType<typeof planned>): number => {
      const ready = p.ready[0]!.likelyMin!.filter((v): v is number => v !== null);
      return Math.max(...ready) - Math.min(...ready);
    };
    const [stranger, friend] = [planned({}), planned({ known, probeOffsetK: 6 })];
    expect(spread(friend)).toBeLessThan(1.1 * spread(stranger));
    const hold = friend.jobs.find((j) => j.id === 'hold')!.facts;
    expect(hold.kind === 'hold' && hold.probeOffsetK).toBe(6);
    expect(sdOfKnown(known).leakCm2).toBe(0.05);
    expect(sdOfKnown({ ...known, leakCm2: 9 }).leakCm2).toBe(ANOTHER_KIND_SD.leakCm2);
    expect(sdOfKnown(undefined)).toBe(PIT_SD);
  });
});

describe('what is learned beside its figures', () => {
  it('is what the dial in the lid reads more than the grate, each cook counting alike', () => {
    const cook = (overK: number, n: number) => ({
      readings: Array.from({ length: n }, (_, i) => ({
        atMin: 70 + 20 * i,
        pitC: 120 + (i % 3),
        domeC: 120 + (i % 3) + overK,
      })),
    });
    const both = domeRelation([cook(10, 30), cook(20, 5)])!;
    expect([both.overK, both.cooks]).toEqual([15, 2]);
    expect(both.spanK).toEqual([10, 20]);
    expect(domeRelation([cook(10, 2)])).toBeNull();
    const coming = cook(40, 12).readings.map((r) => ({ ...r, atMin: r.atMin / 10 }));
    expect(domeRelation([{ readings: coming }])).toBeNull();
    const alone = cook(10, 12).readings.map((r) => ({ ...r, pitC: null }));
    expect(domeRelation([{ readings: alone }])).toBeNull();
  });

  it('is how much of the wind reaches it: plans use that, and learning again begins with the day itself', () => {
    const usual = request();
    const weather = { ...MILD_DAY, windMps: 6 };
    const made = planOnePit(
      { ...usual, weather, pits: [{ ...usual.pits[0], windTimes: 0.5, domeOverGrateK: 21 }] },
      { nowMs: Date.UTC(2027, 4, 12, 12), members: 1 },
    );
    const wind = (of: Scenario): number => [of.weather].flat()[0]!.windMps;
    expect(wind(made.scenarios[0])).toBe(3);
    const light = { id: 'a', at: 0, jobId: 'light', kind: 'job' } as const;
    const logged = loggedCookOf('x', made, foldLog([light]), [])!;
    expect(wind(logged.scenario)).toBe(6);
  });

  it('is as wide for a pit of another kind as nothing of the catalogue is', () => {
    const usual = request();
    const spread = (known?: typeof ANOTHER_KIND_SD): number => {
      const pits = [{ ...usual.pits[0], ...(known ? { known } : {}) }];
      const made = plan({ ...usual, pits }, { nowMs: Date.UTC(2027, 4, 12, 12), members: 40 });
      return made.fires[0]!.inBandFraction!;
    };
    expect(spread(ANOTHER_KIND_SD)).toBeLessThan(spread());
  });
});

it('gives a pit of another kind the figures of the nearest one where it is as large, and more skin where it is larger', () => {
  for (const preset of Object.values(PRESETS)) {
    const { parameters } = preset;
    const same = sizedLike(parameters, parameters);
    for (const [key, value] of Object.entries(same)) {
      expect([preset.id, key, value]).toEqual([
        preset.id,
        key,
        expect.closeTo(parameters[key as keyof typeof parameters], 9),
      ]);
    }
    const larger = sizedLike(parameters, { ...parameters, diameterM: 1.3 * parameters.diameterM });
    expect(larger.chamberWallM2!).toBeGreaterThan(1.1 * parameters.chamberWallM2);
    expect(larger.volumeM3!).toBeCloseTo(1.69 * parameters.volumeM3, 6);
  }
});
