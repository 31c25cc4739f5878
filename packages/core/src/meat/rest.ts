/** Where a piece rests: a room, or a dry cool box with towels. */
import { humidityRatio, pressureAt, saturationPressure } from '../air/moist';
import type { RestWhere } from '../cook/scenario';
import type { Piece } from './piece';
import type { Surroundings } from './surface';

const ROOM_C = 20;
/** Cool box with towels: loss to the room, W/K, and its own heat store, J/K (from memory). */
const BOX = { lossWPerK: 0.55, storeJPerK: 3000, airSpeedMps: 0.03 };
const COUNTER_SPEED = 0.08;

/** A resting place; `boxC` follows the meat when it is a box. */
export interface Rest {
  where: RestWhere;
  boxC: number;
}

/** A rest just begun. */
export const startRest = (where: RestWhere): Rest => ({ where, boxC: ROOM_C + 5 });

/** Advances the box by `dt` seconds and says what the piece lies in. */
export function restSurroundings(
  rest: Rest,
  p: Piece,
  altitudeM: number,
  dt: number,
): Surroundings {
  const pressurePa = pressureAt(altitudeM);
  const humidity = humidityRatio(0.5 * saturationPressure(ROOM_C), pressurePa);
  if (rest.where !== 'cool-box') {
    return {
      airC: ROOM_C,
      wallC: ROOM_C,
      humidity,
      airSpeedMps: COUNTER_SPEED,
      draughtKgPerS: Infinity,
      pressurePa,
    };
  }
  const given = -p.heatW;
  rest.boxC =
    (rest.boxC + (dt / BOX.storeJPerK) * (given + BOX.lossWPerK * ROOM_C)) /
    (1 + (dt / BOX.storeJPerK) * BOX.lossWPerK);
  return {
    airC: rest.boxC,
    wallC: rest.boxC,
    humidity: humidityRatio(0.95 * saturationPressure(rest.boxC), pressurePa),
    airSpeedMps: BOX.airSpeedMps,
    draughtKgPerS: 2e-4,
    pressurePa,
  };
}
