/** The air at each place of the grate, and what the food lying there takes out of the pit. */
import { pressureAt } from '../air/moist';
import { weatherAt } from '../air/weather';
import type { Surroundings } from '../meat/surface';
import { noFood, type FoodLoad } from '../pit/heat';
import { gasAtK, seenFromK } from '../pit/step';
import { PLACES, type Place } from '../pit/types';
import { celsius, kelvin } from '../quantity/units';
import { heldSurroundings } from './held';
import type { Cook } from './state';

/** Air speed at the grate per kg/s of draught, m/s, and at rest (about 0.1-0.6 m/s in all). */
const SPEED = { still: 0.18, perKgPerS: 70, most: 0.6 };

/** Index of a place among the pit's positions; that of the probe, where the meat usually lies, when not named. */
function positionOf(cook: Cook, at?: Place): number {
  const layout = cook.pit?.layout;
  if (!layout) return 0;
  const found = at === undefined ? -1 : layout.positions.findIndex((p) => p.at === at);
  return found < 0 ? layout.probe : found;
}

/** What meat at a place of the grate feels now. */
export function surroundings(cook: Cook, atMin: number, at?: Place): Surroundings {
  if (cook.air) return cook.air(atMin);
  const { control, weather } = cook.scenario;
  const w = weatherAt(weather, atMin);
  const p = cook.pit;
  if (!p) {
    if (control.mode !== 'held') throw new RangeError('fire: a cook with vents needs a fire');
    return heldSurroundings(control, w, atMin);
  }
  const place = p.layout.positions[positionOf(cook, at)]!;
  return {
    airC: celsius(gasAtK(p, place)),
    wallC: celsius(seenFromK(p, place, kelvin(w.airC))),
    humidity: p.humidity,
    airSpeedMps: Math.min(SPEED.still + SPEED.perKgPerS * p.draughtKgPerS, SPEED.most),
    draughtKgPerS: p.draughtKgPerS,
    pressurePa: pressureAt(w.altitudeM),
  };
}

const food = noFood(PLACES.length);

/** The load of all pieces on the grate, each at its own place. The record is reused. */
export function loadOf(cook: Cook): FoodLoad {
  food.fromGasW.fill(0);
  food.fromWallsW.fill(0);
  food.vapourKgPerS = 0;
  for (const { place, at, spec, piece } of cook.guests) {
    if (place !== 'on') continue;
    const count = spec.count ?? 1;
    const i = positionOf(cook, at);
    food.fromGasW[i]! += count * piece.heatW * piece.airShare;
    food.fromWallsW[i]! += count * piece.heatW * (1 - piece.airShare);
    food.vapourKgPerS += count * piece.vapourKgPerS;
  }
  return food;
}
