/** A held pit: no fire, air at a given temperature. For studying the meat alone. */
import { humidityRatio, pressureAt, saturationPressure } from '../air/moistAir';
import type { Surroundings } from '../meat/surface';
import type { Weather } from '../air/weather';
import type { Control } from '../scenario/scenario';

/** What a held pit does to the meat when nothing else is said (typical of a charcoal cooker). */
const HELD_AIR = { airSpeedMps: 0.32, draughtKgPerS: 4.8e-3, wallBelowK: 8, addedHumidity: 0.012 };

/** Temperature of a held schedule at a minute: linear between its points. */
export function heldTemperatureC(
  schedule: { atMin: number; pitC: number }[],
  atMin: number,
): number {
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
  weather: Weather,
  atMin: number,
): Surroundings {
  const airC = heldTemperatureC(control.schedule, atMin);
  const pressurePa = pressureAt(weather.altitudeM);
  const outdoor = weather.relativeHumidityFraction * saturationPressure(weather.airC);
  const humidity =
    control.pitHumidity === undefined
      ? humidityRatio(outdoor, pressurePa) + HELD_AIR.addedHumidity
      : humidityRatio(saturationPressure(control.pitHumidity.dewPointC), pressurePa);
  return {
    airC,
    wallC: airC - HELD_AIR.wallBelowK,
    humidity,
    airSpeedMps: control.airSpeedMps ?? HELD_AIR.airSpeedMps,
    draughtKgPerS: HELD_AIR.draughtKgPerS,
    pressurePa,
  };
}
