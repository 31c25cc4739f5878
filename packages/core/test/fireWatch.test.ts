/** What goes wrong is named for what it is; nothing is named where nothing is wrong. */
import {
  advance,
  advise,
  movesFor,
  type AdviseInput,
  createCook,
  createFireEstimator,
  faultKinds,
  follow,
  habitPolicy,
  designFire,
  namedFault,
  pitReadingC,
  presetOf,
  PRESETS,
  putColdPieceOn,
  seeded,
  storm,
  usualFire,
  type Action,
  type Cook,
  type FireNews,
  type Scenario,
  type WeatherReading,
} from '@ostrin/core/internals';
import { kettle, request, vents } from '@ostrin/testing';

const MUTTON = { id: 'a', cut: 'mutton-shoulder', massKg: 2.5, startC: 4 };
const planned: Scenario = kettle({
  meats: [MUTTON],
  untilMin: 600,
  control: { mode: 'vents', targetC: 121 },
});
const DONE: Action[] = [
  vents(0, 1, 1),
  vents(15, 0.25, 0.5),
  { atMin: 40, do: 'lid-open', seconds: 60 },
  { atMin: 40, do: 'meat-on', meat: 'a' },
];
const FROM = 152;

/** What the instruments of a kettle told up to `untilMin`, in which `wrong` happens at `FROM`. */
function told(
  untilMin: number,
  wrong: (cook: Cook) => void = () => undefined,
  felt: (c: number, min: number) => number = (c) => c,
): FireNews {
  const cook = createCook({ ...planned, actions: DONE });
  cook.pit!.unlit.paceFactor *= 1.08;
  const random = seeded(4);
  const readings: FireNews['readings'][number][] = [];
  const weather: WeatherReading[] = [];
  for (let min = 0; min <= untilMin; min++) {
    if (min === FROM) {
      wrong(cook);
      cook.stepS = 2;
    }
    advance(cook, min);
    readings.push({ atMin: min, c: felt(pitReadingC(cook), min) + 0.5 * random.normal() });
    readings.push({ atMin: min, c: cook.pit!.dialK - 273.15 + random.normal(), spot: 'dome' });
    const now = cook.scenario.weather;
    const { airC, windMps, rainMmPerH } = Array.isArray(now) ? now[0]! : now;
    if (min % 10 === 0) weather.push({ atMin: min, airC, windMps, rainMmPerH });
  }
  return { done: DONE, readings, weather };
}

/** What is named at each slot from the fault on, until something is. */
function firstNamed(news: FireNews, untilMin: number): { fault: string; atMin: number } | null {
  const estimator = createFireEstimator(planned, { seed: 2 });
  for (let now = 5; now <= untilMin; now += 5) {
    const known = { ...news, weather: news.weather!.filter((w) => w.atMin <= now) };
    follow(estimator, now, known);
    const named = namedFault(estimator, known);
    if (named) return { fault: named.fault, atMin: now };
  }
  return null;
}

describe('trouble in a kettle', () => {
  interface Trouble {
    fault: string;
    wrong: (cook: Cook) => void;
    felt?: (c: number, min: number) => number;
  }
  const TROUBLES: Trouble[] = [
    {
      fault: 'lid-left-open',
      wrong: (c) => {
        c.pit!.lidOpen = true;
        c.lidUntilS = Infinity;
      },
    },
    {
      fault: 'probe-off',
      wrong: () => undefined,
      felt: (c, min) => (min > FROM ? 18 + (c - 18) * 0.1 : c),
    },
    { fault: 'wind-or-rain', wrong: (c) => storm(c, 2, 15) },
    {
      fault: 'cold-load',
      wrong: (c) => {
        putColdPieceOn(c, 11);
        c.pit!.lidOpen = true;
        c.lidUntilS = FROM * 60 + 60;
      },
    },
  ];
  it.each(TROUBLES)('$fault is named first, within half an hour', ({ fault, wrong, felt }) => {
    const news = told(FROM + 40, wrong, felt);
    const looked: Action = { atMin: FROM, do: 'lid-open', seconds: 60 };
    const done = fault === 'cold-load' ? [...DONE, looked] : DONE;
    const named = firstNamed({ ...news, done }, FROM + 40);
    expect(named?.fault).toBe(fault);
    expect(named!.atMin).toBeGreaterThan(FROM);
    expect(named!.atMin).toBeLessThanOrEqual(FROM + 35);
  });

  it('is not named where the pit takes a gust inside its band', () => {
    const untilMin = FROM + 40;
    expect(
      firstNamed(
        told(untilMin, (c) => storm(c, 12, 4)),
        untilMin,
      ),
    ).toBeNull();
  });

  it('is not named where there is none, in six hours', () => {
    expect(firstNamed(told(360), 360)).toBeNull();
  });
});

it('looks only for what a pit can have, in every cooker', () => {
  for (const id of Object.keys(PRESETS)) {
    const preset = presetOf(id);
    const { hasFan, parameters } = preset;
    const cook = createCook({
      ...planned,
      cooker: { preset: id, overrides: {} },
      fire: usualFire(preset, preset.fire.arrangement),
      control: { mode: hasFan ? 'fan' : 'vents', targetC: 121 },
    });
    const member = createFireEstimator({ ...cook.scenario, actions: [] }, { members: 1 })
      .members[0]!;
    const context = {
      member,
      fromMin: 100,
      done: [],
      fuelLeftFraction: 0.5,
      smoke: null,
      weatherTold: true,
      weatherChanges: false,
    };
    const can = new Set(faultKinds(context).map((k) => k.fault));
    expect(can.has('fan-stuck')).toBe(hasFan);
    expect(can.has('air-short')).toBe(!hasFan);
    expect(can.has('door-left-open')).toBe(parameters.doorCm2 > 0);
    expect(can.has('pan-dry')).toBe(member.cook.pit!.panIn && member.cook.pit!.waterKg > 0.02);
    expect(can.has('damp-wood')).toBe(false);
    // White smoke speaks for damp wood, too little air and ash, and against nothing else.
    const prior = (smoke: 'white' | null, fault: string): number =>
      faultKinds({ ...context, smoke }).find((k) => k.fault === fault)!.prior;
    expect(prior('white', 'fuel-low')).toBe(prior(null, 'fuel-low'));
    if (!hasFan) expect(prior('white', 'air-short')).toBeGreaterThan(prior(null, 'air-short'));
  }
});

describe('advice', () => {
  const wish = request();
  const setup = designFire(wish.pits[0]);
  const policy = habitPolicy(setup.preset, setup.fire, 121, false);
  const asked = (intake: number): AdviseInput => {
    const done = [...DONE, vents(60, intake, 0.5)];
    const cook = createCook({ ...planned, actions: done });
    const readings: FireNews['readings'][number][] = [];
    for (let min = 0; min <= 150; min++) {
      advance(cook, min);
      readings.push({ atMin: min, c: pitReadingC(cook) });
    }
    const fire = createFireEstimator(planned, { seed: 2 });
    follow(fire, 150, { done, readings });
    const hold = { intake, exhaust: 0.5 };
    const held = { ...policy, hold, exhaustPerIntake: null };
    return {
      fire,
      setup,
      policy: held,
      planned: { intake: 0.2, exhaust: 0.5 },
      targetC: 121,
      bandC: 8,
      ahead: [],
      done,
    };
  };

  it('opens a pit that is starved, closes one that runs away, and each does better than nothing', () => {
    for (const [intake, opens] of [
      [0.06, true],
      [0.8, false],
    ] as const) {
      const { move, inBandWith, inBandLeave, logs } = advise(asked(intake));
      expect(move.do).toBe('set-vents');
      if (move.do !== 'set-vents') continue;
      expect(move.opens).toBe(opens);
      expect(opens ? move.intake > intake : move.intake < intake).toBe(true);
      expect(inBandWith).toBeGreaterThanOrEqual(inBandLeave);
      expect(logs).toEqual([
        { do: 'set-vents', intakeFraction: move.intake, exhaustFraction: move.exhaust },
      ]);
    }
  });

  it('names notches of the plan first, and other settings only where those are at their end', () => {
    const notches = [0.1, 0.13, 0.17, 0.22, 0.29, 0.38].map((intake) => ({ intake, exhaust: 0.5 }));
    const settings = (intake: number, high: boolean, of: typeof notches): number[] =>
      movesFor({ ...asked(intake), notches: of }, high).flatMap(({ move }) =>
        move.do === 'set-vents' ? [move.intake] : [],
      );
    const known = new Set(notches.map((n) => n.intake));
    const opened = settings(0.13, false, notches);
    expect(opened.length).toBeGreaterThan(1);
    expect(opened.filter((i) => known.has(i) && i > 0.13).length).toBeGreaterThan(1);
    expect(settings(0.38, true, notches).every((i) => i < 0.38)).toBe(true);
    // Beyond the widest notch there is still something to try.
    expect(settings(0.38, false, notches).length).toBeGreaterThan(0);
  });

  it('adds charcoal only where little waits to catch', () => {
    const input = asked(0.06);
    const moves = () => new Set(movesFor(input, false).map(({ move }) => move.do));
    expect(moves()).toEqual(new Set(['set-vents']));
    for (const { cook } of input.fire.members) cook.pit!.unlit.kg = 0.1 * cook.pit!.lit.kg;
    expect(moves()).toEqual(new Set(['set-vents', 'add-charcoal']));
  });
});
