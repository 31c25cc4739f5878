import fc from 'fast-check';
import {
  type Action,
  type Scenario,
  VARIATION_KEYS,
  seeded,
  simulate,
  variationAt,
  drawLikelyPiece,
  estimatePiece,
  measuredAir,
  meatOutlook,
  mostLikelyPiece,
  runLikelyPiece,
  thicknessOf,
  tracePit,
  type ProbeReading,
} from '@ostrin/core/internals';
import { held, kettle } from '@ostrin/testing';

const SCENARIO: Scenario = {
  ...held(121, { done: { coreC: 90 }, wrap: { with: 'foil', when: { coreC: 72 } } }),
  untilMin: 720,
};
const TRACED = tracePit(SCENARIO, 720);
/** Readings each five minutes of a piece that differs from the catalogue; noise is drawn. */
function readings(z: Parameters<typeof variationAt>[0], untilMin: number, noiseK = 0.4) {
  const random = seeded(8);
  const truth = simulate(SCENARIO, { variations: [variationAt(z)] }).meats[0]!;
  const out: ProbeReading[] = [];
  for (let atMin = 0; atMin <= untilMin; atMin += 5) {
    const core = truth.coreC[atMin]!;
    const silent = atMin > 60 && atMin < 90;
    out.push({
      atMin,
      pitC: silent ? null : 121 + noiseK * random.normal(),
      coreC: silent ? null : core + noiseK * random.normal(),
    });
  }
  return { truth, out };
}
const estimate = (out: ProbeReading[], nowMin: number) =>
  estimatePiece({
    scenario: SCENARIO,
    measured: measuredAir(TRACED, out),
    readings: out,
    nowMin,
  });

describe('the measured air', () => {
  it('is the computed air moved to the thermometer, straight between readings, fading after', () => {
    const measured = measuredAir(TRACED, [
      { atMin: 60, pitC: 131, coreC: null },
      { atMin: 120, pitC: 121, coreC: null },
      { atMin: 180, pitC: 141, coreC: null },
    ]);
    const { pitC } = measured;
    const air = measured.air(2);
    expect(air(60).airC).toBeCloseTo(133, 1);
    expect(air(90).airC).toBeCloseTo(128, 1);
    expect(air(150).wallC - TRACED.air[150]!.wallC).toBeCloseTo(12, 1);
    expect(pitC(180)).toBeCloseTo(141, 1);
    expect(pitC(600)).toBeCloseTo(121, 0);
    const untouched = measuredAir(TRACED, []);
    expect(untouched.air()(300).airC).toBeCloseTo(TRACED.air[300]!.airC, 6);
  });
});

describe('the estimate of a piece', () => {
  it('needs a few readings, and stays at the catalogue when they agree with it', () => {
    expect(estimate([], 0)).toBeNull();
    const { truth, out } = readings({}, 240);
    const e = estimate(out, 240)!;
    expect(Math.abs(e.z[0]!)).toBeLessThan(0.8);
    expect(e.rmsResidualK).toBeLessThan(1);
    const ahead = runLikelyPiece(SCENARIO, measuredAir(TRACED, out), 240, mostLikelyPiece(e));
    expect(Math.abs(ahead.doneAtMin - truth.doneAtMin!)).toBeLessThan(25);
  });

  it('comes nearer to a thick, slow piece than the catalogue does', () => {
    const { truth, out } = readings({ radius: 1.6, heat: -1 }, 240);
    const e = estimate(out, 240)!;
    const error = (likely: ReturnType<typeof mostLikelyPiece>): number =>
      Math.abs(
        runLikelyPiece(SCENARIO, measuredAir(TRACED, out), 240, likely).doneAtMin -
          truth.doneAtMin!,
      );
    expect(error(mostLikelyPiece(e))).toBeLessThan(0.4 * error(mostLikelyPiece(null)));
    const thickness = thicknessOf(e);
    expect(thickness.times).toBeGreaterThan(1.03);
    expect(thickness.sure).toBeGreaterThan(0.6);
    // Hardly anything is known of it at first.
    expect(thicknessOf(estimate(out, 40)!).sure).toBeLessThan(thickness.sure);
  });

  it('is less in doubt the more it has read, and not thrown by one false reading', () => {
    const { out } = readings({ radius: 1 }, 300);
    const covarianceFactor = (untilMin: number): number => {
      const e = estimate(
        out.filter((r) => r.atMin <= untilMin),
        untilMin,
      )!;
      return Math.hypot(...e.covarianceFactor[0]!);
    };
    expect(covarianceFactor(300)).toBeLessThan(covarianceFactor(60));
    expect(covarianceFactor(60)).toBeLessThan(1.001);
    const clean = estimate(out, 300)!;
    const wild = out.map((r) => (r.atMin === 200 ? { ...r, coreC: r.coreC! + 30 } : r));
    expect(Math.abs(estimate(wild, 300)!.z[0]! - clean.z[0]!)).toBeLessThan(0.6);
  });

  it('draws pieces that scatter by the spreads where nothing was read', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
        const random = seeded(seed);
        const drawn = Array.from({ length: 200 }, () =>
          Math.log(drawLikelyPiece(null, random).variation.radius),
        );
        const sd = Math.sqrt(drawn.reduce((s, v) => s + v * v, 0) / drawn.length);
        expect(sd).toBeGreaterThan(0.07);
        expect(sd).toBeLessThan(0.11);
      }),
      { numRuns: 10 },
    );
    expect(VARIATION_KEYS.every((k) => variationAt({})[k] === (k === 'holdingK' ? 0 : 1))).toBe(
      true,
    );
  });
});

describe('the outlook of a piece', () => {
  const scenario = kettle({
    meats: [
      {
        id: 'a',
        cut: 'pork-shoulder',
        massKg: 3,
        startC: 4,
        wrap: { with: 'paper', when: { coreC: 74 } },
        done: { tender: true },
      },
    ],
    untilMin: 900,
  });
  const done = [...scenario.actions, { atMin: 30, do: 'meat-on', meat: 'a' } as const];
  const ask = (nowMin: number, more: typeof done = []) =>
    meatOutlook({
      scenario,
      done: [...done.filter((a) => a.atMin <= nowMin), ...more],
      ahead: [
        ...done.filter((a) => a.atMin > nowMin),
        { atMin: 400, do: 'wrap', meat: 'a', with: 'paper' },
      ],
      nowMin,
      readings: [],
      piece: 'a',
      members: 6,
      seed: 5,
    });

  it('says where the piece is on its way', () => {
    expect(ask(10).phase).toBe('not-on');
    expect(ask(90).phase).toBe('warming');
    const wrapped = ask(300, [{ atMin: 290, do: 'wrap', meat: 'a', with: 'foil' } as never]);
    expect(wrapped.phase).toBe('wrapped');
    expect(wrapped.options).toHaveLength(1);
  });

  it('weighs wrapping now against waiting: foil saves most time, leaving it bare most bark', () => {
    const o = ask(300);
    const way = (id: string) => o.options.find((w) => w.id === id)!;
    const [foil, paper, bare] = [way('foil-now'), way('paper-now'), way('leave-bare')];
    expect(foil.readyMin![1]).toBeLessThanOrEqual(paper.readyMin![1] + 2);
    expect(paper.readyMin![1]).toBeLessThan(bare.readyMin?.[1] ?? Infinity);
    expect(foil.yieldFraction!).toBeGreaterThan(0.5);
    expect(foil.bark!).toBeLessThanOrEqual(paper.bark! + 0.01);
    expect(o.lostKg!).toBeGreaterThan(0);
    expect(o.safety.safeByMin).not.toBeNull();
    expect(ask(150).safety.safeNow).toBe(false);
  });

  it('counts what may harm only once it has come about', () => {
    const justOn = ask(32);
    expect(justOn.phase).toBe('warming');
    expect(justOn.safety.centreMin).toBeLessThanOrEqual(3);
    const later = ask(270).safety.centreMin;
    expect(later).toBeGreaterThan(60);
    expect(later).toBeLessThanOrEqual(240);
    const slow = { ...scenario, meats: [{ ...scenario.meats[0]!, injected: true, massKg: 5 }] };
    const { cautions } = meatOutlook({
      scenario: slow,
      done: done.filter((d) => d.atMin <= 60),
      ahead: [],
      nowMin: 60,
      readings: [],
      piece: 'a',
      members: 6,
      seed: 5,
    }).safety;
    // Four lukewarm hours cannot have passed half an hour after it went on.
    expect(cautions.find((c) => c.id === 'lingers-opened')!.atMin).toBeGreaterThanOrEqual(30 + 240);
  });
});

it('says wrapped, unwrapped, resting and rested as the log has it', () => {
  const scenario: Scenario = {
    ...held(121, { done: { coreC: 90 }, rest: { where: 'cool-box', minutes: 60 } }),
    untilMin: 900,
  };
  const on = { atMin: 0, do: 'meat-on', meat: 'a' } as const;
  const phaseAt = (nowMin: number, ...more: Action[]): string => {
    const done = [on, ...more];
    const input = {
      scenario,
      done,
      ahead: [],
      nowMin,
      readings: [],
      piece: 'a',
      members: 2,
      seed: 1,
    };
    return meatOutlook(input).phase;
  };
  const wrap = { atMin: 200, do: 'wrap', meat: 'a', with: 'foil' } as const;
  const unwrap = { atMin: 260, do: 'unwrap', meat: 'a' } as const;
  const off = { atMin: 300, do: 'meat-off', meat: 'a' } as const;
  expect(phaseAt(230, wrap)).toBe('wrapped');
  expect(phaseAt(280, wrap, unwrap)).toBe('unwrapped');
  expect(phaseAt(320, wrap, unwrap, off)).toBe('resting');
  expect(phaseAt(420, wrap, unwrap, off)).toBe('rested');
});
