/** A held pit: no fire, air at a given temperature. For studying the meat alone. */
import { humidityRatio, pressureAt, saturationPressure } from '../air/moist';
import type { Surroundings } from '../meat/surface';
import type { Weather } from '../air/weather';
import type { Control } from './scenario';

/** What a held pit does to the meat when nothing else is said (typical of a charcoal cooker). */
const HELD = { airSpeedMps: 0.32, draughtKgPerS: 4.8e-3, wallBelowK: 8, addedHumidity: 0.012 };

/** Temperature of a held schedule at a minute: linear between its points. */
export function heldC(schedule: { atMin: number; pitC: number }[], atMin: number): number {
  let before = schedule[0]!;
  for (const p of schedule) {
    if (p.atMin <= atMin) before = p;
    else {
      const share = (atMin - before.atMin) / (p.atMin - before.atMin);
      return before.atMin > atMin ? p.pitC : before.pitC + share * (p.pitC - before.pitC);
    }
  }
  return before.pitC;
}

/** The air round the meat in a held pit. */
export function heldSurroundings(
  control: Extract<Control, { mode: 'held' }>,
  w: Weather,
  atMin: number,
): Surroundings {
  const airC = heldC(control.schedule, atMin);
  const pressurePa = pressureAt(w.altitudeM);
  const outdoor = w.relativeHumidityFraction * saturationPressure(w.airC);
  const humidity =
    control.pitHumidity === undefined
      ? humidityRatio(outdoor, pressurePa) + HELD.addedHumidity
      : humidityRatio(saturationPressure(control.pitHumidity.dewPointC), pressurePa);
  return {
    airC,
    wallC: airC - HELD.wallBelowK,
    humidity,
    airSpeedMps: control.airSpeedMps ?? HELD.airSpeedMps,
    draughtKgPerS: HELD.draughtKgPerS,
    pressurePa,
  };
}
