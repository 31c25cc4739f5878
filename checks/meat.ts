/** Trade practice: shoulder cuts in a held pit, from 4 C. */
import { simulate, type MeatResult, type MeatSpec, type Scenario } from '@ostrin/core';
import { row, type Row } from './types';

const COMMON = 'common practice';

function held(pitC: number, meat: Omit<MeatSpec, 'id' | 'startC'>): Scenario {
  return {
    ostrin: 'scenario/1',
    cooker: { preset: 'kettle-57', overrides: {} },
    weather: { airC: 15, windMps: 1, relativeHumidityFraction: 0.6, altitudeM: 0, rainMmPerH: 0 },
    control: { mode: 'held', schedule: [{ atMin: 0, pitC }] },
    actions: [{ atMin: 0, do: 'meat-on', meat: 'a' }],
    meats: [{ id: 'a', startC: 4, ...meat }],
    untilMin: 960,
    everyMin: 1,
  };
}

const cook = (pitC: number, meat: Omit<MeatSpec, 'id' | 'startC'>): MeatResult =>
  simulate(held(pitC, meat)).meats[0]!;

/** Hours until the core first reads `c`; null when never. */
function hoursTo(m: MeatResult, c: number): number | null {
  const i = m.coreC.findIndex((v) => v !== null && v >= c);
  return i < 0 ? null : i / 60;
}

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
  const m1 = cook(121, {
    cut: 'pork-shoulder',
    massKg: 3.8,
    wrap: { with: 'paper', when: { coreC: 74 } },
  });
  const m2 = cook(135, { cut: 'pork-shoulder', massKg: 4, wrap: foilAt(74) });
  const m8 = cook(135, { cut: 'lamb-shoulder', massKg: 2, wrap: foilAt(75.5) });
  const bare = [107, 121].map((c) => cook(c, { cut: 'pork-shoulder', massKg: 3.8 }));
  const [slow, usual] = bare.map(stallHours) as [number, number];
  const done = Math.round((hoursTo(m1, 96) ?? 0) * 60);
  return [
    row('M1', 'pork shoulder 3.8 kg at 121 C, paper at 74 C', COMMON, [
      { what: '60 C at h', value: hoursTo(m1, 60), low: 3, high: 4, digits: 2 },
      { what: '74 C at h', value: hoursTo(m1, 74), low: 4.5, high: 6, digits: 2 },
      { what: '96 C at h', value: hoursTo(m1, 96), low: 8, high: 11, digits: 2 },
    ]),
    row('M2', 'pork shoulder 4 kg at 135 C, foil at 74 C', COMMON, [
      { what: '74 C at h', value: hoursTo(m2, 74), low: 4.5, high: 6.5, digits: 2 },
      { what: '95 C at h', value: hoursTo(m2, 95), low: 7.5, high: 10, digits: 2 },
    ]),
    row('M7', 'stall of a bare pork shoulder, 107 and 121 C', COMMON, [
      { what: 'at 107 C h', value: slow, low: 1, high: 5, digits: 2 },
      { what: 'at 121 C h', value: usual, low: 1, high: 5, digits: 2 },
      { what: 'shorter when hotter by h', value: slow - usual, low: 0, high: Infinity, digits: 2 },
    ]),
    row('M8', 'lamb shoulder 2 kg at 135 C, foil at 74-77 C', COMMON, [
      { what: '75.5 C at h', value: hoursTo(m8, 75.5), low: 3, high: 4, digits: 2 },
      { what: '96 C at h', value: hoursTo(m8, 96), low: 4.5, high: 5.75, digits: 2 },
    ]),
    row('M11-shoulder', 'pork shoulder, cooked over trimmed', COMMON, [
      { what: 'yield', value: (m1.massKg[done] ?? 0) / 3.8, low: 0.55, high: 0.68, digits: 3 },
    ]),
  ];
}
