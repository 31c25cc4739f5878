import fc from 'fast-check';
import {
  boilingPointC,
  createPiece,
  CUTS,
  cutOf,
  doneByFeel,
  emptyFacePaths,
  type Piece,
  pieceMassKg,
  pressureAt,
  simulate,
  stepPiece,
  updateFacePaths,
  usualThicknessMm,
  WATER,
  waterResidualKg,
  type MeatSpec,
  wrapPiece,
  WRAPS,
  type WrapId,
} from '@ostrin/core/internals';
import { held } from '@ostrin/testing';

/** Resistance to vapour of a wrapped piece in a usual pit, m2sPa/kg. */
function vapourResistanceOf(piece: Piece): number {
  const paths = emptyFacePaths();
  const air = { airC: 121, wallC: 113, humidity: 0.02, airSpeedMps: 0.32, draughtKgPerS: 5e-3 };
  updateFacePaths({ ...air, pressurePa: pressureAt(0) }, piece, WRAPS[piece.wrap], paths);
  return paths.vapourResistance;
}

const of = (pitC: number, meat: Partial<MeatSpec>) => simulate(held(pitC, meat)).meats[0]!;
const firstAt = (c: readonly (number | null)[], level: number): number =>
  c.findIndex((v) => v !== null && v >= level);

describe('the catalogue of cuts', () => {
  it('has every cut of the format, each made of whole food', () => {
    expect(Object.keys(CUTS)).toHaveLength(17);
    for (const cut of Object.values(CUTS)) {
      const { water, protein, fat, ash } = cut.composition;
      expect([cut.id, Math.abs(water + protein + fat + ash - 1) < 0.011]).toEqual([cut.id, true]);
      const [low, high] = cut.massRange;
      expect(usualThicknessMm(cut, high)).toBeGreaterThan(usualThicknessMm(cut, low));
      expect(cut.yieldRange[0]).toBeLessThan(cut.yieldRange[1]);
      if (!doneByFeel(cut)) expect(cut.tenderAt93CMin).toBe(Infinity);
    }
  });

  it('cooks every cut to its own range without a number going wrong', () => {
    for (const cut of Object.values(CUTS)) {
      const massKg = (cut.massRange[0] + cut.massRange[1]) / 2;
      const run = of(140, { cut: cut.id, massKg, thicknessMm: undefined });
      const core = run.coreC.filter((c): c is number => c !== null);
      expect([cut.id, core.every(Number.isFinite), core.at(-1)! > cut.doneRangeC[0]]).toEqual([
        cut.id,
        true,
        true,
      ]);
      const kept = run.massKg.at(-1)! / massKg;
      expect([cut.id, kept > 0.25 && kept < 1]).toEqual([cut.id, true]);
      expect(run.tenderAtMin === null).toBe(!doneByFeel(cut));
    }
  });
});

describe('wraps, in order by construction', () => {
  const to88 = (cut: string, w: WrapId): number =>
    firstAt(
      of(125, { cut, massKg: cutOf(cut).referenceKg, wrap: { with: w, when: { coreC: 70 } } })
        .coreC,
      88,
    );

  it('never lets foil be slower than a boat, a boat than paper, paper than nothing (to a minute)', () => {
    for (const cut of ['pork-shoulder', 'brisket', 'spare-ribs']) {
      // A piece that never gets there takes for ever.
      const times = (['foil', 'boat', 'paper', 'none'] as const)
        .map((w) => to88(cut, w))
        .map((min) => (min < 0 ? Infinity : min));
      for (let i = 1; i < times.length; i++) {
        expect(times[i]!).toBeGreaterThanOrEqual(times[i - 1]! - 1);
      }
    }
  });

  it('has to warm the liquid in a covered pan first, and still beats leaving it bare', () => {
    const inPan = (cut: string, liquidKg: number): number =>
      firstAt(
        of(125, {
          cut,
          massKg: cutOf(cut).referenceKg,
          wrap: { with: 'pan', when: { coreC: 70 }, liquidKg },
        }).coreC,
        88,
      );
    for (const cut of ['pork-shoulder', 'brisket']) {
      expect(inPan(cut, 1.5)).toBeGreaterThan(inPan(cut, 0.1));
      expect(inPan(cut, 1.5)).toBeLessThan(to88(cut, 'none'));
    }
  });

  it('keeps the middle of any wet piece at the boiling point of its altitude, in any wrap and pit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(CUTS)),
        fc.constantFrom<WrapId>('none', 'paper', 'foil', 'boat', 'pan'),
        fc.integer({ min: 110, max: 230 }),
        fc.integer({ min: 0, max: 3000 }),
        (id, wrap, pitC, altitudeM) => {
          const cut = cutOf(id);
          const piece = createPiece(cut, (cut.massRange[0] + cut.massRange[1]) / 2, 4);
          const pressurePa = pressureAt(altitudeM);
          const air = { airC: pitC, wallC: pitC, humidity: 0.02, airSpeedMps: 0.32 };
          wrapPiece(piece, wrap, wrap === 'pan' ? 0.5 : 0);
          for (let minute = 0; minute < 600; minute++) {
            stepPiece(piece, { ...air, draughtKgPerS: 5e-3, pressurePa }, 60);
            if (piece.water[0]! > WATER.residual + 0.01)
              expect(piece.tempC[0]!).toBeLessThanOrEqual(boilingPointC(pressurePa) + 0.5);
          }
          // Nothing leaves that was not there: what is left weighs more than what never leaves.
          expect(pieceMassKg(piece)).toBeGreaterThan(0.2 * piece.rawKg);
          expect(Math.abs(waterResidualKg(piece))).toBeLessThan(1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('lets paper breathe when fresh and shuts it with the fat that soaks it', () => {
    const piece = createPiece(cutOf('brisket'), 6, 60);
    wrapPiece(piece, 'paper');
    const fresh = vapourResistanceOf(piece);
    piece.fatLostKg = 0.1;
    expect(vapourResistanceOf(piece)).toBeGreaterThan(2 * fresh);
  });
});

describe('what makes it safe', () => {
  it('never serves poultry or minced meat by the table of red meat', () => {
    for (const [cut, limit] of [
      ['whole-chicken', 73.9],
      ['sausages', 71.1],
    ] as const) {
      const run = of(140, { cut, massKg: cutOf(cut).massRange[1] });
      expect(run.safeAtMin).not.toBeNull();
      expect(run.coreC[run.safeAtMin!]!).toBeGreaterThanOrEqual(limit);
      expect(run.coreC[run.safeAtMin! - 2]!).toBeLessThan(limit);
    }
    const roast = of(135, {
      cut: 'rib-roast',
      massKg: 2.3,
      done: { coreC: 49 },
      rest: { where: 'tented', minutes: 20 },
    });
    expect(roast.safeAtMin ?? Infinity).toBeGreaterThan(roast.doneAtMin!);
    expect(roast.cautions).toEqual([{ id: 'not-safe-yet', atMin: roast.doneAtMin }]);
  });
});

describe('resting places', () => {
  it('keep warm in their order, and a warmer for as long as asked', () => {
    const after = (rest: MeatSpec['rest']): number => {
      const run = of(135, { cut: 'pork-shoulder', massKg: 3, done: { coreC: 90 }, rest });
      return run.coreC[run.doneAtMin! + 150]!;
    };
    const [open, tented, box, warmer] = [
      after({ where: 'open', minutes: 200 }),
      after({ where: 'tented', minutes: 200 }),
      after({ where: 'cool-box', minutes: 200 }),
      after({ where: 'warmer', minutes: 200, atC: 75 }),
    ];
    expect(tented).toBeGreaterThan(open);
    expect(box).toBeGreaterThan(tented);
    expect(Math.abs(warmer - 75)).toBeLessThan(8);
  });
});
