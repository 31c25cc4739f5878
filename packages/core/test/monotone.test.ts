import fc from 'fast-check';
import {
  CUTS,
  doneByFeel,
  simulate,
  usualThicknessMm,
  type MeatSpec,
  type Scenario,
} from '@ostrin/core/internals';
import { held } from '@ostrin/testing';

/** Minutes until the core reads `c`; Infinity when never. Two minutes of slack hold rounding off. */
const minutesTo = (scenario: Scenario, c: number): number => {
  const i = simulate(scenario).meats[0]!.coreC.findIndex((v) => v !== null && v >= c);
  return i < 0 ? Infinity : i;
};
const SLACK = 2;
const cut = fc.constantFrom(...Object.values(CUTS).filter(doneByFeel));
const massShare = fc.double({ min: 0.1, max: 0.9, noNaN: true });
const pitC = fc.integer({ min: 105, max: 160 });
const kg = (c: { massRange: readonly [number, number] }, share: number): number =>
  c.massRange[0] + share * (c.massRange[1] - c.massRange[0]);
const of = (c: number, meat: Partial<MeatSpec>): Scenario => ({ ...held(c, meat), untilMin: 1200 });

it('the sense of it a hotter pit is never slower', () => {
  fc.assert(
    fc.property(cut, massShare, pitC, fc.integer({ min: 3, max: 30 }), (c, share, at, more) => {
      const meat = { cut: c.id, massKg: kg(c, share) };
      expect(minutesTo(of(at + more, meat), 80)).toBeLessThanOrEqual(
        minutesTo(of(at, meat), 80) + SLACK,
      );
    }),
    { numRuns: 40 },
  );
});

it('the sense of it a thicker piece is never faster', () => {
  fc.assert(
    fc.property(
      cut,
      massShare,
      pitC,
      fc.double({ min: 1.03, max: 1.4, noNaN: true }),
      (c, share, at, times) => {
        const massKg = kg(c, share);
        const thin = usualThicknessMm(c, massKg);
        const to = (mm: number): number =>
          minutesTo(of(at, { cut: c.id, massKg, thicknessMm: mm }), 70);
        expect(to(thin * times)).toBeGreaterThanOrEqual(to(thin) - SLACK);
      },
    ),
    { numRuns: 40 },
  );
});

it('the sense of it foil is never slower than paper, nor paper than nothing', () => {
  fc.assert(
    fc.property(cut, massShare, pitC, fc.integer({ min: 62, max: 76 }), (c, share, at, when) => {
      const [foil, paper, none] = (['foil', 'paper', 'none'] as const).map((w) =>
        minutesTo(
          of(at, { cut: c.id, massKg: kg(c, share), wrap: { with: w, when: { coreC: when } } }),
          86,
        ),
      ) as [number, number, number];
      expect(foil).toBeLessThanOrEqual(paper + SLACK);
      expect(paper).toBeLessThanOrEqual(none + SLACK);
    }),
    { numRuns: 40 },
  );
});

describe('more humid air', () => {
  const big = fc.constantFrom('pork-shoulder', 'brisket', 'chuck', 'mutton-shoulder');
  const to = (id: string, at: number, dewPointC: number, c: number): number => {
    const s = of(at, { cut: id, massKg: CUTS[id]!.referenceKg });
    const control = { ...s.control, pitHumidity: { dewPointC } } as Scenario['control'];
    return minutesTo({ ...s, control }, c);
  };
  const pit = fc.integer({ min: 108, max: 130 });

  it('is at the stall sooner, and in a slow pit through it sooner where a pan boils', () => {
    fc.assert(
      fc.property(
        big,
        fc.integer({ min: 108, max: 121 }),
        fc.integer({ min: 5, max: 30 }),
        (id, at, dew) => {
          expect(to(id, at, dew + 20, 60)).toBeLessThanOrEqual(to(id, at, dew, 60) + SLACK);
          expect(to(id, at, 66, 90)).toBeLessThanOrEqual(to(id, at, dew, 90) + SLACK);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('is never more than a thirtieth later through it: a dry pit grows a crust that holds water back', () => {
    fc.assert(
      fc.property(big, pit, fc.integer({ min: 5, max: 30 }), (id, at, dew) => {
        expect(to(id, at, dew + 25, 90)).toBeLessThanOrEqual(1.033 * to(id, at, dew, 90));
      }),
      { numRuns: 25 },
    );
  });
});

it('the sense of it rest never raises a small piece above the pit', () => {
  fc.assert(
    fc.property(
      pitC,
      fc.constantFrom('open' as const, 'tented' as const, 'cool-box' as const),
      (at, where) => {
        const run = simulate(
          of(at, {
            cut: 'spare-ribs',
            massKg: 0.8,
            done: { coreC: 75 },
            rest: { where, minutes: 120 },
          }),
        ).meats[0]!;
        const hottest = Math.max(...run.coreC.map((c) => c ?? -Infinity));
        expect(hottest).toBeLessThan(at);
      },
    ),
    { numRuns: 20 },
  );
});
