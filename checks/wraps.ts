/** Trade practice: what wraps do, large pieces and small, from 4 C in a held pit unless said (rows M12 to M20). */
import { onlyPiece } from '@ostrin/core';
import {
  createPiece,
  CUTS,
  pressureAt,
  simulate,
  stepPiece,
  WATER,
  wrapPiece,
  type Cut,
  type WrapId,
} from '@ostrin/core/internals';
import { heldCook, heldMeat, hoursTo } from './heldCook';
import { COMMON, MEMORY, part, row, type Row } from './types';

const hours = (minutes: number | null): number | null => (minutes === null ? null : minutes / 60);

const WRAP_IDS: readonly WrapId[] = ['none', 'paper', 'foil', 'boat', 'pan'];

/** Hottest that a core with free water gets in a pit of `pitC`, wrapped after an hour, over 14 hours, C. */
function hottestWetCore(cut: Cut, wrap: WrapId, pitC: number, altitudeM: number): number {
  const massKg = (cut.massRange[0] + cut.massRange[1]) / 2;
  const piece = createPiece(cut, massKg, 4);
  const air = {
    airC: pitC,
    wallC: pitC,
    humidity: 0.02,
    airSpeedMps: 0.32,
    draughtKgPerS: 4.8e-3,
    pressurePa: pressureAt(altitudeM),
  };
  let hottest = 0;
  for (let minute = 0; minute < 14 * 60; minute++) {
    if (minute === 60) wrapPiece(piece, wrap, wrap === 'pan' ? 0.25 : 0);
    stepPiece(piece, air, 60);
    if (piece.water[0]! > WATER.residual + 0.01) hottest = Math.max(hottest, piece.tempC[0]!);
  }
  return hottest;
}

/** M12: water caps every core at boiling. */
function boilingRow(): Row {
  const worst = (pits: readonly number[], altitudeM: number): number =>
    Math.max(
      ...Object.values(CUTS).flatMap((cut) =>
        WRAP_IDS.flatMap((wrap) => pits.map((c) => hottestWetCore(cut, wrap, c, altitudeM))),
      ),
    );
  return row('M12', 'every cut in every wrap while it holds free water', COMMON, [
    part('hottest core at 110-175 °C, sea level', worst([110, 140, 175], 0), 95, 100.5),
    part('at 175 °C, 1,500 m', worst([175], 1500), 90, 95.5),
  ]);
}

/** Six cuts at six pit temperatures: what M13 is tried on, and which of them are large. */
const ORDER_CASES = [
  { cut: 'pork-shoulder', massKg: 3.8, large: true },
  { cut: 'brisket', massKg: 6, large: true },
  { cut: 'chuck', massKg: 2, large: false },
  { cut: 'lamb-shoulder', massKg: 2, large: false },
  { cut: 'beef-short-ribs', massKg: 2.2, large: false },
  { cut: 'mutton-shoulder', massKg: 2.5, large: false },
] as const;
const ORDER_PITS = [107, 114, 121, 128, 135, 150] as const;

/** M13: paper is never slower than nothing, foil never slower than paper, and foil pays on large pieces. */
function orderRow(): Row {
  let paperSlower = -Infinity;
  let foilSlower = -Infinity;
  let foilGain = Infinity;
  for (const { cut, massKg, large } of ORDER_CASES) {
    for (const pitC of ORDER_PITS) {
      const to93 = (wrap: WrapId): number => {
        const at = { coreC: 71 };
        const wrapped = wrap === 'none' ? {} : { wrap: { with: wrap, when: at } };
        return (
          hoursTo(
            onlyPiece(simulate({ ...heldCook(pitC, { cut, massKg, ...wrapped }), untilMin: 1500 })),
            93,
          ) ?? 25
        );
      };
      const [bare, paper, foil] = [to93('none'), to93('paper'), to93('foil')];
      paperSlower = Math.max(paperSlower, 100 * (paper / bare - 1));
      foilSlower = Math.max(foilSlower, 100 * (foil / paper - 1));
      if (large && pitC <= 135) foilGain = Math.min(foilGain, 100 * (1 - foil / bare));
    }
  }
  return row(
    'M13',
    'bare, paper and foil (at 71 °C) to 93 °C: 6 cuts in pits of 107-150 °C',
    COMMON,
    [
      part('paper slower than bare by at most %', paperSlower, -Infinity, 3),
      part('foil slower than paper by at most %', foilSlower, -Infinity, 3),
      part('foil faster than bare on large cuts at 107-135 °C by %', foilGain, 8, Infinity),
    ],
  );
}

/** M14 to M17: large pieces, wrapped and bare, and a covered pan. */
function largeRows(): Row[] {
  const foil = (pitC: number): number | null =>
    hoursTo(
      heldMeat(pitC, {
        cut: 'pork-shoulder',
        massKg: 3.8,
        wrap: { with: 'foil', when: { coreC: 71 } },
      }),
      93,
    );
  const inPan = (massKg: number, liquidKg: number): number | null => {
    const m = heldMeat(121, {
      cut: 'chuck',
      massKg,
      wrap: { with: 'pan', when: { coreC: 68 }, liquidKg },
    });
    const to = hoursTo(m, 95);
    return to === null || m.wrappedAtMin === null ? null : to - m.wrappedAtMin / 60;
  };
  const long = (pitC: number, wrap: object) => ({
    ...heldCook(pitC, { cut: 'brisket', massKg: 6, ...wrap }),
    untilMin: 1320,
  });
  const paper = onlyPiece(simulate(long(107, { wrap: { with: 'paper', when: { coreC: 74 } } })));
  const bare = onlyPiece(simulate(long(121, {})));
  return [
    row('M14', 'pork shoulder 3.8 kg, foil at 71 °C', COMMON, [
      part('93 °C at 107 °C h', foil(107), 8, 12),
      part('93 °C at 110 °C h', foil(110), 8, 12),
    ]),
    row(
      'M15',
      'chuck at 121 °C, at 68 °C into a covered pan, liquid a third of the way up',
      COMMON,
      [
        part('1.8 kg: 95 °C h later', inPan(1.8, 0.7), 1.5, 3),
        part('2.5 kg: 95 °C h later', inPan(2.5, 0.9), 1.5, 3),
      ],
    ),
    row('M16', 'brisket 6 kg at 107 °C, paper at 74 °C', MEMORY, [
      part('93 °C at h', hoursTo(paper, 93), 13, 18),
    ]),
    row('M17', 'bare brisket 6 kg at 121 °C', MEMORY, [
      part('95 °C at h', hoursTo(bare, 95), 9, 14),
    ]),
  ];
}

/** M18: birds to their safe temperature. */
function birdRow(): Row {
  const safe = (cut: string, massKg: number, pitC: number): number | null =>
    hours(heldMeat(pitC, { cut, massKg }).safeAtMin);
  return row('M18', 'birds to their safe temperature', MEMORY, [
    part('chicken 1.8 kg at 165 °C h', safe('whole-chicken', 1.8, 165), 1.25, 1.67),
    part('at 121 °C h', safe('whole-chicken', 1.8, 121), 2.5, 4),
    part('1.4 kg at 180 °C h', safe('whole-chicken', 1.4, 180), 0.9, 1.25),
    part('turkey 5.5 kg at 165 °C h', safe('whole-turkey', 5.5, 165), 2.5, 3.25),
  ]);
}

/** M19: small braising cuts and belly, to tender. */
function tenderRow(): Row {
  const at70 = (wrap: WrapId) => ({ wrap: { with: wrap, when: { coreC: 70 } } });
  const tender = (pitC: number, meat: Parameters<typeof heldCook>[1]): number | null =>
    hours(heldMeat(pitC, meat).tenderAtMin);
  const cheek = { cut: 'beef-cheek', massKg: 0.4 };
  return row('M19', 'cheeks, shin, goat leg and belly: tender', MEMORY, [
    part('cheek 0.4 kg bare at 135 °C h', tender(135, cheek), 4, 6),
    part('in a pan h', tender(135, { ...cheek, ...at70('pan') }), 4, 6),
    part(
      'shin 2 kg in paper h',
      tender(135, { cut: 'beef-shin', massKg: 2, ...at70('paper') }),
      6,
      9,
    ),
    part(
      'goat leg 2.2 kg in foil h',
      tender(135, { cut: 'goat-leg', massKg: 2.2, ...at70('foil') }),
      4.5,
      7,
    ),
    part('belly 3 kg bare at 121 °C h', tender(121, { cut: 'pork-belly', massKg: 3 }), 4.5, 7.5),
  ]);
}

/** M20: rib roasts by pit temperature and mass. */
function roastRow(): Row {
  const to52 = (massKg: number, pitC: number): number | null =>
    hoursTo(heldMeat(pitC, { cut: 'rib-roast', massKg }), 52);
  return row('M20', 'rib roast from the fridge to 52 °C', MEMORY, [
    part('2.3 kg at 107 °C h', to52(2.3, 107), 2.3, 3.75),
    part('at 135 °C h', to52(2.3, 135), 1.8, 2.7),
    part('at 163 °C h', to52(2.3, 163), 1.35, 2.2),
    part('4 kg at 135 °C h', to52(4, 135), 2.6, 4.2),
  ]);
}

/** The sweeps: every cut, wrap and pit. */
export const sweepRows = (): Row[] => [boilingRow(), orderRow()];

/** Rows M14 to M20. */
export const pieceRows = (): Row[] => [...largeRows(), birdRow(), tenderRow(), roastRow()];
