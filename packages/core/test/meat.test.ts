import fc from 'fast-check';
import {
  createPiece,
  cutOf,
  logReductionsPerMin,
  type MeatResult,
  NO_VARIATION,
  pieceMassKg,
  SAFE_LOG_REDUCTION,
  simulate,
  stepPiece,
  usualThicknessMm,
  waterResidualKg,
  wetPlateau,
} from '@ostrin/core/internals';
import { held } from '@ostrin/testing';

const meat = (...args: Parameters<typeof held>): MeatResult => simulate(held(...args)).meats[0]!;
const minutesTo = (m: MeatResult, c: number): number => {
  const i = m.coreC.findIndex((v) => v !== null && v >= c);
  return i < 0 ? Infinity : i;
};

it('a shoulder is never slower in a hotter pit', () => {
  const times = [107, 121, 135, 149].map((c) => minutesTo(meat(c), 74));
  for (let i = 1; i < times.length; i++) expect(times[i]).toBeLessThanOrEqual(times[i - 1]!);
});

it('a shoulder is never faster when thicker', () => {
  fc.assert(
    fc.property(fc.integer({ min: 60, max: 120 }), fc.integer({ min: 3, max: 30 }), (mm, more) => {
      const thin = minutesTo(meat(121, { thicknessMm: mm }), 60);
      const thick = minutesTo(meat(121, { thicknessMm: mm + more }), 60);
      expect(thick).toBeGreaterThanOrEqual(thin);
    }),
    { numRuns: 12 },
  );
});

it('a shoulder is quickest in foil and slowest bare', () => {
  const when = { coreC: 68 };
  const bare = minutesTo(meat(121), 90);
  const paper = minutesTo(meat(121, { wrap: { with: 'paper', when } }), 90);
  const foil = minutesTo(meat(121, { wrap: { with: 'foil', when } }), 90);
  expect(foil).toBeLessThanOrEqual(paper);
  expect(paper).toBeLessThanOrEqual(bare);
});

it('a shoulder is through its stall later in dry air than in humid air', () => {
  const dry = held(114);
  const humid = {
    ...dry,
    control: { ...dry.control, pitHumidity: { dewPointC: 60 } },
  } as typeof dry;
  expect(minutesTo(simulate(humid).meats[0]!, 85)).toBeLessThan(
    minutesTo(simulate(dry).meats[0]!, 85),
  );
});

it('a shoulder follows its wrap rule, is done, rests and comes to no harm', () => {
  const m = meat(125, {
    wrap: { with: 'paper', when: { coreC: 70 } },
    done: { tender: true },
    rest: { where: 'cool-box', minutes: 60 },
  });
  expect(m.wrappedAtMin).toBe(minutesTo(m, 70));
  expect(m.doneAtMin).toBe(m.tenderAtMin);
  expect(m.safeAtMin).toBeLessThan(m.doneAtMin!);
  expect(m.cautions).toEqual([]);
  const after = m.coreC[m.doneAtMin! + 59]!;
  expect(after).toBeGreaterThan(70);
  expect(m.coreC[m.doneAtMin! + 61]).toBeNull();
});

it('a shoulder is not called safe when pulled early', () => {
  const m = meat(121, { done: { coreC: 50 }, rest: { where: 'counter', minutes: 20 } });
  expect(m.safeAtMin).toBeNull();
  expect(m.cautions).toEqual([{ id: 'not-safe-yet', atMin: m.doneAtMin }]);
});

it('a shoulder wraps by the stall and by the bark where asked to', () => {
  expect(
    meat(114, { wrap: { with: 'foil', when: { stalled: true } } }).wrappedAtMin,
  ).not.toBeNull();
  const m = meat(121, { wrap: { with: 'foil', when: { barkSet: true } } });
  expect(m.bark[m.wrappedAtMin!]).toBe(1);
});

it('a shoulder accounts for all its water, whatever air it sits in', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 250, noNaN: true }),
      fc.double({ min: 0.002, max: 0.3, noNaN: true }),
      fc.constantFrom('none' as const, 'paper' as const, 'foil' as const),
      fc.double({ min: 5, max: 60, noNaN: true }),
      (airC, humidity, wrap, dtS) => {
        const piece = createPiece(cutOf('mutton-shoulder'), 2.5, 4);
        piece.wrap = wrap;
        const air = {
          airC,
          wallC: airC - 8,
          humidity,
          airSpeedMps: 0.3,
          draughtKgPerS: 2e-3,
          pressurePa: 101325,
        };
        for (let s = 0; s < 4 * 3600; s += dtS) stepPiece(piece, air, dtS);
        expect(Math.abs(waterResidualKg(piece))).toBeLessThan(1e-9);
        expect(pieceMassKg(piece)).toBeGreaterThan(0.5);
        expect(pieceMassKg(piece)).toBeLessThanOrEqual(2.5);
        expect(piece.faceC).toBeLessThanOrEqual(airC + 0.5);
      },
    ),
    { numRuns: 40 },
  );
});

it('a shoulder sits near the wet bulb while its face is wet', () => {
  const piece = createPiece({ ...cutOf('mutton-shoulder'), coveredFraction: 0 }, 2.5, 30);
  const air = {
    airC: 60,
    wallC: 60,
    humidity: 0.03,
    airSpeedMps: 3,
    draughtKgPerS: Infinity,
    pressurePa: 101325,
  };
  piece.filmKg = 0.05 * piece.faceM2;
  stepPiece(piece, air, 1);
  for (let i = 0; i < 5; i++) stepPiece(piece, air, 1);
  expect(Math.abs(piece.faceC - wetPlateau(air))).toBeLessThan(8);
});

it('a shoulder is thicker when heavier', () => {
  expect(usualThicknessMm(cutOf('mutton-shoulder'), 3)).toBeGreaterThan(
    usualThicknessMm(cutOf('mutton-shoulder'), 2),
  );
  expect(() => cutOf('shoe')).toThrow(/shoe/);
});

describe('lethality', () => {
  it('rises with temperature and starts where the table starts', () => {
    expect(logReductionsPerMin(54.3)).toBe(0);
    let last = 0;
    for (let c = 54.4; c < 80; c += 0.3) {
      const now = logReductionsPerMin(c);
      expect(now).toBeGreaterThanOrEqual(last);
      last = now;
    }
    expect(SAFE_LOG_REDUCTION / logReductionsPerMin(60)).toBeGreaterThanOrEqual(12);
  });
});

it('refuses numbers that are none, and names them', () => {
  const scenario = held(121, { cut: 'mutton-shoulder', massKg: 2.5 });
  const nameless = { ...scenario, untilMin: NaN };
  expect(() => simulate(nameless)).toThrow('scenario.untilMin: must be a finite number');
  const variations = [{ ...NO_VARIATION, holdingK: NaN }];
  expect(() => simulate(scenario, { variations })).toThrow('variations[0].holdingK');
});
