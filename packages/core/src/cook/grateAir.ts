/** The air at each place of the grate, and what the food lying there takes out of the pit. */
import { pressureAt } from '../air/moistAir';
import { weatherAt } from '../air/weather';
import type { Surroundings } from '../meat/surface';
import type { FoodLoad } from '../pit/assembleHeat';
import { gasTempK, radiantTempK } from '../pit/readings';
import type { Place } from '../pit/layout';
import { celsius, kelvin } from '../quantity/units';
import { heldSurroundings } from './heldPit';
import type { Cook } from './state';

/** Air speed at the grate per kg/s of draught, m/s, and at rest (about 0.1-0.6 m/s in all). */
const GRATE_AIR_SPEED = { still: 0.18, perKgPerS: 70, most: 0.6 };

/** Index of a place among the pit's positions; that of the probe, where the meat usually lies, when not named. */
function positionIndexOf(cook: Cook, at?: Place): number {
  const layout = cook.pit?.layout;
  if (!layout) return 0;
  const found = at === undefined ? -1 : layout.positions.findIndex((p) => p.at === at);
  return found < 0 ? layout.probePosition : found;
}

/** What meat at a place of the grate feels now. */
export function surroundings(cook: Cook, atMin: number, at?: Place): Surroundings {
  if (cook.airTrace) return cook.airTrace(atMin);
  const { control, weather } = cook.scenario;
  const w = weatherAt(weather, atMin);
  const p = cook.pit;
  if (!p) {
    if (control.mode !== 'held') throw new RangeError('fire: a cook with vents needs a fire');
    return heldSurroundings(control, w, atMin);
  }
  const place = p.layout.positions[positionIndexOf(cook, at)]!;
  return {
    airC: celsius(gasTempK(p, place)),
    wallC: celsius(radiantTempK(p, place, kelvin(w.airC))),
    humidity: p.humidity,
    airSpeedMps: Math.min(
      GRATE_AIR_SPEED.still + GRATE_AIR_SPEED.perKgPerS * p.draughtKgPerS,
      GRATE_AIR_SPEED.most,
    ),
    draughtKgPerS: p.draughtKgPerS,
    pressurePa: pressureAt(w.altitudeM),
  };
}

/** The load of all pieces on the grate, each at its own place, in the cook's record. */
export function foodLoadOf(cook: Cook): FoodLoad {
  const { foodLoad: food } = cook;
  food.fromGasW.fill(0);
  food.fromWallsW.fill(0);
  food.vapourKgPerS = 0;
  for (const { stage: place, gratePlace: at, spec, piece } of cook.pieces) {
    if (place !== 'on') continue;
    const count = spec.count ?? 1;
    const i = positionIndexOf(cook, at);
    food.fromGasW[i]! += count * piece.heatW * piece.convectiveFraction;
    food.fromWallsW[i]! += count * piece.heatW * (1 - piece.convectiveFraction);
    food.vapourKgPerS += count * piece.vapourKgPerS;
  }
  return food;
}
