import {
  advance,
  CELLS,
  centreTempC,
  createCook,
  createPiece,
  CUTS,
  type MeatSpec,
  simulate,
  stepPiece,
} from '@ostrin/core/internals';
import { held } from '@ostrin/testing';

const COOKS: [number, Partial<MeatSpec>][] = [
  [121, { cut: 'pork-shoulder', massKg: 3.8, wrap: { with: 'paper', when: { coreC: 74 } } }],
  [135, { cut: 'brisket', massKg: 6, wrap: { with: 'foil', when: { coreC: 74 } } }],
  [135, { cut: 'lamb-shoulder', massKg: 2, wrap: { with: 'boat', when: { coreC: 72 } } }],
  [128, { cut: 'spare-ribs', massKg: 1.2 }],
  [135, { cut: 'rib-roast', massKg: 2.3, done: { coreC: 54 } }],
];

describe('grid and step', () => {
  it.each(COOKS)(
    'a done time at %i C changes by less than 1 %% when cells are made half and a quarter as thick',
    (pitC, meat) => {
      const done = { coreC: meat.done && 'coreC' in meat.done ? meat.done.coreC : 92 };
      const scenario = { ...held(pitC, { ...meat, done }), untilMin: 1200 };
      const at = (cells: number): number => {
        const cook = advance(
          createCook(scenario, { pieceOverrides: { cells } }),
          scenario.untilMin,
        );
        return cook.pieces[0]!.result.doneAtMin!;
      };
      const usual = simulate(scenario).meats[0]!.doneAtMin!;
      expect(usual).toBe(at(CELLS));
      for (const cells of [CELLS * 2, CELLS * 4]) {
        expect([cells, Math.abs(at(cells) / usual - 1) < 0.01]).toEqual([cells, true]);
      }
    },
  );

  it('and by less than 1 % when the step is halved', () => {
    const air = {
      airC: 121,
      wallC: 113,
      humidity: 0.02,
      airSpeedMps: 0.3,
      draughtKgPerS: 5e-3,
      pressurePa: 101325,
    };
    for (const id of ['pork-shoulder', 'brisket', 'spare-ribs']) {
      const cut = CUTS[id]!;
      const secondsTo = (c: number, dtS: number): number => {
        const piece = createPiece(cut, cut.referenceKg, 4);
        let s = 0;
        for (; centreTempC(piece) < c && s < 1e5; s += dtS) stepPiece(piece, air, dtS);
        return s;
      };
      expect(Math.abs(secondsTo(85, 60) / secondsTo(85, 30) - 1)).toBeLessThan(0.01);
    }
  });
});
