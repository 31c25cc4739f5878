/** Trade practice: kamado, hopper and water smoker. */
import { simulate, type Action, type Result } from '@ostrin/core/internals';
import { COMMON, row, type Row } from '../types';
import { charcoalPerHour, heapOf, highest, lasts, onTheDay, settled, vents } from './help';

const kamado = (actions: Action[], untilMin = 1000) =>
  onTheDay('kamado-46', heapOf('kamado-46', { arrangement: 'bowl' }), actions, { untilMin });

/** A kamado's top vent is opened with its slot: a quarter at 17 mm, and in proportion. */
const TOP_PER_SLOT = 2.4;
const UP = vents(0, 0.4, 0.6);

/** The slot that settles at a target, and that run; bisection, the relation rises. */
function slotFor(targetC: number): { slot: number; run: Result } {
  let low = 0.02;
  let high = 0.4;
  for (let i = 0; i < 8; i++) {
    const mid = Math.sqrt(low * high);
    const run = simulate(kamado([UP, vents(45, mid, TOP_PER_SLOT * mid)], 300));
    if (settled(run) < targetC) low = mid;
    else high = mid;
  }
  const slot = Math.sqrt(low * high);
  return { slot, run: simulate(kamado([UP, vents(45, slot, TOP_PER_SLOT * slot)], 1500)) };
}

/** Rows T5 to T7, the kamado's, hopper's parts of T14, and a water smoker. */
export function kamadoRows(): Row[] {
  const slot17 = simulate(kamado([UP, vents(55, 17 / 150, 0.28)]));
  const hot = slotFor(150);
  const slow = slotFor(110);
  const rows = [
    row('T5', '46 cm kamado, slot 17 mm, top vent just over a quarter', COMMON, [
      { what: 'settles C', value: settled(slot17), low: 135, high: 165 },
    ]),
    row('T6-150', 'full bowl of lump at 150 °C', COMMON, [
      { what: 'lasts h', value: lasts(hot.run), low: 7, high: Infinity },
    ]),
    row('T6-110', 'full bowl of lump at 110 °C', COMMON, [
      { what: 'lasts h', value: lasts(slow.run), low: 12, high: 22 },
    ]),
    row('T14-kamado', 'kamado at 110 °C, lump an hour', COMMON, [
      {
        what: 'kg/h',
        value: charcoalPerHour(kamado([UP, vents(45, slow.slot, TOP_PER_SLOT * slow.slot)])),
        low: 0.1,
        high: 0.22,
        digits: 3,
      },
    ]),
  ];
  const free = simulate(kamado([UP], 240)).pitC;
  const at = (c: number): number => free.findIndex((v) => v !== null && v > c);
  const gentle = simulate(kamado([UP, vents(at(137), 0.1, 0.25)], 300)).pitC;
  const closedAt = at(180);
  const over = simulate(
    kamado([UP, vents(closedAt, slow.slot, TOP_PER_SLOT * slow.slot)], 700),
  ).pitC;
  const down = over.findIndex((c, i) => i > closedAt + 5 && c !== null && c < 125);
  rows.push(
    row('T7', 'kamado brought up gently; taken too high and cut back', COMMON, [
      { what: 'min to 140 °C', value: at(140), low: 50, high: 80 },
      { what: 'overshoot C', value: highest(gentle, 0, at(137) + 60) - 140, low: -10, high: 10 },
      {
        what: 'min from 180 to 125 °C',
        value: down < 0 ? null : down - closedAt,
        low: 60,
        high: Infinity,
      },
    ]),
  );
  return [...rows, ...otherRows()];
}

function otherRows(): Row[] {
  const fan = onTheDay('hopper-fan', heapOf('hopper-fan', { arrangement: 'hopper' }), [], {
    control: { mode: 'fan', targetC: 121 },
    untilMin: 420,
  });
  const held = simulate(fan).pitC;
  const wet = simulate(
    onTheDay('bullet-47', heapOf('bullet-47', { arrangement: 'ring' }), [
      vents(0, 1, 1),
      vents(30, 0.25, 1),
    ]),
  );
  const dryAt = wet.happened.find((h) => h.do === 'pan-dry')?.atMin ?? NaN;
  return [
    row('T14-hopper', 'hopper cooker at 121 °C, charcoal an hour', COMMON, [
      { what: 'kg/h', value: charcoalPerHour(fan), low: 0.3, high: 0.7, digits: 3 },
      {
        what: 'farthest off C',
        value: highest(held.slice(90).map((c) => Math.abs(c! - 121))),
        low: 0,
        high: 5,
      },
    ]),
    row('bullet', 'water smoker, bottom vents 1/4, 4 kg of water', COMMON, [
      { what: 'settles C', value: settled(wet), low: 95, high: 125 },
      { what: 'water lasts h', value: dryAt / 60, low: 3, high: 9 },
      { what: 'C once dry', value: highest(wet.pitC, dryAt, dryAt + 90), low: 120, high: 220 },
    ]),
  ];
}
