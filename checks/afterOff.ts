/** What a piece does after it came off: how far it climbs, and what a night in a low oven does to it. */
import { onlyPiece } from '@ostrin/core';
import { simulate, type MeatResult } from '@ostrin/core/internals';
import { heldCook, heldMeat } from './heldCook';
import { COMMON, part, row, type Row } from './types';

/** Rows H-carry and H-oven. */
export const afterOffRows = (): Row[] => [...carryRows(), ovenRow()];

/** How far a roast pulled at 50 C climbs under loose foil, K. */
function carryK(massKg: number, pitC: number): number {
  const m = heldMeat(pitC, {
    cut: 'rib-roast',
    massKg,
    done: { coreC: 50 },
    rest: { where: 'tented', minutes: 90 },
  });
  return Math.max(...m.coreC.map((c) => c ?? -Infinity)) - 50;
}

function carryRows(): Row[] {
  const [small, middle, large] = [1.5, 2.3, 4].map((kg) =>
    [107, 135, 163].map((c) => carryK(kg, c)),
  );
  const by = ([kg, list]: readonly [number, number[]]) =>
    [107, 135, 163].map((c, i) => part(`${kg} kg from ${c} °C`, list[i]!, 0, 12));
  return [
    row('H-carry', 'rib roasts pulled at 50 °C: small and slow, large and hot', COMMON, [
      part('1.5 kg from 107 °C', small![0]!, 2, 3),
      part('4 kg from 163 °C', large![2]!, 6, 8),
    ]),
    row('H-carry-more', 'a larger roast and a hotter pit carry more', COMMON, [
      ...by([2.3, middle!]),
      part('larger by, at 135 °C', large![1]! - small![1]!, 0, Infinity),
      part('hotter by, of 2.3 kg', middle![2]! - middle![0]!, 0, Infinity),
    ]),
  ];
}

/** A wrapped brisket held in an oven that does no less than 77 C, for a night and a morning. */
function ovenRow(): Row {
  const scenario = heldCook(121, {
    cut: 'brisket',
    massKg: 6,
    wrap: { with: 'foil', when: { coreC: 74 } },
    done: { coreC: 93 },
    rest: { where: 'oven', minutes: 22 * 60, atC: 77 },
  });
  const m: MeatResult = onlyPiece(simulate({ ...scenario, untilMin: 2700 }));
  const from = m.doneAtMin ?? 0;
  const to = m.massKg.findLastIndex((v) => v !== null);
  const over = (series: readonly (number | null)[]): number =>
    (series[to] ?? 0) - (series[from] ?? 0);
  return row('H-oven', 'brisket in foil, held in an oven at 77 °C for 22 h', COMMON, [
    part('held h', (to - from) / 60, 21.9, 22.1),
    part('middle at the end C', m.coreC[to] ?? null, 70, 78),
    part('softer by', over(m.tenderness), 0.1, Infinity),
    part('mass lost %', (-100 * over(m.massKg)) / 6, 0, 6),
  ]);
}
