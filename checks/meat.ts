/** Trade practice: meat in a held pit, from 4 C unless said. */
import { type MeatResult, type MeatSpec } from '@ostrin/core/internals';
import { heldMeat, hoursTo } from './heldCook';
import { COMMON, row, type Row } from './types';

/** Hours during which the core climbs slower than 4 C an hour between 65 and 78 C. */
function stallHours(m: MeatResult): number {
  let minutes = 0;
  for (let i = 30; i < m.coreC.length - 30; i++) {
    const c = m.coreC[i];
    if (c === null || c === undefined || c < 65 || c > 78) continue;
    const [a, b] = [m.coreC[i - 30]!, m.coreC[i + 30]!];
    if (a !== null && b !== null && b - a < 4) minutes++;
  }
  return minutes / 60;
}

const foilAt = (coreC: number) => ({ with: 'foil', when: { coreC } }) as const;

/** Rows M1, M2, M7, M8 and the shoulder's part of M11. */
export function meatRows(): Row[] {
  const m1 = heldMeat(121, {
    cut: 'pork-shoulder',
    massKg: 3.8,
    wrap: { with: 'paper', when: { coreC: 74 } },
  });
  const m2 = heldMeat(135, { cut: 'pork-shoulder', massKg: 4, wrap: foilAt(74) });
  const m8 = heldMeat(135, { cut: 'lamb-shoulder', massKg: 2, wrap: foilAt(75.5) });
  const bare = [107, 121].map((c) => heldMeat(c, { cut: 'pork-shoulder', massKg: 3.8 }));
  const [slow, usual] = bare.map(stallHours) as [number, number];
  const done = Math.round((hoursTo(m1, 96) ?? 0) * 60);
  return [
    row('M1', 'pork shoulder 3.8 kg at 121 °C, paper at 74 °C', COMMON, [
      { what: '60 °C at h', value: hoursTo(m1, 60), low: 3, high: 4, digits: 2 },
      { what: '74 °C at h', value: hoursTo(m1, 74), low: 4.5, high: 6, digits: 2 },
      { what: '96 °C at h', value: hoursTo(m1, 96), low: 8, high: 11, digits: 2 },
    ]),
    row('M2', 'pork shoulder 4 kg at 135 °C, foil at 74 °C', COMMON, [
      { what: '74 °C at h', value: hoursTo(m2, 74), low: 4.5, high: 6.5, digits: 2 },
      { what: '95 °C at h', value: hoursTo(m2, 95), low: 7.5, high: 10, digits: 2 },
    ]),
    row('M7', 'stall of a bare pork shoulder, 107 and 121 °C', COMMON, [
      { what: 'at 107 °C h', value: slow, low: 1, high: 5, digits: 2 },
      { what: 'at 121 °C h', value: usual, low: 1, high: 5, digits: 2 },
      { what: 'shorter when hotter by h', value: slow - usual, low: 0, high: Infinity, digits: 2 },
    ]),
    row('M8', 'lamb shoulder 2 kg at 135 °C, foil at 74-77 °C', COMMON, [
      { what: '75.5 °C at h', value: hoursTo(m8, 75.5), low: 3, high: 4, digits: 2 },
      { what: '96 °C at h', value: hoursTo(m8, 96), low: 4.5, high: 5.75, digits: 2 },
    ]),
    ...otherCuts(),
    row('M11-shoulder', 'pork shoulder, cooked over trimmed', COMMON, [
      { what: 'yield', value: (m1.massKg[done] ?? 0) / 3.8, low: 0.55, high: 0.68, digits: 3 },
    ]),
  ];
}

/** Rows M3 to M6 and M9 to M11 of the other cuts. */
const otherCuts = (): Row[] => [...brisketRows(), ...roastAndRibRows()];

/** A whole brisket on its way and at rest: M3, M9, M10, M11. */
function brisketRows(): Row[] {
  const brisketTo = (
    wrapWith: 'paper' | 'foil',
    coreC: number,
    rest: NonNullable<MeatSpec['rest']>,
  ): MeatResult =>
    heldMeat(135, {
      cut: 'brisket',
      massKg: 6,
      wrap: { with: wrapWith, when: { coreC: 79 } },
      done: { coreC },
      rest,
    });
  const brisket = brisketTo('paper', 95, { where: 'cool-box', minutes: 360 });
  const counter = brisketTo('paper', 95, { where: 'counter', minutes: 300 });
  const warmer = brisketTo('foil', 93, { where: 'warmer', minutes: 720, atC: 70 });
  const fallsTo = (m: MeatResult, c: number): number | null => {
    const from = m.doneAtMin;
    if (from === null) return null;
    const i = m.coreC.findIndex((v, k) => k > from && v !== null && v < c);
    return i < 0 ? null : (i - from) / 60;
  };
  const heldFrom = warmer.doneAtMin ?? 0;
  const heldTo = warmer.massKg.findLastIndex((m) => m !== null);
  const over = (series: readonly (number | null)[]): number =>
    (series[heldTo] ?? 0) - (series[heldFrom] ?? 0);
  const softer = over(warmer.tenderness);
  const lostHeld = (-100 * over(warmer.massKg)) / 6;
  const kept = brisket.doneAtMin;
  return [
    row('M3', 'whole brisket 6 kg at 135 °C, paper at 79 °C', COMMON, [
      { what: '79 °C at h', value: hoursTo(brisket, 79), low: 4.5, high: 6.5, digits: 2 },
      { what: '95 °C at h', value: hoursTo(brisket, 95), low: 7, high: 10.5, digits: 2 },
    ]),
    row('M9-box', 'wrapped brisket in a dry cool box with towels', COMMON, [
      {
        what: 'above 60 °C h',
        value: kept === null ? null : (fallsTo(brisket, 60) ?? 6),
        low: 4,
        high: Infinity,
      },
    ]),
    row('M9-counter', 'wrapped brisket on a counter', COMMON, [
      { what: '95 to 71 °C h', value: fallsTo(counter, 71), low: 1.3, high: 2.7, digits: 2 },
    ]),
    row('M10', 'brisket in foil, held in a warmer at 70 °C for 12 h', COMMON, [
      { what: 'softer by', value: softer, low: 0.1, high: Infinity, digits: 2 },
      { what: 'mass lost %', value: lostHeld, low: 0, high: 3 },
    ]),
    row('M11-brisket', 'brisket, cooked over trimmed', COMMON, [
      {
        what: 'yield',
        value: kept === null ? null : (brisket.massKg[kept] ?? 0) / 6,
        low: 0.52,
        high: 0.68,
        digits: 3,
      },
    ]),
  ];
}

/** Roasts and ribs: M4, M5, M6, M11. */
function roastAndRibRows(): Row[] {
  const roast = heldMeat(135, {
    cut: 'rib-roast',
    massKg: 2.3,
    startC: 10,
    done: { coreC: 49 },
    rest: { where: 'tented', minutes: 60 },
  });
  const short = heldMeat(121, {
    cut: 'beef-short-ribs',
    massKg: 2.2,
    wrap: { with: 'paper', when: { atMin: 240 } },
  });
  const ribs = (pitC: number) => heldMeat(pitC, { cut: 'spare-ribs', massKg: 1.2 });
  const ribsDone = (m: MeatResult): number | null =>
    m.tenderAtMin === null ? null : m.tenderAtMin / 60;
  const hot = heldMeat(150, {
    cut: 'spare-ribs',
    massKg: 1.2,
    wrap: { with: 'foil', when: { atMin: 120 } },
  });
  const at = (m: MeatResult, min: number | null): number | null =>
    min === null ? null : (m.coreC[min] ?? null);
  const peak = Math.max(...roast.coreC.map((c) => c ?? -Infinity));
  return [
    row('M4', 'boneless rib roast 2.3 kg from 10 °C at 135 °C, loose foil', COMMON, [
      { what: '49 °C at h', value: hoursTo(roast, 49), low: 1.8, high: 2.7, digits: 2 },
      { what: 'carry-over C', value: peak - 49, low: 2, high: 5 },
    ]),
    row('M5', 'three-bone beef short ribs at 121 °C, paper at 4 h', COMMON, [
      { what: 'tender at h', value: ribsDone(short), low: 6.5, high: 8.5, digits: 2 },
      { what: 'C then', value: at(short, short.tenderAtMin), low: 91, high: 96 },
    ]),
    row('M6', 'spare ribs, no wrap', COMMON, [
      { what: '121 °C h', value: ribsDone(ribs(121)), low: 4.75, high: 6.25, digits: 2 },
      { what: '135 °C h', value: ribsDone(ribs(135)), low: 3.5, high: 4.75, digits: 2 },
      { what: '150 °C foil h', value: ribsDone(hot), low: 2.4, high: 3.2, digits: 2 },
    ]),
    row('M11-ribs', 'spare ribs at 121 °C, cooked over trimmed', COMMON, [
      { what: 'yield', value: (ribs(121).massKg[330] ?? 0) / 1.2, low: 0.6, high: 0.78, digits: 3 },
    ]),
  ];
}
