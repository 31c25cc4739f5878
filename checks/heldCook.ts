/** A piece in a held pit: what the rows on meat are cooked in. */
import { onlyPiece } from '@ostrin/core';
import { simulate, type MeatResult, type MeatSpec, type Scenario } from '@ostrin/core/internals';

/** One piece `a`, from 4 C unless it says otherwise, on from the first minute for 16 hours. */
export function heldCook(
  pitC: number,
  meat: Omit<MeatSpec, 'id' | 'startC'> & { startC?: number },
): Scenario {
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

/** What becomes of the piece. */
export const heldMeat = (...of: Parameters<typeof heldCook>): MeatResult =>
  onlyPiece(simulate(heldCook(...of)));

/** Hours until the core first reads `c`; null when never. */
export function hoursTo(m: MeatResult, c: number): number | null {
  const i = m.coreC.findIndex((v) => v !== null && v >= c);
  return i < 0 ? null : i / 60;
}
