/** Where a piece rests: a room, under a tent of foil, a dry cool box with towels, a warmer or an oven. */
import { humidityRatio, pressureAt, saturationPressure } from '../air/moistAir';
import type { Surroundings } from './surface';
import type { Piece } from './pieceState';

const ROOM_C = 20;
/** Cool box with towels: loss to the room, W/K, and its own heat store, J/K (from memory). */
const COOL_BOX = { lossWPerK: 0.55, storeJPerK: 3000, airSpeedMps: 0.03 };
const COUNTER_AIR_SPEED = 0.08;
/** Air in a warmer and in an oven, m/s; a warmer is kept moist (from memory). */
const HEATED = {
  warmer: { speed: 0.1, relative: 0.3 },
  oven: { speed: 0.35, relative: 0.01 },
} as const;
/** A loose tent of foil: it keeps its own still, warm, damp air, share of the way from room to meat. */
const TENT = { share: 0.16, humidity: 0.01 };

/** Where a piece may rest. */
export type RestWhere = 'open' | 'tented' | 'counter' | 'cool-box' | 'warmer' | 'oven';

/** Places that shut a piece in: they keep it hot, and it goes on cooking. */
export const SHUT_IN: readonly RestWhere[] = ['cool-box', 'warmer', 'oven'];

/** Where a piece stands first, so that it stops cooking before it is shut in. Exactly one end is given. */
export interface RestFirst {
  /** Uncovered, or wrapped on the counter. */
  where: 'open' | 'counter';
  /** Until its middle is down to this, C. */
  untilCoreC?: number;
  /** For so long, min. */
  minutes?: number;
}

/** A rest in one or two stages: `minutes` of all of it, `atC` of a warmer or an oven. */
export interface RestSpec {
  where: RestWhere;
  minutes: number;
  atC?: number;
  first?: RestFirst;
}

/** A resting place; `boxC` follows the meat when it is a box. */
export interface RestState {
  /** The kind of place. */
  where: RestWhere;
  /** Air in a cool box, C. */
  boxC: number;
  /** Of a warmer or an oven. */
  atC: number;
}

/** A rest just begun. */
export const startRest = (where: RestWhere, atC = ROOM_C): RestState => ({
  where,
  boxC: ROOM_C + 5,
  atC,
});

/** Advances the box by `dt` seconds and says what the piece lies in. */
export function restSurroundings(
  rest: RestState,
  piece: Piece,
  altitudeM: number,
  dtS: number,
): Surroundings {
  const pressurePa = pressureAt(altitudeM);
  const humidity = humidityRatio(0.5 * saturationPressure(ROOM_C), pressurePa);
  if (rest.where === 'warmer' || rest.where === 'oven') {
    const { speed, relative } = HEATED[rest.where];
    return {
      airC: rest.atC,
      wallC: rest.atC,
      humidity:
        humidity + humidityRatio(relative * saturationPressure(Math.min(rest.atC, 95)), pressurePa),
      airSpeedMps: speed,
      draughtKgPerS: 1e-3,
      pressurePa,
    };
  }
  if (rest.where !== 'cool-box') {
    const warm = rest.where === 'tented' ? TENT.share * Math.max(piece.faceC - ROOM_C, 0) : 0;
    return {
      airC: ROOM_C + warm,
      wallC: ROOM_C + warm,
      humidity: humidity + (warm > 0 ? TENT.humidity : 0),
      airSpeedMps: COUNTER_AIR_SPEED,
      draughtKgPerS: Infinity,
      pressurePa,
    };
  }
  const given = -piece.heatW;
  rest.boxC =
    (rest.boxC + (dtS / COOL_BOX.storeJPerK) * (given + COOL_BOX.lossWPerK * ROOM_C)) /
    (1 + (dtS / COOL_BOX.storeJPerK) * COOL_BOX.lossWPerK);
  return {
    airC: rest.boxC,
    wallC: rest.boxC,
    humidity: humidityRatio(0.95 * saturationPressure(rest.boxC), pressurePa),
    airSpeedMps: COOL_BOX.airSpeedMps,
    draughtKgPerS: 2e-4,
    pressurePa,
  };
}
